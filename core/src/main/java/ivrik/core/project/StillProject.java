package ivrik.core.project;

import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Placement;
import ivrik.core.look.Target.OfPlacement;
import ivrik.core.look.Targets;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;

import java.util.stream.Stream;

/** Recognises projects whose frames all show one picture, apart from noise that changes by itself. */
public final class StillProject {
    private StillProject() {}

    /**
     * Whether every layer is one still for the whole sequence without keyframes, jitter and bursts. A project
     * without layers is not a still.
     */
    public static boolean is(Project project) {
        return !project.layers().isEmpty()
                && project.layers().stream().allMatch(layer -> isStill(project, layer));
    }

    private static boolean isStill(Project project, Layer layer) {
        boolean isWhole =
                layer.clips().size() == 1
                        && layer.clips().getFirst().start() <= 0
                        && layer.end() >= project.frames();
        return isWhole
                && layer.clips().stream().allMatch(clip -> isStill(project, clip))
                && !layer.opacity().isMoving()
                && Placement.PARTS.stream()
                        .map(p -> layer.value(new OfPlacement(p.name())))
                        .flatMap(v -> v.stream())
                        .noneMatch(Value::isMoving)
                && layer.looks().stream().allMatch(l -> isStill(l.look()));
    }

    private static boolean isStill(Project project, Clip clip) {
        return clip.isSpan()
                || project.source(clip.source()).filter(s -> s.kind().isStill()).isPresent();
    }

    private static boolean isStill(Look look) {
        return look.bursts().isEmpty()
                && Targets.keyed(look).stream()
                        .flatMap(t -> Targets.value(look, t).stream())
                        .noneMatch(Value::isMoving)
                && look.steps().stream()
                        .flatMap(s -> s.channels().stream())
                        .flatMap(StillProject::jitters)
                        .allMatch(Jitter::isNone);
    }

    private static Stream<Jitter> jitters(ChannelSettings settings) {
        return Stream.concat(Stream.of(settings.jitter()), settings.jitters().values().stream());
    }
}
