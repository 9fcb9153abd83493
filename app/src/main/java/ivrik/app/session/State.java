package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.Burst;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;

import java.util.List;
import java.util.Optional;

/** One root: the project and what is selected in it. */
public record State(Project project, Selection selection) {
    /**
     * What is being worked on: the ids of the layer, its look, its step and its burst, and the number of
     * the lane. What is no longer there stands for the first that is.
     */
    public record Selection(String layer, String look, String step, String burst, int lane) {
        public static final Selection FIRST = new Selection("", "", "", "", 0);

        /** The first look of a layer. */
        public static Selection of(String layer, int lane) {
            return new Selection(layer, "", "", "", lane);
        }

        Selection withLook(String id) {
            return new Selection(layer, id, "", "", lane);
        }

        Selection withCell(String id, int number) {
            return new Selection(layer, look, id, burst, number);
        }

        Selection withBurst(String id) {
            return new Selection(layer, look, step, id, lane);
        }
    }

    /** The selected layer, or the lowest. */
    public Optional<Layer> layer() {
        return project.layer(selection.layer()).or(() -> project.layers().stream().findFirst());
    }

    /** The selected look of the layer, or its first. */
    public Optional<LayerLook> layerLook() {
        return layer().map(l -> l.looks().get(lookNumber()));
    }

    public Optional<Look> look() {
        return layerLook().map(LayerLook::look);
    }

    /** Which of the layer's looks it is. */
    public int lookNumber() {
        List<LayerLook> looks = layer().map(Layer::looks).orElse(List.of());
        for (int i = 0; i < looks.size(); i++) {
            if (looks.get(i).id().equals(selection.look())) {
                return i;
            }
        }
        return 0;
    }

    public int lane() {
        int lanes = look().map(l -> l.lanes().size()).orElse(1);
        return Math.clamp(selection.lane(), 0, lanes - 1);
    }

    /** The selected treatment, or the first of the look; empty if it has none. */
    public Optional<Step> step() {
        return look().flatMap(
                        l -> l.step(selection.step()).or(() -> l.steps().stream().findFirst()));
    }

    /** The id of the selected treatment; empty if there is none. */
    public String stepId() {
        return step().map(Step::id).orElse("");
    }

    /** The selected burst, or the first of the look; empty if it has none. */
    public Optional<Burst> burst() {
        return look().flatMap(
                        l -> l.burst(selection.burst()).or(() -> l.bursts().stream().findFirst()));
    }

    /** The amounts being worked on: of the lane in the selected treatment, or of the picture. */
    public Optional<Amounts> amounts() {
        return step().map(s -> s.amounts(lane()));
    }
}
