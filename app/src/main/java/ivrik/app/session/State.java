package ivrik.app.session;

import ivrik.core.look.Burst;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;

import java.util.List;
import java.util.Optional;

/** The project and the selection. */
public record State(Project project, Selection selection) {
    /**
     * Ids of the selected layer, look, step and burst, and index of the channel. Missing ones stand for the
     * first.
     */
    public record Selection(String layer, String look, String step, String burst, int channel) {
        public static final Selection FIRST = new Selection("", "", "", "", 0);

        /** Selects the first look of a layer. */
        public static Selection of(String layer, int channel) {
            return new Selection(layer, "", "", "", channel);
        }

        Selection withLook(String id) {
            return new Selection(layer, id, "", "", channel);
        }

        Selection withCell(String id, int number) {
            return new Selection(layer, look, id, burst, number);
        }

        Selection withBurst(String id) {
            return new Selection(layer, look, step, id, channel);
        }
    }

    /** The selected layer, or the bottom layer. */
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

    /** Index of the selected look in the layer. */
    public int lookNumber() {
        List<LayerLook> looks = layer().map(Layer::looks).orElse(List.of());
        for (int i = 0; i < looks.size(); i++) {
            if (looks.get(i).id().equals(selection.look())) {
                return i;
            }
        }
        return 0;
    }

    public int channel() {
        int channels = look().map(l -> l.channels().size()).orElse(1);
        return Math.clamp(selection.channel(), 0, channels - 1);
    }

    /** The selected treatment, or the first of the look; empty without treatments. */
    public Optional<Step> step() {
        return look().flatMap(
                        l -> l.step(selection.step()).or(() -> l.steps().stream().findFirst()));
    }

    /** Id of the selected treatment; empty if there is none. */
    public String stepId() {
        return step().map(Step::id).orElse("");
    }

    /** The selected burst, or the first of the look; empty without bursts. */
    public Optional<Burst> burst() {
        return look().flatMap(
                        l -> l.burst(selection.burst()).or(() -> l.bursts().stream().findFirst()));
    }

    /** The selected settings: of the channel in the treatment, or of the whole picture. */
    public Optional<ChannelSettings> settings() {
        return step().map(s -> s.settings(channel()));
    }
}
