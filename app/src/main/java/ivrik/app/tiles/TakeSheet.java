package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.TakeEdits;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.app.session.View.TakeId;
import ivrik.app.widget.Controls;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Variants;
import ivrik.core.look.Variants.Variant;
import ivrik.core.project.Layer;
import ivrik.core.project.Take;
import ivrik.core.project.Takes;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** The takes of the layer side by side, and variants of the selected look to be saved as takes. */
public final class TakeSheet extends TileBand {
    private static final int TILE = 128;
    private static final int SEEDS = 12;
    private static final int COLUMNS = 6;
    private static final int ROWS = 2;
    private static final String NAME = "take-name-";

    /** What is shown. */
    private enum Which {
        KEPT("saved", "Saved takes of this layer"),
        SEEDS("vary seed", "The current look with other seeds"),
        DIALS("vary two dials", "The current look over a grid of two dial values");

        private final String title;
        private final String help;

        Which(String title, String help) {
            this.title = title;
            this.help = help;
        }
    }

    private final TakeEdits takes;
    private final MenuButton across =
            dialMenu("take-across", "Dial that increases from left to right", d -> x = d);
    private final MenuButton down =
            dialMenu("take-down", "Dial that increases from top to bottom", d -> y = d);
    private final ToggleButton play =
            Controls.toggle("play-takes", "Play all", "Plays all tiles together at reduced size");
    private Which which = Which.KEPT;

    /** Dials of the grid; empty for the first two. */
    private String x = "";

    private String y = "";

    /** Variants by tile id. */
    private final Map<String, Variant> variants = new HashMap<>();

    /** The layer that the tiles were made from. */
    private Optional<Layer> made = Optional.empty();

    public TakeSheet(Session session, View view, PictureService service) {
        super(session, view, service, "Takes", "click a take to apply it, Escape closes");
        takes = new TakeEdits(session, view);
        ToggleGroup group = new ToggleGroup();
        for (Which each : Which.values()) {
            ToggleButton button =
                    Controls.toggle(
                            "takes-" + each.name().toLowerCase(Locale.ROOT), each.title, each.help);
            button.setToggleGroup(group);
            button.setSelected(each == which);
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        which = each;
                        make();
                    });
            addToHead(button);
        }
        play.selectedProperty().addListener((o, a, b) -> playAll(b));
        Button keep = new Button("Save as take");
        keep.setId("save-take");
        Controls.explain(keep, "Saves the layer's current looks as a take");
        keep.setOnAction(e -> takes.save());
        addToHead(across, down, play, keep, back());
    }

    private MenuButton dialMenu(String id, String help, Consumer<String> chosen) {
        return Controls.menu(
                id,
                help,
                () ->
                        dials().stream()
                                .map(
                                        d ->
                                                Controls.item(
                                                        d.name(),
                                                        d.title(),
                                                        () -> {
                                                            chosen.accept(d.name());
                                                            make();
                                                        }))
                                .toList());
    }

    private List<Dial> dials() {
        return session.state().look().map(Look::dials).orElse(List.of());
    }

    /** The dial of a name, or else of an index; null if there are too few. */
    private Dial dial(String name, int number) {
        List<Dial> all = dials();
        return all.stream()
                .filter(d -> d.name().equals(name))
                .findFirst()
                .orElse(number < all.size() ? all.get(number) : null);
    }

    /** The dial of the rows, different from that of the columns. */
    private Dial second(Dial first) {
        Dial chosen = dial(y, 1);
        return chosen != first
                ? chosen
                : dials().stream().filter(d -> d != first).findFirst().orElse(null);
    }

    @Override
    List<Tile> tiles() {
        made = session.state().layer();
        Dial first = dial(x, 0);
        Dial second = second(first);
        boolean grid = which == Which.DIALS && second != null;
        for (MenuButton menu : List.of(across, down)) {
            menu.setVisible(grid);
            menu.setManaged(grid);
        }
        play.setSelected(false);
        if (made.isEmpty()) {
            return List.of();
        }
        return switch (which) {
            case KEPT -> kept(made.get());
            case SEEDS -> tiles(Variants.bySeed(look(), SEEDS));
            case DIALS -> grid ? grid(first, second) : List.of();
        };
    }

    private Look look() {
        return session.state().look().orElseThrow();
    }

    /** The takes, preceded by the present looks unless they equal a take. */
    private List<Tile> kept(Layer layer) {
        variants.clear();
        List<Tile> tiles = new ArrayList<>();
        if (Takes.now(layer).isEmpty()) {
            tiles.add(new Tile("now", "Current", p -> p));
        }
        for (Take take : layer.takes()) {
            tiles.add(new Tile(take.id(), take.name(), p -> Takes.applied(p, layer.id(), take)));
        }
        return tiles;
    }

    private List<Tile> grid(Dial first, Dial second) {
        Controls.show(across, first.name(), "horizontal: " + first.title());
        Controls.show(down, second.name(), "vertical: " + second.title());
        return tiles(Variants.byDials(look(), first.name(), second.name(), COLUMNS, ROWS));
    }

    private List<Tile> tiles(List<Variant> all) {
        variants.clear();
        List<Tile> tiles = new ArrayList<>();
        for (Variant each : all) {
            String id = "variant-" + tiles.size();
            variants.put(id, each);
            tiles.add(
                    new Tile(
                            id,
                            each.differs(),
                            each.row(),
                            session.lookChange(look -> each.look())));
        }
        return tiles;
    }

    @Override
    String emptyText() {
        return "The current look has fewer than two dials. Add dials, or apply a look from"
                + " the tray.";
    }

    /** An editable name for a take; a button beside the name for a variant. */
    @Override
    Node title(Tile tile) {
        Variant variant = variants.get(tile.id());
        if (variant != null) {
            Button keep =
                    small(
                            "save-take-" + tile.id(),
                            "Save as take",
                            "Saves this variant as a take",
                            () -> takes.save(variant.name(), l -> variant.look()));
            keep.setOnMouseClicked(MouseEvent::consume);
            return Controls.row(new Label(tile.title()), keep);
        }
        if (take(tile.id()).isEmpty()) {
            return super.title(tile);
        }
        TextField name = new TextField(tile.title());
        name.setId(NAME + tile.id());
        name.setMaxWidth(Double.MAX_VALUE);
        name.setTooltip(new Tooltip("Name of the take, also used for its exported file"));
        name.setOnMouseClicked(MouseEvent::consume);
        name.setOnAction(e -> requestFocus());
        name.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was) {
                                takes.rename(tile.id(), name.getText());
                            }
                        });
        return name;
    }

    private Optional<Take> take(String id) {
        return made.flatMap(l -> l.take(id)).filter(t -> which == Which.KEPT);
    }

    @Override
    List<Node> extras(Tile tile) {
        return take(tile.id()).<List<Node>>map(t -> List.of(ofTake(t))).orElse(List.of());
    }

    private HBox ofTake(Take take) {
        ToggleButton mark =
                Controls.toggle("mark-" + take.id(), "For export", "Marks this take for export");
        mark.setSelected(take.markedForExport());
        mark.setOnAction(e -> takes.mark(take.id(), mark.isSelected()));
        HBox row =
                new HBox(
                        2,
                        mark,
                        small(
                                "left-" + take.id(),
                                "Left",
                                "Shows this take in the left pane",
                                () -> compare(take, view.paneA, view.takeA, Show.TAKE)),
                        small(
                                "right-" + take.id(),
                                "Right",
                                "Shows this take in the right pane",
                                () -> {
                                    view.twoPanes.set(true);
                                    compare(take, view.paneB, view.takeB, Show.OTHER_TAKE);
                                }),
                        small(
                                "remove-" + take.id(),
                                "\u00d7",
                                "Deletes this take. Undo restores it",
                                () -> takes.remove(take.id())));
        row.setAlignment(Pos.CENTER);
        row.setOnMouseClicked(MouseEvent::consume);
        return row;
    }

    private void compare(
            Take take, ObjectProperty<Show> pane, ObjectProperty<TakeId> shown, Show asTake) {
        shown.set(new TakeId(made.orElseThrow().id(), take.id()));
        pane.set(asTake);
    }

    private static Button small(String id, String title, String help, Runnable action) {
        Button button = new Button(title);
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setMinWidth(USE_PREF_SIZE);
        button.setFocusTraversable(false);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(e -> action.run());
        return button;
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
    boolean isTyping() {
        return getScene().getFocusOwner() instanceof TextField;
    }

    /** Updates after the takes or the varied look changed. */
    @Override
    void changed() {
        if (made.equals(session.state().layer())) {
            renderAll();
        } else {
            make();
        }
    }

    @Override
    int present(List<Tile> tiles) {
        String now = made.flatMap(Takes::now).map(Take::id).orElse("now");
        return tiles.stream().map(Tile::id).toList().indexOf(now);
    }

    @Override
    void take(Tile tile) {
        view.trial.set(null);
        Variant variant = variants.get(tile.id());
        if (which != Which.KEPT && variant != null) {
            view.band.set(View.Band.NONE);
            session.editLook("Apply " + variant.name(), l -> variant.look());
            return;
        }
        take(tile.id()).ifPresent(takes::apply);
        view.band.set(View.Band.NONE);
    }
}
