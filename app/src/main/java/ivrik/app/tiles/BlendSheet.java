package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** This frame in all blend modes: of the rejoin, or of the look. */
public final class BlendSheet extends TileBand {
    private static final int TILE = 82;

    private boolean blend;

    public BlendSheet(Session session, View view, PictureService service) {
        super(
                session,
                view,
                service,
                "Blend sheet",
                "arrow keys or the pointer preview a mode, Enter or click applies it, Escape"
                        + " closes");
        ToggleGroup group = new ToggleGroup();
        ToggleButton channels =
                target(
                        "between channels",
                        "Previews how the channels blend with each other in the rejoin",
                        group,
                        false);
        ToggleButton picture =
                target(
                        "with picture below",
                        "Previews how the look blends with the untreated picture below",
                        group,
                        true);
        channels.setSelected(true);
        addToHead(channels, picture, back());
    }

    private ToggleButton target(String title, String help, ToggleGroup group, boolean isLookBlend) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().add("plain");
        button.setId(isLookBlend ? "blend-picture" : "blend-channels");
        button.setToggleGroup(group);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(
                e -> {
                    button.setSelected(true);
                    blend = isLookBlend;
                    make();
                });
        return button;
    }

    @Override
    List<Tile> tiles() {
        List<Tile> tiles = new ArrayList<>();
        if (blend) {
            for (Blend each : Blend.values()) {
                tiles.add(
                        new Tile(
                                each.id(),
                                each == Blend.NORMAL ? "Replace" : each.title(),
                                session.lookChange(blend(each))));
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

    private static UnaryOperator<Look> blend(Blend blend) {
        return look -> look.withBlend(new LookBlend(blend, look.blend().opacity()));
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
        String now = blend ? look.blend().mode().id() : look.rejoin().id();
        return tiles.stream().map(Tile::id).toList().indexOf(now);
    }

    @Override
    void take(Tile tile) {
        view.trial.set(null);
        session.edit((blend ? "Blend: " : "Rejoin: ") + tile.id(), tile.trial());
        view.band.set(View.Band.NONE);
    }
}
