package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.app.session.View.Show;
import ivrik.core.IvrikException;
import ivrik.core.cache.FrameCache;
import ivrik.core.measure.Misregistration;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.render.Pictures;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Renderer;
import ivrik.core.render.Screen;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.decode.MediaPictures;

import javafx.application.Platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Renders the panes' requests on its own thread. A new request cancels the previous one. Each is answered at
 * half size first, then at full size with its misregistration.
 */
public final class PictureService {
    private static final Logger LOG = LoggerFactory.getLogger(PictureService.class);
    private static final double QUICK_SCALE = 0.5;

    /** Share of the memory for frames rendered while idle, as a divisor. */
    private static final long FILLED_PART = 4;

    private final Workers workers = Workers.shared();
    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-render"));
    private final AtomicReference<RenderRequest> newest = new AtomicReference<>();
    private final Consumer<RenderResult> answers;
    private volatile Reading reading;
    private volatile long budget = Runtime.getRuntime().maxMemory() / 2;

    /** Open files and results. Running work continues with the instance it started with. */
    private record Reading(
            MediaPictures media,
            Renderer renderer,
            FrameCache cache,
            Map<Picture, SourceFault> faults) {}

    /**
     * What is requested of a frame.
     *
     * @param layer index among the plan's layers of the one whose channels are shown, or -1
     */
    record Wanted(
            Plan plan, Set<Show> shows, Map<Show, Plan> takes, int layer, int look, int channel) {
        static Wanted of(RenderRequest request, Function<Plans, Plan> planned) {
            Plan plan = planned.apply(request.plans());
            Map<Show, Plan> takes = new EnumMap<>(Show.class);
            request.takes().entrySet().stream()
                    .filter(e -> request.shows().contains(e.getKey()))
                    .forEach(e -> takes.put(e.getKey(), planned.apply(e.getValue())));
            int layer =
                    IntStream.range(0, plan.layers().size())
                            .filter(i -> plan.layers().get(i).id().equals(request.layer()))
                            .findFirst()
                            .orElse(-1);
            return new Wanted(
                    plan, request.shows(), takes, layer, request.look(), request.channel());
        }

        /** The plan of a pane's picture. */
        Plan plan(Show show) {
            return takes.getOrDefault(show, plan);
        }

        boolean hasLook() {
            return layer >= 0 && look < plan.layers().get(layer).looks().size();
        }

        LayerPlan layerPlan() {
            return plan.layers().get(layer);
        }
    }

    /**
     * @param answers called on the interface thread, only for the latest request
     */
    public PictureService(Consumer<RenderResult> answers) {
        this.answers = answers;
    }

    /** Reopens files and discards all results. */
    public void reread() {
        Reading before = reading;
        FrameCache cache = new FrameCache(kept(budget));
        MediaPictures media = new MediaPictures(workers, cache);
        Map<Picture, SourceFault> faults = new ConcurrentHashMap<>();
        Renderer renderer = new Renderer(tolerant(media, faults), workers, cache);
        reading = new Reading(media, renderer, cache, faults);
        if (before != null) {
            before.media.close();
        }
    }

    /** Cache size: an eighth of the budget is reserved for pictures being rendered. */
    private static long kept(long budget) {
        return budget / 8 * 7;
    }

    /** A source that cannot be read leaves a transparent picture and a message. */
    private static Pictures tolerant(MediaPictures media, Map<Picture, SourceFault> faults) {
        return (picture, shown) -> {
            try {
                Frame frame = media.frame(picture, shown);
                faults.remove(picture);
                return frame;
            } catch (IvrikException e) {
                LOG.warn("{}", e.oneLine(), e);
                faults.put(
                        picture, new SourceFault(e.oneLine(), e instanceof MissingFileException));
                return Frame.empty(shown);
            }
        };
    }

    private static Map<String, SourceFault> faults(Reading reading, Plan plan) {
        Map<String, SourceFault> here = new HashMap<>();
        for (Picture picture : plan.pictures()) {
            SourceFault fault = reading.faults.get(picture);
            if (fault != null) {
                here.put(picture.source().id(), fault);
            }
        }
        return here;
    }

    /** Sets the limit for cached pictures in bytes. */
    public void setBudget(long bytes) {
        budget = bytes;
        if (reading != null) {
            reading.cache.setBudget(kept(bytes));
        }
    }

    /** Releases cached pictures; visible ones stay. */
    public void release() {
        reading.cache.release();
    }

    /** Bytes of cached pictures. */
    public long held() {
        return reading.cache.held();
    }

    /** Closes the files of sources that are not in the project. */
    public void closeOthers(Collection<Source> sources) {
        reading.media.closeOthers(sources);
    }

    /** Whether files of sources were deleted or changed since they were opened. */
    public boolean anyChanged(Iterable<Source> sources) {
        for (Source source : sources) {
            if (source.kind().isFile() && reading.media.hasChanged(source)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a frame is ready at a scale or a better one. */
    public boolean isReady(Plan plan, double scale) {
        for (double s = scale; s <= 1; s *= 2) {
            if (reading.cache.holds(Renderer.screenKey(plan, s))) {
                return true;
            }
        }
        return false;
    }

    /** A frame that is ready at exactly this scale. */
    public Optional<ShownFrame> ready(Plan plan, double scale) {
        return reading.cache
                .<Screen>peek(Renderer.screenKey(plan, scale))
                .map(screen -> new ShownFrame(screen, null, scale));
    }

    /** Requests pictures; answers follow on the interface thread. */
    public void ask(RenderRequest request) {
        newest.set(request);
        thread.execute(() -> work(request));
    }

    /** Cancels the request. */
    public void forget() {
        newest.set(null);
    }

    private void work(RenderRequest request) {
        Cancellation stale = () -> newest.get() != request;
        try {
            stale.check();
            Reading reading = this.reading;
            Wanted first = Wanted.of(request, p -> p.guess(request.frame()));
            Plan guess = first.plan();
            if (!isReady(guess, 1)) {
                Map<Show, ShownFrame> quick = render(reading, first, QUICK_SCALE, stale);
                Map<String, SourceFault> faults = faults(reading, guess);
                answer(new RenderResult(request, guess, quick, null, false, faults));
            }
            Wanted wanted = Wanted.of(request, p -> p.of(request.frame(), stale));
            Plan plan = wanted.plan();
            Map<Show, ShownFrame> fine = render(reading, wanted, 1, stale);
            Frame result = frame(reading.renderer, wanted, Show.RESULT, 1, stale);
            Frame source = reading.renderer.render(plan.untouched(), 1, stale);
            Misregistration register = register(reading.renderer, wanted, result, source, stale);
            boolean missed = misses(reading.renderer, wanted, stale);
            answer(new RenderResult(request, plan, fine, register, missed, faults(reading, plan)));
        } catch (CancelledException e) {
            // a newer request is waiting
        } catch (RuntimeException | Error e) {
            LOG.error("a frame could not be rendered", e);
            answer(RenderResult.failed(request, SourceFault.why(e)));
        }
    }

    /**
     * Misregistration of the result. If no layer has an effect, the channels of the selected layer are
     * separated and rejoined without shortcuts, so that the number is a proof.
     */
    private Misregistration register(
            Renderer renderer, Wanted wanted, Frame result, Frame source, Cancellation stale) {
        Misregistration shown = Misregistration.between(result, source, workers);
        Plan plan = wanted.plan();
        boolean untouched = plan.layers().stream().allMatch(LayerPlan::isNeutral);
        return shown.isExact() && untouched && wanted.hasLook()
                ? renderer.proof(plan, wanted.layerPlan(), wanted.look(), 1, stale)
                : shown;
    }

    private boolean misses(Renderer renderer, Wanted wanted, Cancellation stale) {
        return wanted.hasLook()
                && wanted.layerPlan().looks().get(wanted.look()).mask().isPresent()
                && renderer.maskWeights(wanted.plan(), wanted.layerPlan(), wanted.look(), 1, stale)
                        .isFlat(0);
    }

    private void answer(RenderResult answer) {
        Platform.runLater(
                () -> {
                    if (newest.get() == answer.request()) {
                        answers.accept(answer);
                    }
                });
    }

    private Map<Show, ShownFrame> render(
            Reading reading, Wanted wanted, double scale, Cancellation cancel) {
        Map<Show, ShownFrame> shown = new EnumMap<>(Show.class);
        for (Show show : wanted.shows()) {
            if (show == Show.HELD) {
                continue;
            }
            Frame frame = frame(reading.renderer, wanted, show, scale, cancel);
            Screen screen =
                    show == Show.RESULT || show.isTake()
                            ? reading.cache.get(
                                    Renderer.screenKey(wanted.plan(show), scale),
                                    () -> Screen.of(frame, workers))
                            : Screen.of(frame, workers);
            shown.put(show, new ShownFrame(screen, frame, scale));
        }
        return shown;
    }

    private Frame frame(
            Renderer renderer, Wanted wanted, Show show, double scale, Cancellation cancel) {
        Plan plan = wanted.plan();
        if (show.isOfALook() && !wanted.hasLook()) {
            return Frame.empty(plan.size().scaled(scale));
        }
        return switch (show) {
            case SOURCE -> renderer.render(plan.untouched(), scale, cancel);
            case CHANNEL_GREY, CHANNEL_INK ->
                    ChannelView.of(wanted, show, scale, renderer, cancel, workers);
            case MASK_ONLY, MASK_OVERLAY ->
                    ChannelView.masked(wanted, show, scale, renderer, cancel, workers);
            case DIFFERENCE ->
                    ChannelView.difference(
                            renderer.render(plan, scale, cancel),
                            renderer.render(plan.untouched(), scale, cancel),
                            workers);
            default -> renderer.render(wanted.plan(show), scale, cancel);
        };
    }

    /** Renders a frame for playback into the cache, on the calling thread. */
    void prepare(Plan plan, double scale, Cancellation cancel) {
        reading.renderer.screen(plan, scale, cancel);
    }

    /** Number of frames of a size that fit into the idle share of the memory. */
    long room(Size size, double scale) {
        long bytes = Math.round(size.width() * scale * size.height() * scale) * Integer.BYTES;
        return kept(budget) / FILLED_PART / Math.max(1, bytes);
    }

    /** A thumbnail of a frame, on the calling thread. */
    public ShownFrame small(Plan plan, int width) {
        double scale = Math.min(1, (double) width / plan.size().width());
        return ShownFrame.of(
                reading.renderer.render(plan, scale, Cancellation.NEVER), scale, workers);
    }

    /** Misregistration of a frame at half size, on the calling thread. */
    public Misregistration register(Plan plan) {
        Renderer renderer = reading.renderer;
        return Misregistration.between(
                renderer.render(plan, QUICK_SCALE, Cancellation.NEVER),
                renderer.render(plan.untouched(), QUICK_SCALE, Cancellation.NEVER),
                workers);
    }

    /** A frame of a source without looks, on the calling thread. */
    public Frame original(Plan.Picture picture) {
        return reading.media.frame(picture, picture.source().size());
    }

    /** A thumbnail of a source's frame, on the calling thread. */
    public ShownFrame thumbnail(Source source, long frame, Size size) {
        Size shown = source.size().fitInto(size);
        Frame small =
                ivrik.core.sampling.Resample.to(
                        reading.media.frame(new Plan.Picture(source, frame), shown),
                        shown,
                        workers);
        return ShownFrame.of(small, 1, workers);
    }

    public void close() {
        newest.set(null);
        thread.shutdownNow();
        if (reading != null) {
            reading.media.close();
        }
    }
}
