package ivrik.app.band;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.project.Project;
import ivrik.core.separation.LaneKind;

import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/** Each lane alone, each pair and so on, and all together; one that is clicked stays in the pane. */
public final class Progressives extends TileBand {
    private static final int OF_THREE_LANES = 184;
    private static final int OF_FOUR_LANES = 144;

    /**
     * @param export writes these small pictures, by what they are called, as one picture
     */
    public Progressives(
            Session session,
            View view,
            PictureService service,
            Consumer<SequencedMap<String, Project>> export) {
        super(
                session,
                view,
                service,
                "Progressives",
                "each lane alone, together with others, and all; one that is clicked stays in the"
                        + " pane");
        Button save = new Button("Save as a picture...");
        save.setId("save-progressives");
        save.setTooltip(new Tooltip("All of these beside each other, as a PNG"));
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
        List<LaneKind> kinds = look.model().lanes();
        return IntStream.range(1, 1 << kinds.size())
                .boxed()
                .sorted(Comparator.comparingInt(Integer::bitCount))
                .map(set -> tile(kinds, set))
                .toList();
    }

    private Tile tile(List<LaneKind> kinds, int set) {
        List<String> letters = new ArrayList<>();
        for (int lane = 0; lane < kinds.size(); lane++) {
            if ((set >> lane & 1) == 1) {
                letters.add(kinds.get(lane).letter());
            }
        }
        boolean all = letters.size() == kinds.size();
        return new Tile(
                String.join("-", letters).toLowerCase(java.util.Locale.ROOT),
                all ? "All together" : String.join(" and ", letters),
                session.lookChange(look -> only(look, set)));
    }

    /** With no other lanes shown than those of a set, whatever their switches say. */
    private static Look only(Look look, int set) {
        Look shown = look;
        for (int lane = 0; lane < look.lanes().size(); lane++) {
            boolean mute = (set >> lane & 1) == 0;
            shown = shown.withLane(lane, (LaneState s) -> s.withSolo(false).withMute(mute));
        }
        return shown;
    }

    @Override
    int tileWidth(int count) {
        return count <= 7 ? OF_THREE_LANES : OF_FOUR_LANES;
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
