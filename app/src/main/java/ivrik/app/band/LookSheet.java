package ivrik.app.band;

import ivrik.app.control.Controls;
import ivrik.app.control.Finding;
import ivrik.app.picture.PictureService;
import ivrik.app.session.Laying;
import ivrik.app.session.Laying.How;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.LayerLook;
import ivrik.media.file.LookLibrary.Kept;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.control.ToggleButton;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * All looks, each as what it would make of this frame, the user's own and those of the project first; the one that
 * the pointer or the keys rest on moves.
 */
public final class LookSheet extends FoundTiles {
    private static final int TILE = 116;
    private static final String YOURS = "Your looks";
    private static final String OWN = "In this project";

    private final Laying laying;
    private final ReadOnlyObjectProperty<List<Kept>> kept;
    private final ToggleButton over =
            Controls.toggle(
                    "lay-over", "On top", "Lays the look over what is there, and keeps that");

    /** Looks by the ids of their tiles. */
    private final Map<String, Look> looks = new HashMap<>();

    /**
     * @param kept the user's own
     */
    public LookSheet(
            Session session,
            View view,
            PictureService service,
            Laying laying,
            ReadOnlyObjectProperty<List<Kept>> kept) {
        super(
                session,
                view,
                service,
                "Looks",
                "type a few letters, walk with the arrow keys, Enter or a click lays it on",
                "find-look",
                "grain, tube, glitch ...");
        this.laying = laying;
        this.kept = kept;
        over.selectedProperty()
                .addListener(
                        (o, a, b) -> {
                            make();
                            typeOn();
                        });
        addToHead(over);
        finishHead();
    }

    private How how() {
        return over.isSelected() ? How.OVER : How.INSTEAD;
    }

    @Override
    List<Tile> tiles() {
        List<Tile> tiles = new ArrayList<>();
        looks.clear();
        for (Kept kept : kept.get()) {
            add("kept-" + kept.look().name(), YOURS, kept.look(), tiles);
        }
        List<Look> own = own();
        for (int i = 0; i < own.size(); i++) {
            add("own-" + i, OWN, own.get(i), tiles);
        }
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            add(each.look().name(), each.group().title(), each.shownOff(), tiles);
        }
        return tiles;
    }

    private void add(String id, String group, Look look, List<Tile> tiles) {
        if (Finding.fits(asked(), look.words() + " " + group)) {
            looks.put(id, look);
            tiles.add(new Tile(id, look.shownName(), group, laying.change(look, how())));
        }
    }

    /** Looks of other layers, and others of this one, as they are set. */
    private List<Look> own() {
        Set<Look> seen = new HashSet<>();
        session.state().look().ifPresent(seen::add);
        return session.project().layers().stream()
                .flatMap(l -> l.looks().stream())
                .map(LayerLook::look)
                .filter(l -> !l.steps().isEmpty() || !l.dials().isEmpty())
                .filter(seen::add)
                .toList();
    }

    @Override
    int tileWidth(int count) {
        return TILE;
    }

    @Override
    boolean moves() {
        return true;
    }

    @Override
    void take(Tile tile) {
        Look look = looks.get(tile.id());
        view.trial.set(null);
        view.band.set(View.Band.NONE);
        laying.lay(look, how());
    }
}
