package ivrik.app.tray;

import ivrik.app.control.Controls;
import ivrik.app.control.Revealing;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.media.file.LookLibrary.Kept;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.layout.VBox;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Takes of the layer, the user's own looks and those that come with Ivrik; empty until it is told to be filled. */
final class LookShelf extends ScrollPane {
    private final ReadOnlyObjectProperty<List<Kept>> own;
    private final Tray.Actions actions;
    private final VBox list = new VBox();

    /** Those that come with Ivrik, by their names, in their order. */
    private final Map<String, LookCard> looks = new LinkedHashMap<>();

    /** The user's own, likewise. */
    private final Map<String, LookCard> ownCards = new LinkedHashMap<>();

    private final Map<String, Image> pictures = new HashMap<>();
    private int takes;

    LookShelf(ReadOnlyObjectProperty<List<Kept>> own, Tray.Actions actions) {
        this.own = own;
        this.actions = actions;
        list.getStyleClass().add("tray-list");
        setContent(list);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        Revealing.install(this);
        own.addListener((o, a, b) -> fill());
    }

    /** Makes the cards, if they are not there yet. There are many, and the start has other work to do first. */
    void open() {
        if (!looks.isEmpty()) {
            return;
        }
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            looks.put(
                    each.look().name(),
                    new LookCard(each.look(), () -> actions.use(each.shownOff())));
        }
        fill();
    }

    /** How many takes there are of the layer that is worked on. */
    void showTakes(int count) {
        if (count != takes) {
            takes = count;
            fill();
        }
    }

    private void fill() {
        if (looks.isEmpty()) {
            return;
        }
        List<Node> all = new ArrayList<>();
        if (takes > 0) {
            Button see = Tray.wide("all-takes", "See the takes (" + takes + ")");
            Controls.explain(see, "The takes of this layer beside each other. Key: Shift+T");
            see.setOnAction(e -> actions.allTakes());
            all.add(Tray.heading("Takes"));
            all.add(see);
        }
        ownCards.clear();
        own.get().forEach(kept -> ownCards.put(kept.look().name(), card(kept)));
        if (!ownCards.isEmpty()) {
            all.add(Tray.heading("Your looks"));
            all.addAll(ownCards.values());
        }
        Button see = Tray.wide("all-looks", "See all looks");
        Controls.explain(see, "Each look on this frame, with a place to type. Key: Shift+Insert");
        see.setOnAction(e -> actions.allLooks());
        all.add(Tray.heading("Looks"));
        all.add(see);
        all.addAll(looks.values());
        Tray.replace(list, all);
    }

    private LookCard card(Kept kept) {
        LookCard card = new LookCard(kept.look(), () -> actions.use(kept.look()));
        card.offer(
                Controls.item("Save to a file...", () -> actions.write(kept)),
                Controls.item("Throw out...", () -> actions.remove(kept)));
        card.show(pictures.computeIfAbsent(kept.look().name(), name -> picture(kept)));
        return card;
    }

    /** The picture that it is kept with; null if it has none. */
    private static Image picture(Kept kept) {
        return kept.picture().length == 0
                ? null
                : new Image(new ByteArrayInputStream(kept.picture()));
    }

    /** Whether any look is in sight. */
    boolean areSeen() {
        if (looks.isEmpty()) {
            return false;
        }
        double shown = getViewportBounds().getHeight();
        double from = getVvalue() * Math.max(0, list.getHeight() - shown);
        Node first = (ownCards.isEmpty() ? looks : ownCards).values().iterator().next();
        return shown > 0 && first.getBoundsInParent().getMinY() < from + shown;
    }

    void show(String name, Image image) {
        pictures.put(name, image);
        for (Map<String, LookCard> cards : List.of(looks, ownCards)) {
            if (cards.containsKey(name)) {
                cards.get(name).show(image);
            }
        }
    }
}
