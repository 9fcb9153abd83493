package ivrik.app.tray;

import ivrik.app.control.Controls;
import ivrik.app.picture.Fault;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.Source;
import ivrik.media.file.LookLibrary.Kept;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.io.ByteArrayInputStream;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Footage with small pictures, and looks; an empty tray says what to do. */
public final class Tray extends ScrollPane {
    public static final int PICTURE_WIDTH = 128;
    public static final int PICTURE_HEIGHT = 52;

    private final Session session;

    private final ReadOnlyObjectProperty<List<Kept>> own;

    /** Those that come with Ivrik, by their names, in their order. */
    private final Map<String, LookCard> looks = new LinkedHashMap<>();

    /** The user's own, likewise. */
    private final Map<String, LookCard> ownCards = new LinkedHashMap<>();

    private final Actions actions;
    private final VBox list = new VBox();
    private final Map<String, Image> pictures = new HashMap<>();
    private final Map<String, Image> lookPictures = new HashMap<>();
    private final Map<String, FootageCard> cards = new LinkedHashMap<>();
    private Map<String, Fault> faults = Map.of();
    private List<Source> made;
    private int madeTakes;

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
        this.session = session;
        this.own = own;
        this.actions = actions;
        getStyleClass().add("tray");
        list.getStyleClass().add("tray-list");
        setContent(list);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        session.stateProperty().addListener((o, a, b) -> refresh(b));
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            looks.put(
                    each.look().name(),
                    new LookCard(each.look(), () -> actions.use(each.shownOff())));
        }
        own.addListener((o, a, b) -> make());
        make();
    }

    private void refresh(State state) {
        if (!state.project().sources().equals(made) || takes(state) != madeTakes) {
            make();
        }
    }

    /** How many there are of the layer that is worked on. */
    private static int takes(State state) {
        return state.layer().map(l -> l.takes().size()).orElse(0);
    }

    /** What keeps sources, by id, from being shown in the present frame. */
    public void showFaults(Map<String, Fault> now) {
        faults = Map.copyOf(now);
        cards.forEach((id, card) -> card.show(faults.get(id)));
    }

    public void showPicture(String source, Image image) {
        pictures.put(source, image);
        FootageCard card = cards.get(source);
        if (card != null) {
            card.show(image);
        }
    }

    /** Whether any look is in sight. */
    public boolean looksAreSeen() {
        double shown = getViewportBounds().getHeight();
        double from = getVvalue() * Math.max(0, list.getHeight() - shown);
        Node first = (ownCards.isEmpty() ? looks : ownCards).values().iterator().next();
        return shown > 0 && first.getBoundsInParent().getMinY() < from + shown;
    }

    public void showLook(String name, Image image) {
        lookPictures.put(name, image);
        for (Map<String, LookCard> cards : List.of(looks, ownCards)) {
            if (cards.containsKey(name)) {
                cards.get(name).show(image);
            }
        }
    }

    /** Made anew for other sources; what had the focus has it again. */
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
        madeTakes = takes(session.state());
        cards.clear();
        for (Source source : made) {
            FootageCard card = new FootageCard(source, actions);
            card.show(pictures.get(source.id()));
            card.show(faults.get(source.id()));
            cards.put(source.id(), card);
        }
        Button bringIn = wide("bring-in", made.isEmpty() ? "Bring in a clip" : "Bring in");
        bringIn.setTooltip(
                new Tooltip(
                        "Movies, stills, vector graphics, numbered sequences; or drop them"
                                + " anywhere"));
        bringIn.setOnAction(e -> actions.bringIn());
        Region gap = new Region();
        gap.setMinHeight(8);
        list.getChildren().setAll(heading("Footage"));
        list.getChildren().addAll(cards.values());
        list.getChildren().addAll(bringIn, gap);
        if (madeTakes > 0) {
            Button all = wide("all-takes", "See the takes (" + madeTakes + ")");
            all.setOnAction(e -> actions.allTakes());
            list.getChildren().addAll(heading("Takes"), all);
        }
        ownCards.clear();
        if (!own.get().isEmpty()) {
            for (Kept kept : own.get()) {
                LookCard card = new LookCard(kept.look(), () -> actions.use(kept.look()));
                card.offer(
                        Controls.item("Save to a file...", () -> actions.write(kept)),
                        Controls.item("Throw out...", () -> actions.remove(kept)));
                card.show(lookPictures.computeIfAbsent(kept.look().name(), name -> picture(kept)));
                ownCards.put(kept.look().name(), card);
            }
            list.getChildren().add(heading("Your looks"));
            list.getChildren().addAll(ownCards.values());
        }
        list.getChildren().add(heading("Looks"));
        Button all = wide("all-looks", "See all looks");
        all.setOnAction(e -> actions.allLooks());
        list.getChildren().add(all);
        list.getChildren().addAll(looks.values());
    }

    /** The picture that it is kept with; null if it has none. */
    private static Image picture(Kept kept) {
        return kept.picture().length == 0
                ? null
                : new Image(new ByteArrayInputStream(kept.picture()));
    }

    private static Button wide(String id, String word) {
        Button button = new Button(word);
        button.setId(id);
        button.setMaxWidth(Double.MAX_VALUE);
        return button;
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("heading");
        return label;
    }
}
