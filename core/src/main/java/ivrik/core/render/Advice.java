package ivrik.core.render;

import ivrik.core.look.Step;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;

import java.util.ArrayList;
import java.util.List;

/** Reports settings of a project that have no visible effect at the rendered size. */
public final class Advice {
    private Advice() {}

    /**
     * Messages about the treatments at a frame, each with the name of its layer.
     *
     * @param scale rendered pixels per pixel of the full-size sequence
     */
    public static List<String> at(Project project, long frame, double scale) {
        Planner planner = new Planner(project);
        List<String> messages = new ArrayList<>();
        for (Layer layer : project.layers()) {
            Instant instant = planner.instant(layer, Rational.of(frame));
            boolean there = layer.visible() && layer.clipAt(frame).isPresent();
            for (LayerLook look : there ? layer.looks() : List.<LayerLook>of()) {
                LookPlanner values = Planner.planner(layer, look, instant);
                for (Step step : look.on() ? look.look().steps() : List.<Step>of()) {
                    if (step.on()) {
                        step.kind()
                                .advice(values.settings(step, 0), project.sequence().size(), scale)
                                .map(word -> layer.name() + ": at this size " + word)
                                .ifPresent(messages::add);
                    }
                }
            }
        }
        return messages;
    }
}
