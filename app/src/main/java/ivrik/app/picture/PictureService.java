package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.app.session.View.Show;
import ivrik.core.IvrikException;
import ivrik.core.cache.Store;
import ivrik.core.measure.Register;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.render.Pictures;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Renderer;
import ivrik.core.render.Screen;
import ivrik.core.threads.Cancel;
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
 * Renders what the panes ask for in a thread of its own. The newest request wins: an older one is
 * given up. Each is answered at half size first, then in full with its register.
 */
public final class PictureService {
    private static final Logger LOG = LoggerFactory.getLogger(PictureService.class);
    private static final double QUICK_SCALE = 0.5;

    /** One part of so many of the memory is filled with frames that nobody has asked for. */
    private static final long FILLED_PART = 4;

    private final Workers workers = Workers.shared();
    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-render"));
    private final AtomicReference<Request> newest = new AtomicReference<>();
    private final Consumer<Answer> answers;
    private volatile Reading reading;
    private volatile long budget = Runtime.getRuntime().maxMemory() / 2;

    /** Files that are open, and what was made of them. Work that began with one goes on with it. */
    private record Reading(
            MediaPictures media, Renderer renderer, Store store, Map<Picture, Fault> faults) {}

    /**
     * What is wanted of a frame.
     *
     * @param layer number among the plan's layers of the one whose lanes are shown, or -1
     */
    record Wanted(
            Plan plan, Set<Show> shows, Map<Show, Plan> takes, int layer, int look, int lane) {
        static Wanted of(Request request, Function<Plans, Plan> planned) {
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
            return new Wanted(plan, request.shows(), takes, layer, request.look(), request.lane());
        }

        /** What a pane's picture is made of. */
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
     * @param answers told on the interface thread, only of the newest request
     */
    public PictureService(Consumer<Answer> answers) {
        this.answers = answers;
    }

    /** Files are opened anew from now on; all that was kept is let go. */
    public void readAnew() {
        Reading before = reading;
        Store store = new Store(kept(budget));
        MediaPictures media = new MediaPictures(workers, store);
        Map<Picture, Fault> faults = new ConcurrentHashMap<>();
        Renderer renderer = new Renderer(tolerant(media, faults), workers, store);
        reading = new Reading(media, renderer, store, faults);
        if (before != null) {
            before.media.close();
        }
    }

    /** What may be kept: an eighth of the budget is for pictures that are being made. */
    private static long kept(long budget) {
        return budget / 8 * 7;
    }

    /** A picture that cannot be had leaves a gap and a word, which is told whenever the gap is shown. */
    private static Pictures tolerant(MediaPictures media, Map<Picture, Fault> faults) {
        return (picture, shown) -> {
            try {
                Frame frame = media.frame(picture, shown);
                faults.remove(picture);
                return frame;
            } catch (IvrikException e) {
                LOG.warn("{}", e.oneLine(), e);
                faults.put(picture, new Fault(e.oneLine(), e instanceof MissingFileException));
                return Frame.empty(shown);
            }
        };
    }

    private static Map<String, Fault> faults(Reading reading, Plan plan) {
        Map<String, Fault> here = new HashMap<>();
        for (Picture picture : plan.pictures()) {
            Fault fault = reading.faults.get(picture);
            if (fault != null) {
                here.put(picture.source().id(), fault);
            }
        }
        return here;
    }

    /** How many bytes of pictures are kept at most; more of them are let go first. */
    public void setBudget(long bytes) {
        budget = bytes;
        if (reading != null) {
            reading.store.setBudget(kept(bytes));
        }
    }

    /** Pictures that are kept only to be there quickly are let go; those that are shown stay. */
    public void letGo() {
        reading.store.letGo();
    }

    /** How many bytes of pictures are kept now. */
    public long held() {
        return reading.store.held();
    }

    /** Closes the files of sources that the project has no longer. */
    public void closeOthers(Collection<Source> sources) {
        reading.media.closeOthers(sources);
    }

    /** Sources whose files have gone or changed since they were opened. */
    public boolean anyChanged(Iterable<Source> sources) {
        for (Source source : sources) {
            if (source.kind().isFile() && reading.media.hasChanged(source)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a frame is ready for the screen at a scale or a better one. */
    public boolean isReady(Plan plan, double scale) {
        for (double s = scale; s <= 1; s *= 2) {
            if (reading.store.holds(Renderer.screenKey(plan, s))) {
                return true;
            }
        }
        return false;
    }

    /** A frame for the screen, if it is ready at this very scale. */
    public Optional<Shown> ready(Plan plan, double scale) {
        return reading.store
                .<Screen>peek(Renderer.screenKey(plan, scale))
                .map(screen -> new Shown(screen, null, scale));
    }

    /** Asks for pictures; the answers come later, on the interface thread. */
    public void ask(Request request) {
        newest.set(request);
        thread.execute(() -> work(request));
    }

    /** Nothing is wanted any more. */
    public void forget() {
        newest.set(null);
    }

    private void work(Request request) {
        Cancel stale = () -> newest.get() != request;
        try {
            stale.check();
            Reading reading = this.reading;
            Wanted first = Wanted.of(request, p -> p.guess(request.frame()));
            Plan guess = first.plan();
            if (!isReady(guess, 1)) {
                Map<Show, Shown> quick = render(reading, first, QUICK_SCALE, stale);
                Map<String, Fault> faults = faults(reading, guess);
                answer(new Answer(request, guess, quick, null, false, faults));
            }
            Wanted wanted = Wanted.of(request, p -> p.of(request.frame(), stale));
            Plan plan = wanted.plan();
            Map<Show, Shown> fine = render(reading, wanted, 1, stale);
            Frame result = frame(reading.renderer, wanted, Show.RESULT, 1, stale);
            Frame source = reading.renderer.render(plan.untouched(), 1, stale);
            Register register = register(reading.renderer, wanted, result, source, stale);
            boolean missed = misses(reading.renderer, wanted, stale);
            answer(new Answer(request, plan, fine, register, missed, faults(reading, plan)));
        } catch (CancelledException e) {
            // a newer request is already waiting
        } catch (RuntimeException | Error e) {
            LOG.error("a frame could not be rendered", e);
            answer(Answer.failed(request, Fault.why(e)));
        }
    }

    /**
     * How far the result is from the source. Where no layer has anything done to it that is no proof yet:
     * then the lanes of the one on the desk are really rejoined, without the short cut of leaving them
     * alone.
     */
    private Register register(
            Renderer renderer, Wanted wanted, Frame result, Frame source, Cancel stale) {
        Register shown = Register.between(result, source, workers);
        Plan plan = wanted.plan();
        boolean untouched = plan.layers().stream().allMatch(LayerPlan::isNeutral);
        return shown.isExact() && untouched && wanted.hasLook()
                ? renderer.proof(plan, wanted.layerPlan(), wanted.look(), 1, stale)
                : shown;
    }

    private boolean misses(Renderer renderer, Wanted wanted, Cancel stale) {
        return wanted.hasLook()
                && wanted.layerPlan().looks().get(wanted.look()).reach().isPresent()
                && renderer.reached(wanted.plan(), wanted.layerPlan(), wanted.look(), 1, stale)
                        .isFlat(0);
    }

    private void answer(Answer answer) {
        Platform.runLater(
                () -> {
                    if (newest.get() == answer.request()) {
                        answers.accept(answer);
                    }
                });
    }

    private Map<Show, Shown> render(Reading reading, Wanted wanted, double scale, Cancel cancel) {
        Map<Show, Shown> shown = new EnumMap<>(Show.class);
        for (Show show : wanted.shows()) {
            if (show == Show.HELD) {
                continue;
            }
            Frame frame = frame(reading.renderer, wanted, show, scale, cancel);
            Screen screen =
                    show == Show.RESULT || show.isTake()
                            ? reading.store.get(
                                    Renderer.screenKey(wanted.plan(show), scale),
                                    () -> Screen.of(frame, workers))
                            : Screen.of(frame, workers);
            shown.put(show, new Shown(screen, frame, scale));
        }
        return shown;
    }

    private Frame frame(Renderer renderer, Wanted wanted, Show show, double scale, Cancel cancel) {
        Plan plan = wanted.plan();
        if (show.isOfALook() && !wanted.hasLook()) {
            return Frame.empty(plan.size().scaled(scale));
        }
        return switch (show) {
            case SOURCE -> renderer.render(plan.untouched(), scale, cancel);
            case LANE_GREY, LANE_INK -> LaneView.of(wanted, show, scale, renderer, cancel, workers);
            case REACH, REACH_OVER ->
                    LaneView.reach(wanted, show, scale, renderer, cancel, workers);
            case DIFFERENCE ->
                    LaneView.difference(
                            renderer.render(plan, scale, cancel),
                            renderer.render(plan.untouched(), scale, cancel),
                            workers);
            default -> renderer.render(wanted.plan(show), scale, cancel);
        };
    }

    /** Makes a frame for playback and keeps it, in the calling thread. */
    void prepare(Plan plan, double scale, Cancel cancel) {
        reading.renderer.screen(plan, scale, cancel);
    }

    /** How many frames of a size at a scale the part of the memory has room for that is filled unasked. */
    long room(Size size, double scale) {
        long bytes = Math.round(size.width() * scale * size.height() * scale) * Integer.BYTES;
        return kept(budget) / FILLED_PART / Math.max(1, bytes);
    }

    /** A small picture of a frame, in the calling thread. */
    public Shown small(Plan plan, int width) {
        double scale = Math.min(1, (double) width / plan.size().width());
        return Shown.of(reading.renderer.render(plan, scale, Cancel.NEVER), scale, workers);
    }

    /** How far a frame is from its source, at half size, in the calling thread. */
    public Register register(Plan plan) {
        Renderer renderer = reading.renderer;
        return Register.between(
                renderer.render(plan, QUICK_SCALE, Cancel.NEVER),
                renderer.render(plan.untouched(), QUICK_SCALE, Cancel.NEVER),
                workers);
    }

    /** A frame of a source as it is, in the calling thread. */
    public Frame original(Plan.Picture picture) {
        return reading.media.frame(picture, picture.source().size());
    }

    /** A small picture of one frame of a source, in the calling thread. */
    public Shown thumbnail(Source source, long frame, Size size) {
        Size shown = source.size().fitInto(size);
        Frame small =
                ivrik.core.sampling.Resample.to(
                        reading.media.frame(new Plan.Picture(source, frame), shown),
                        shown,
                        workers);
        return Shown.of(small, 1, workers);
    }

    public void close() {
        newest.set(null);
        thread.shutdownNow();
        if (reading != null) {
            reading.media.close();
        }
    }
}
