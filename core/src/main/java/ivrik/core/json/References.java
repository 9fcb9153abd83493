package ivrik.core.json;

import ivrik.core.look.Burst;
import ivrik.core.look.BurstTitle;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Anchor;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Take;

import java.util.function.Consumer;

/** Checks references between parts of a project. */
final class References {
    private final Project project;
    private final Consumer<String> problems;

    private References(Project project, Consumer<String> problems) {
        this.project = project;
        this.problems = problems;
    }

    /** Reports each reference to a source or layer that does not exist. */
    static void check(Project project, Consumer<String> problems) {
        References references = new References(project, problems);
        project.layers().forEach(references::check);
    }

    private void check(Layer layer) {
        String where = "layer " + layer.name();
        for (Clip clip : layer.clips()) {
            if (!clip.isSpan() && project.source(clip.source()).isEmpty()) {
                problems.accept(where + " uses an unknown source: " + clip.source());
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
            source(step.picture(), where + ", treatment " + step.id());
        }
        for (int i = 0; i < look.channels().size(); i++) {
            ChannelState channel = look.channels().get(i);
            source(
                    channel.channelSource().source(),
                    where + ", " + look.model().channels().get(i).title());
        }
        for (Burst burst : look.bursts()) {
            anchor(burst.anchor(), layer, where + ", burst " + BurstTitle.of(look, burst));
        }
        String matte = look.mask().matte().layer();
        if (!matte.isEmpty() && project.layer(matte).isEmpty()) {
            problems.accept(where + " has a mask that uses an unknown layer: " + matte);
        }
    }

    /** Reports an anchor that does not exist: its burst has no effect. */
    private void anchor(Anchor anchor, Layer layer, String where) {
        switch (anchor) {
            case Anchor.AtFrame at -> {}
            case Anchor.AtCut at -> {
                if (!project.cuts(layer).containsKey(at.clip())) {
                    problems.accept(where + " is anchored to an unknown cut: " + at.clip());
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
                                                            + " is anchored to an unknown marker: "
                                                            + id));
        }
    }

    private void source(String id, String where) {
        if (!id.isEmpty() && project.source(id).isEmpty()) {
            problems.accept(where + " uses an unknown source: " + id);
        }
    }
}
