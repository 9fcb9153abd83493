package ivrik.app.tray;

import ivrik.app.picture.SourceFault;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.core.look.Look;
import ivrik.core.project.Source;
import ivrik.media.file.LookLibrary.SavedLook;

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

/** Footage above, looks below, each with its own scrolling; an empty tray explains what to do. */
public final class Tray extends VBox {
    public static final int PICTURE_WIDTH = 128;
    public static final int PICTURE_HEIGHT = 52;

    /** Largest share of the height for footage. */
    private static final double FOOTAGE = 0.55;

    private final FootageShelf footage;
    private final LookShelf looks;

    /** Operations of the tray. */
    public interface Actions {
        void importFootage();

        void place(Source source);

        /** Adds the source as the top layer. */
        void addOnTop(Source source);

        /** Shows properties and decoding options. */
        void reading(Source source);

        /** Asks for a file to relink. */
        void replace(Source source);

        void remove(Source source);

        void use(Look look);

        /** Exports one of the user's looks. */
        void write(SavedLook kept);

        /** Deletes one of the user's looks. */
        void remove(SavedLook kept);

        /** Shows the takes of the layer as tiles. */
        void allTakes();

        /** Shows all looks as tiles. */
        void allLooks();
    }

    /**
     * @param own the user's looks
     */
    public Tray(Session session, ReadOnlyObjectProperty<List<SavedLook>> own, Actions actions) {
        footage = new FootageShelf(actions);
        looks = new LookShelf(own, actions);
        getStyleClass().add("tray");
        setVgrow(looks, Priority.ALWAYS);
        looks.setMinHeight(0);
        looks.setPrefHeight(0); // footage gets its preferred height, looks get the rest
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

    /** Shows errors of sources by id. */
    public void showFaults(Map<String, SourceFault> now) {
        footage.showFaults(now);
    }

    public void showPicture(String source, Image image) {
        footage.showPicture(source, image);
    }

    /** Creates the looks, after the first picture. */
    public void openLooks() {
        looks.open();
    }

    /** Whether any look is visible. */
    public boolean looksAreSeen() {
        return looks.areSeen();
    }

    /** Changes when other looks become visible. */
    public Observable looksScrolled() {
        return looks.vvalueProperty();
    }

    public void showLook(String name, Image image) {
        looks.show(name, image);
    }

    /** Replaces the children of a list and restores the focus. */
    static void replace(Pane list, Collection<? extends Node> nodes) {
        Node owner = list.getScene() == null ? null : list.getScene().getFocusOwner();
        String focused = owner == null || owner.getParent() != list ? null : owner.getId();
        list.getChildren().setAll(nodes);
        list.getChildren().stream()
                .filter(n -> focused != null && focused.equals(n.getId()))
                .findFirst()
                .ifPresent(Node::requestFocus);
    }

    static Button wide(String id, String title) {
        Button button = new Button(title);
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
