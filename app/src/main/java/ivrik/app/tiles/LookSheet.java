package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.LookApplication;
import ivrik.app.session.LookApplication.How;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.Search;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.LayerLook;
import ivrik.media.file.LookLibrary.SavedLook;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.control.ToggleButton;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * All looks applied to this frame, the user's own and those of the project first; the tile under the pointer
 * or focus is animated.
 */
public final class LookSheet extends FoundTiles {
    private static final int TILE = 116;
    private static final String YOURS = "Your looks";
    private static final String OWN = "In this project";

    private final LookApplication laying;
    private final ReadOnlyObjectProperty<List<SavedLook>> kept;
    private final ToggleButton over =
            Controls.toggle(
                    "add-on-top",
                    "Add on top",
                    "Adds the look after the existing ones instead of replacing the selected look");

    /** Looks by tile id. */
    private final Map<String, Look> looks = new HashMap<>();

    /**
     * @param kept the user's looks
     */
    public LookSheet(
            Session session,
            View view,
            PictureService service,
            LookApplication laying,
            ReadOnlyObjectProperty<List<SavedLook>> kept) {
        super(
                session,
                view,
                service,
                "Looks",
                "type to search, arrow keys to select, Enter or click to apply, Escape to close",
                "find-look",
                "grain, CRT, glitch ...");
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
        for (SavedLook kept : kept.get()) {
            add("own-look-" + kept.look().name(), YOURS, kept.look(), tiles);
        }
        List<Look> own = own();
        for (int i = 0; i < own.size(); i++) {
            add("own-" + i, OWN, own.get(i), tiles);
        }
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            add(each.look().name(), each.group().title(), each.withExampleSettings(), tiles);
        }
        return tiles;
    }

    private void add(String id, String group, Look look, List<Tile> tiles) {
        if (Search.fits(asked(), look.searchText() + " " + group)) {
            looks.put(id, look);
            tiles.add(new Tile(id, look.displayName(), group, laying.change(look, how())));
        }
    }

    /** Looks of other layers, and others of this one. */
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
        laying.apply(look, how());
    }
}
