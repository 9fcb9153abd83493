package ivrik.app.band;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Look;
import ivrik.core.look.Onto;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** This frame in all blend modes at once: how lanes rejoin, or how the look meets the picture. */
public final class BlendSheet extends TileBand {
    private static final int TILE = 82;

    private boolean onto;

    public BlendSheet(Session session, View view, PictureService service) {
        super(
                session,
                view,
                service,
                "All blend modes",
                "arrow keys or the pointer try one, Enter or a click takes it, Escape goes back");
        ToggleGroup group = new ToggleGroup();
        ToggleButton lanes = target("lanes rejoined", "The lanes upon each other", group, false);
        ToggleButton picture =
                target("onto the picture", "The look upon the untouched picture", group, true);
        lanes.setSelected(true);
        addToHead(lanes, picture, back());
    }

    private ToggleButton target(String title, String help, ToggleGroup group, boolean isOnto) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().add("plain");
        button.setId(isOnto ? "blend-onto" : "blend-lanes");
        button.setToggleGroup(group);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(
                e -> {
                    button.setSelected(true);
                    onto = isOnto;
                    make();
                });
        return button;
    }

    @Override
    List<Tile> tiles() {
        List<Tile> tiles = new ArrayList<>();
        if (onto) {
            for (Blend each : Blend.values()) {
                tiles.add(
                        new Tile(
                                each.id(),
                                each == Blend.NORMAL ? "In its place" : each.title(),
                                session.lookChange(onto(each))));
            }
        } else {
            for (Rejoin each : Rejoin.all()) {
                tiles.add(
                        new Tile(
                                each.id(),
                                each.title(),
                                session.lookChange(l -> l.withRejoin(each))));
            }
        }
        return tiles;
    }

    private static UnaryOperator<Look> onto(Blend blend) {
        return look -> look.withOnto(new Onto(blend, look.onto().amount()));
    }

    @Override
    int tileWidth(int count) {
        return TILE;
    }

    @Override
    int present(List<Tile> tiles) {
        Look look = session.state().look().orElse(null);
        if (look == null) {
            return -1;
        }
        String now = onto ? look.onto().blend().id() : look.rejoin().id();
        return tiles.stream().map(Tile::id).toList().indexOf(now);
    }

    @Override
    void take(Tile tile) {
        view.trial.set(null);
        session.edit((onto ? "Onto: " : "Rejoin: ") + tile.id(), tile.trial());
        view.band.set(View.Band.NONE);
    }
}
