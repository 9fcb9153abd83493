package ivrik.app.picture;

import ivrik.app.session.View.Show;
import ivrik.core.IvrikException;
import ivrik.core.picture.CancelledException;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.Source;
import ivrik.core.render.Cancel;
import ivrik.core.render.Pictures;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Register;
import ivrik.core.render.Renderer;
import ivrik.media.decode.MediaPictures;

import javafx.application.Platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;

/**
 * Renders what the panes ask for in a thread of its own. The newest request wins: an older one is
 * given up. Each is answered at half size first, then in full with its register.
 */
public final class PictureService {
    private static final Logger LOG = LoggerFactory.getLogger(PictureService.class);
    private static final double QUICK_SCALE = 0.5;

    private final Workers workers = Workers.shared();
    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(
                    Thread.ofPlatform().name("ivrik-render").daemon().factory());
    private final AtomicReference<Request> newest = new AtomicReference<>();
    private final Map<String, String> faults = new ConcurrentHashMap<>();
    private final ScreenCache cache = new ScreenCache(Runtime.getRuntime().maxMemory() / 3);
    private final Consumer<Answer> answers;
    private volatile Path folder;
    private volatile MediaPictures media;
    private volatile Renderer renderer;

    /**
     * What to render.
     *
     * @param layer number among the plan's layers of the one whose lanes are shown, or -1
     * @param look which of its looks they belong to
     */
    public record Request(Plan plan, Set<Show> shows, int layer, int look, int lane) {}

    /**
     * What was rendered.
     *
     * @param register null after the quick pass
     * @param missed whether the look on the desk reaches nothing of this frame
     * @param faults by source id, what keeps a source from being shown
     */
    public record Answer(
            Request request,
            Map<Show, Shown> shown,
            Register register,
            boolean missed,
            Map<String, String> faults) {}

    /**
     * @param answers told on the interface thread, only of the newest request
     */
    public PictureService(Consumer<Answer> answers) {
        this.answers = answers;
    }

    /** Media paths are relative to this folder from now on; all that was kept is let go. */
    public void useFolder(Path folder) {
        MediaPictures before = media;
        this.folder = folder;
        media = new MediaPictures(folder, workers);
        renderer = new Renderer(tolerant(media), workers, Runtime.getRuntime().maxMemory() / 10);
        cache.clear();
        faults.clear();
        if (before != null) {
            before.close();
        }
    }

    /** What media paths are relative to. */
    public Path folder() {
        return folder;
    }

    /** A source that cannot be had leaves a gap and a word. */
    private Pictures tolerant(MediaPictures media) {
        return (picture, shown) -> {
            String id = picture.source().id();
            try {
                Frame frame = media.frame(picture, shown);
                faults.remove(id);
                return frame;
            } catch (IvrikException e) {
                LOG.warn("{}", e.oneLine(), e);
                faults.put(id, e.oneLine());
                return Frame.empty(shown);
            }
        };
    }

    /** Sources whose files have gone or changed since they were opened. */
    public boolean anyChanged(Iterable<Source> sources) {
        for (Source source : sources) {
            if (source.kind().isFile() && media.hasChanged(source.path())) {
                return true;
            }
        }
        return false;
    }

    public ScreenCache cache() {
        return cache;
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
            if (stale.isCancelled()) {
                return;
            }
            if (cache.get(request.plan(), 1).isEmpty()) {
                answer(request, render(request, QUICK_SCALE, stale), null, false);
            }
            Map<Show, Shown> fine = render(request, 1, stale);
            Frame result = frame(request, Show.RESULT, 1, stale);
            Frame source = renderer.render(request.plan().untouched(), 1, stale);
            Register register = register(request, result, source, stale);
            answer(request, fine, register, misses(request, stale));
        } catch (CancelledException e) {
            // a newer request is already waiting
        } catch (IvrikException e) {
            LOG.warn("{}", e.oneLine(), e);
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("a frame could not be rendered", e);
        }
    }

    /**
     * How far the result is from the source. Where no layer has anything done to it that is no proof yet:
     * then the lanes of the one on the desk are really rejoined, without the short cut of leaving them
     * alone.
     */
    private Register register(Request request, Frame result, Frame source, Cancel stale) {
        Register shown = Register.between(result, source, workers);
        Plan plan = request.plan();
        boolean untouched = plan.layers().stream().allMatch(LayerPlan::isNeutral);
        return shown.isExact() && untouched && request.layer() >= 0
                ? renderer.proof(plan, plan.layers().get(request.layer()), request.look(), 1, stale)
                : shown;
    }

    private boolean misses(Request request, Cancel stale) {
        if (request.layer() < 0) {
            return false;
        }
        LayerPlan layer = request.plan().layers().get(request.layer());
        return request.look() < layer.looks().size()
                && layer.looks().get(request.look()).reach().isPresent()
                && renderer.reached(request.plan(), layer, request.look(), 1, stale).isFlat(0);
    }

    private void answer(
            Request request, Map<Show, Shown> shown, Register register, boolean missed) {
        Answer answer = new Answer(request, shown, register, missed, Map.copyOf(faults));
        Platform.runLater(
                () -> {
                    if (newest.get() == request) {
                        answers.accept(answer);
                    }
                });
    }

    private Map<Show, Shown> render(Request request, double scale, Cancel cancel) {
        Map<Show, Shown> shown = new EnumMap<>(Show.class);
        for (Show show : request.shows()) {
            if (show == Show.HELD) {
                continue;
            }
            Shown made = Shown.of(frame(request, show, scale, cancel), scale, workers);
            shown.put(show, made);
            if (show == Show.RESULT) {
                cache.put(request.plan(), made);
            }
        }
        return shown;
    }

    private Frame frame(Request request, Show show, double scale, Cancel cancel) {
        Plan plan = request.plan();
        if (show.isOfALook() && request.layer() < 0) {
            return Frame.empty(plan.size().scaled(scale));
        }
        return switch (show) {
            case SOURCE -> renderer.render(plan.untouched(), scale, cancel);
            case LANE_GREY, LANE_INK ->
                    LaneView.of(request, show, scale, renderer, cancel, workers);
            case REACH, REACH_OVER ->
                    LaneView.reach(request, show, scale, renderer, cancel, workers);
            case DIFFERENCE ->
                    LaneView.difference(
                            renderer.render(plan, scale, cancel),
                            renderer.render(plan.untouched(), scale, cancel),
                            workers);
            default -> renderer.render(plan, scale, cancel);
        };
    }

    /** Makes a frame for playback and keeps it, in the calling thread. */
    void prepare(Plan plan, double scale) {
        Size size = plan.size().scaled(scale);
        int[] pixels = new int[(int) size.pixels()];
        renderer.toScreen(plan, scale, pixels, Cancel.NEVER);
        cache.put(plan, new Shown(pixels, size, null, scale));
    }

    /** A small picture of a frame, in the calling thread. */
    public Shown small(Plan plan, int width) {
        double scale = Math.min(1, (double) width / plan.size().width());
        return Shown.of(renderer.render(plan, scale, Cancel.NEVER), scale, workers);
    }

    /** How far a frame is from its source, at half size, in the calling thread. */
    public Register register(Plan plan) {
        return Register.between(
                renderer.render(plan, QUICK_SCALE, Cancel.NEVER),
                renderer.render(plan.untouched(), QUICK_SCALE, Cancel.NEVER),
                workers);
    }

    /** A small picture of one frame of a source, in the calling thread. */
    public Shown thumbnail(Source source, long frame, Size size) {
        Size shown = source.size().fitInto(size);
        Frame small =
                ivrik.core.picture.Resample.to(
                        media.frame(new Plan.Picture(source, frame), shown), shown, workers);
        return Shown.of(small, 1, workers);
    }

    public void close() {
        newest.set(null);
        thread.shutdownNow();
        if (media != null) {
            media.close();
        }
    }
}
