package ivrik.app.tray;

import ivrik.app.picture.Fault;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.Source;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;

/** Footage with small pictures, and looks; an empty tray says what to do. */
public final class Tray extends ScrollPane {
    public static final int PICTURE_WIDTH = 128;
    public static final int PICTURE_HEIGHT = 52;

    private final Session session;
    private final Actions actions;
    private final VBox list = new VBox();
    private final Map<String, Image> pictures = new HashMap<>();
    private Map<String, Fault> faults = Map.of();
    private List<Source> made;

    /** What can be done from the tray. */
    public interface Actions {
        void bringIn();

        void place(Source source);

        /** On a layer of its own, over all others. */
        void layOver(Source source);

        /** Shows what its file is, and how it is read. */
        void reading(Source source);

        /** Asks for another file in its place. */
        void replace(Source source);

        void remove(Source source);

        void use(Look look);
    }

    public Tray(Session session, Actions actions) {
        this.session = session;
        this.actions = actions;
        getStyleClass().add("tray");
        list.getStyleClass().add("tray-list");
        setContent(list);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        session.stateProperty().addListener((o, a, b) -> refresh(b));
        make();
    }

    private void refresh(State state) {
        if (!state.project().sources().equals(made)) {
            make();
        }
    }

    /** What keeps sources, by id, from being shown in the present frame. */
    public void showFaults(Map<String, Fault> now) {
        if (!now.equals(faults)) {
            faults = Map.copyOf(now);
            make();
        }
    }

    public void showPicture(String source, Image image) {
        pictures.put(source, image);
        make();
    }

    /** Made anew; what had the focus has it again. */
    private void make() {
        String focused = focusedId();
        fill();
        Node again = focused == null ? null : find(focused);
        if (again != null) {
            again.requestFocus();
        }
    }

    private Node find(String id) {
        return list.getChildren().stream()
                .filter(n -> id.equals(n.getId()))
                .findFirst()
                .orElse(null);
    }

    private String focusedId() {
        Node owner = getScene() == null ? null : getScene().getFocusOwner();
        return owner == null || owner.getParent() != list ? null : owner.getId();
    }

    private void fill() {
        made = session.project().sources();
        list.getChildren().clear();
        list.getChildren().add(heading("Footage"));
        made.forEach(source -> list.getChildren().add(card(source)));
        Button bringIn = new Button(made.isEmpty() ? "Bring in a clip" : "Bring in");
        bringIn.setId("bring-in");
        bringIn.setMaxWidth(Double.MAX_VALUE);
        bringIn.setTooltip(
                new Tooltip(
                        "Movies, stills, vector graphics, numbered sequences; or drop them"
                                + " anywhere"));
        bringIn.setOnAction(e -> actions.bringIn());
        list.getChildren().add(bringIn);
        Region gap = new Region();
        gap.setMinHeight(8);
        list.getChildren().addAll(gap, heading("Looks"));
        BuiltInLooks.all().forEach(look -> list.getChildren().add(lookRow(look)));
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("heading");
        return label;
    }

    private Node card(Source source) {
        StackPane picture = new StackPane();
        picture.getStyleClass().add("picture");
        picture.setMinSize(60, PICTURE_HEIGHT);
        picture.setPrefHeight(PICTURE_HEIGHT);
        Fault fault = faults.get(source.id());
        boolean gone = fault != null && fault.missing();
        Image image = pictures.get(source.id());
        if (gone) {
            Label word = new Label("missing: find it");
            word.setWrapText(true);
            picture.getChildren().add(word);
        } else if (image != null) {
            ImageView shown = new ImageView(image);
            shown.setPreserveRatio(true);
            shown.setFitHeight(PICTURE_HEIGHT);
            picture.getChildren().add(shown);
        }
        if (fault != null && !gone) {
            Label word = new Label("damaged here");
            word.getStyleClass().add("fault");
            StackPane.setAlignment(word, Pos.BOTTOM_LEFT);
            picture.getChildren().add(word);
        }
        Label name = new Label(source.name());
        Label length = new Label(length(source));
        length.getStyleClass().add("quiet");
        length.setMinWidth(USE_PREF_SIZE);
        name.setMinWidth(20);
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        VBox card = new VBox(picture, new HBox(4, name, length));
        card.getStyleClass().add("card");
        card.setId("source-" + source.id());
        card.setFocusTraversable(true);
        Tooltip.install(
                card,
                new Tooltip(
                        (source.kind().isFile() ? source.path() : "made in Ivrik")
                                + "\n"
                                + source.size()
                                + ", "
                                + length(source)
                                + (fault == null || gone ? "" : "\n" + fault.words())
                                + (gone
                                        ? "\nThe file is missing: click to point to where it is now"
                                        : "\nDouble-click to put it on")));
        Consumer<Source> open = gone ? actions::replace : actions::place;
        card.setOnMouseClicked(
                e -> {
                    card.requestFocus();
                    if (e.getClickCount() == (gone ? 1 : 2)) {
                        open.accept(source);
                    }
                });
        card.setOnKeyPressed(
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        open.accept(source);
                    }
                });
        ContextMenu menu =
                new ContextMenu(
                        item("Put it on", () -> actions.place(source)),
                        item(
                                "Lay it over all, on a layer of its own",
                                () -> actions.layOver(source)),
                        item("Replace its file...", () -> actions.replace(source)),
                        item("Take it out", () -> actions.remove(source)));
        if (source.kind().isFile()) {
            menu.getItems().add(2, item("How it is read...", () -> actions.reading(source)));
        }
        card.setOnContextMenuRequested(e -> menu.show(card, e.getScreenX(), e.getScreenY()));
        return card;
    }

    private static MenuItem item(String title, Runnable action) {
        MenuItem item = new MenuItem(title);
        item.setOnAction(e -> action.run());
        return item;
    }

    private static String length(Source source) {
        return switch (source.kind()) {
            case VECTOR -> "vector";
            case TITLE -> "title";
            case SOLID -> "solid";
            case STILL -> "still";
            default ->
                    String.format(
                            Locale.ROOT, "%.1f s", source.frames() / source.rate().toDouble());
        };
    }

    private Node lookRow(Look look) {
        Label name = new Label(look.name());
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        int dials = look.dials().size();
        Label count = new Label(dials == 0 ? "" : dials + " dials");
        count.getStyleClass().add("quiet");
        HBox row = new HBox(4, name, count);
        row.getStyleClass().add("card");
        row.setId("look-" + look.name());
        row.setFocusTraversable(true);
        Tooltip.install(
                row, new Tooltip(look.note() + "\nDouble-click to use it on the selected layer"));
        row.setOnMouseClicked(
                e -> {
                    row.requestFocus();
                    if (e.getClickCount() == 2) {
                        actions.use(look);
                    }
                });
        row.setOnKeyPressed(
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        actions.use(look);
                    }
                });
        return row;
    }
}
