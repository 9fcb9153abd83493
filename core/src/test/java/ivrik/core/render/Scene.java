package ivrik.core.render;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.Optional;
import java.util.function.LongFunction;

/** A small project with computed sources, one picture per frame. */
final class Scene {
    static final int FRAMES = 40;
    static final Rational RATE = Rational.of(24);

    private final LongFunction<Frame> picture;
    private final Size size;

    Scene(LongFunction<Frame> picture) {
        this.picture = picture;
        this.size = picture.apply(0).size();
    }

    Scene(Frame still) {
        this(n -> still);
    }

    static Source movie(String id, Size size) {
        return new Source(id, id, id + ".mkv", Source.Kind.MOVIE, size, RATE, FRAMES, false);
    }

    Sequence sequence() {
        return new Sequence(size, RATE);
    }

    /** One layer of the movie {@code a} under a look, in a sequence of the picture's size. */
    Project project(Look look) {
        return new Project(
                "scene",
                sequence(),
                List.of(movie("a", size), movie("b", size)),
                List.of(Layer.of("l", "l", look, new Clip("a", 0, FRAMES, 0))),
                List.of(),
                Optional.empty());
    }

    Renderer renderer() {
        return renderer(Workers.shared());
    }

    Renderer renderer(Workers workers) {
        return new Renderer(
                (p, shown) -> Resample.to(picture.apply(p.frame()), shown, workers),
                workers,
                new FrameCache(1 << 28));
    }

    /** The overscan that the moves of a look require. */
    OverscanFinder.Result demanded(Look look) {
        Project project = project(look);
        Layer layer = project.layers().getFirst();
        return new Planner(project).demanded(layer, layer.looks().getFirst(), Cancellation.NEVER);
    }

    Frame render(Project project, long frame) {
        return renderer().render(project, frame);
    }
}
