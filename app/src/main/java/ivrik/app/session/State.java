package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;

import java.util.Optional;

/** One root: the project and what is selected in it. */
public record State(Project project, Selection selection) {
    /** The layer, look, step and lane being worked on; numbers may point past the end after an edit. */
    public record Selection(String layer, int look, int step, int lane) {
        public static final Selection FIRST = new Selection("", 0, 0, 0);
    }

    /** The selected layer, or the lowest. */
    public Optional<Layer> layer() {
        return project.layer(selection.layer()).or(() -> project.layers().stream().findFirst());
    }

    public Optional<Look> look() {
        return layer().map(l -> l.looks().get(lookNumber()).look());
    }

    /** Which of the layer's looks it is. */
    public int lookNumber() {
        int looks = layer().map(l -> l.looks().size()).orElse(1);
        return Math.clamp(selection.look(), 0, looks - 1);
    }

    public int lane() {
        int lanes = look().map(l -> l.lanes().size()).orElse(1);
        return Math.clamp(selection.lane(), 0, lanes - 1);
    }

    public int step() {
        int steps = look().map(l -> l.steps().size()).orElse(1);
        return Math.clamp(selection.step(), 0, Math.max(0, steps - 1));
    }
}
