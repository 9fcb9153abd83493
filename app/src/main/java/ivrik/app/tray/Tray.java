package ivrik.app.tray;

import ivrik.app.picture.Fault;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.core.look.Look;
import ivrik.core.project.Source;
import ivrik.media.file.LookLibrary.Kept;

import javafx.beans.Observable;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Footage above, looks below, each in a part of its own; an empty tray says what to do. */
public final class Tray extends VBox {
    public static final int PICTURE_WIDTH = 128;
    public static final int PICTURE_HEIGHT = 52;

    /** Footage takes no more than this share of the height; the rest is for looks. */
    private static final double FOOTAGE = 0.55;

    private final FootageShelf footage;
    private final LookShelf looks;

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

        /** Writes one of the user's own to a file. */
        void write(Kept kept);

        /** Throws out one of the user's own. */
        void remove(Kept kept);

        /** Shows the takes of the layer, large. */
        void allTakes();

        /** Shows all looks, large. */
        void allLooks();
    }

    /**
     * @param own the user's looks
     */
    public Tray(Session session, ReadOnlyObjectProperty<List<Kept>> own, Actions actions) {
        footage = new FootageShelf(actions);
        looks = new LookShelf(own, actions);
        getStyleClass().add("tray");
        setVgrow(looks, Priority.ALWAYS);
        looks.setMinHeight(0);
        looks.setPrefHeight(0); // footage has what it needs, looks have the rest
        footage.setMinHeight(0);
        footage.maxHeightProperty().bind(heightProperty().multiply(FOOTAGE));
        getChildren().addAll(footage, looks);
        session.stateProperty().addListener((o, a, b) -> refresh(b));
        refresh(session.state());
    }

    private void refresh(State state) {
        if (!state.project().sources().equals(footage.shown())) {
            footage.show(state.project().sources());
        }
        looks.showTakes(state.layer().map(l -> l.takes().size()).orElse(0));
    }

    /** What keeps sources, by id, from being shown in the present frame. */
    public void showFaults(Map<String, Fault> now) {
        footage.showFaults(now);
    }

    public void showPicture(String source, Image image) {
        footage.showPicture(source, image);
    }

    /** Shows the looks, for which there is time once the first picture is there. */
    public void openLooks() {
        looks.open();
    }

    /** Whether any look is in sight. */
    public boolean looksAreSeen() {
        return looks.areSeen();
    }

    /** What changes when other looks come into sight. */
    public Observable looksScrolled() {
        return looks.vvalueProperty();
    }

    public void showLook(String name, Image image) {
        looks.show(name, image);
    }

    /** Puts others into a list; what had the focus has it again. */
    static void replace(Pane list, Collection<? extends Node> nodes) {
        Node owner = list.getScene() == null ? null : list.getScene().getFocusOwner();
        String focused = owner == null || owner.getParent() != list ? null : owner.getId();
        list.getChildren().setAll(nodes);
        list.getChildren().stream()
                .filter(n -> focused != null && focused.equals(n.getId()))
                .findFirst()
                .ifPresent(Node::requestFocus);
    }

    static Button wide(String id, String word) {
        Button button = new Button(word);
        button.setId(id);
        button.setMaxWidth(Double.MAX_VALUE);
        return button;
    }

    static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("heading");
        return label;
    }
}
