package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.project.Project;
import ivrik.core.separation.ChannelKind;

import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/** Each channel alone, each pair and so on, and all together; a clicked one stays in the pane. */
public final class ChannelCombinations extends TileBand {
    private static final int OF_THREE_CHANNELS = 184;
    private static final int OF_FOUR_CHANNELS = 144;

    /**
     * @param export writes the tiles, by title, as one picture
     */
    public ChannelCombinations(
            Session session,
            View view,
            PictureService service,
            Consumer<SequencedMap<String, Project>> export) {
        super(
                session,
                view,
                service,
                "Channel combinations",
                "each channel alone, each pair, and all together; click a tile to keep it in"
                        + " the pane");
        Button save = new Button("Export image...");
        save.setId("save-channel-combinations");
        save.setTooltip(new Tooltip("Exports all tiles side by side as one PNG"));
        save.setOnAction(
                e -> {
                    SequencedMap<String, Project> all = new LinkedHashMap<>();
                    tiles().forEach(t -> all.put(t.title(), t.trial().apply(session.project())));
                    export.accept(all);
                });
        addToHead(save, back());
    }

    @Override
    List<Tile> tiles() {
        Look look = session.state().look().orElse(null);
        if (look == null) {
            return List.of();
        }
        List<ChannelKind> kinds = look.model().channels();
        return IntStream.range(1, 1 << kinds.size())
                .boxed()
                .sorted(Comparator.comparingInt(Integer::bitCount))
                .map(set -> tile(kinds, set))
                .toList();
    }

    private Tile tile(List<ChannelKind> kinds, int set) {
        List<String> letters = new ArrayList<>();
        for (int channel = 0; channel < kinds.size(); channel++) {
            if ((set >> channel & 1) == 1) {
                letters.add(kinds.get(channel).letter());
            }
        }
        boolean all = letters.size() == kinds.size();
        return new Tile(
                String.join("-", letters).toLowerCase(java.util.Locale.ROOT),
                all ? "All channels" : String.join(" and ", letters),
                session.lookChange(look -> only(look, set)));
    }

    /** The look with exactly these channels visible. */
    private static Look only(Look look, int set) {
        Look shown = look;
        for (int channel = 0; channel < look.channels().size(); channel++) {
            boolean mute = (set >> channel & 1) == 0;
            shown =
                    shown.withChannel(
                            channel, (ChannelState s) -> s.withSolo(false).withMute(mute));
        }
        return shown;
    }

    @Override
    int tileWidth(int count) {
        return count <= 7 ? OF_THREE_CHANNELS : OF_FOUR_CHANNELS;
    }

    @Override
    int present(List<Tile> tiles) {
        return tiles.size() - 1;
    }

    @Override
    void take(Tile tile) {
        view.trial.set(tile.trial());
    }
}
