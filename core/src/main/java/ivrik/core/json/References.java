package ivrik.core.json;

import ivrik.core.look.Burst;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Anchor;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Take;

import java.util.function.Consumer;

/** What parts of a project name others by: each must be there. */
final class References {
    private final Project project;
    private final Consumer<String> problems;

    private References(Project project, Consumer<String> problems) {
        this.project = project;
        this.problems = problems;
    }

    /** Tells of every source and layer that is named and not there. */
    static void check(Project project, Consumer<String> problems) {
        References references = new References(project, problems);
        project.layers().forEach(references::check);
    }

    private void check(Layer layer) {
        String where = "layer " + layer.name();
        for (Clip clip : layer.clips()) {
            if (!clip.isSpan() && project.source(clip.source()).isEmpty()) {
                problems.accept(where + " shows a source that is not listed: " + clip.source());
            }
        }
        for (LayerLook look : layer.looks()) {
            check(look.look(), layer, where + ", look " + look.look().name());
        }
        for (Take take : layer.takes()) {
            for (LayerLook look : take.looks()) {
                check(
                        look.look(),
                        layer,
                        where + ", take " + take.name() + ", look " + look.look().name());
            }
        }
    }

    private void check(Look look, Layer layer, String where) {
        for (Step step : look.steps()) {
            source(step.picture(), where + ", step " + step.id());
        }
        for (int i = 0; i < look.lanes().size(); i++) {
            LaneState lane = look.lanes().get(i);
            source(lane.feed().source(), where + ", " + look.model().lanes().get(i).title());
        }
        for (Burst burst : look.bursts()) {
            anchor(burst.anchor(), layer, where + ", burst " + burst.name());
        }
        String matte = look.reach().matte().layer();
        if (!matte.isEmpty() && project.layer(matte).isEmpty()) {
            problems.accept(where + " is held in by a layer that is not there: " + matte);
        }
    }

    /** A burst whose anchor is not there moves nothing. */
    private void anchor(Anchor anchor, Layer layer, String where) {
        switch (anchor) {
            case Anchor.AtFrame at -> {}
            case Anchor.AtCut at -> {
                if (!project.cuts(layer).containsKey(at.clip())) {
                    problems.accept(where + " stands on a cut that is not there: " + at.clip());
                }
            }
            case Anchor.AtMarkers at ->
                    at.markers().stream()
                            .filter(
                                    id ->
                                            project.markers().stream()
                                                    .noneMatch(m -> m.id().equals(id)))
                            .forEach(
                                    id ->
                                            problems.accept(
                                                    where
                                                            + " stands on a marker that is not"
                                                            + " there: "
                                                            + id));
        }
    }

    private void source(String id, String where) {
        if (!id.isEmpty() && project.source(id).isEmpty()) {
            problems.accept(where + " uses a source that is not listed: " + id);
        }
    }
}
