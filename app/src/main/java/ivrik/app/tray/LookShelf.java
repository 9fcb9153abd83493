package ivrik.app.tray;

import ivrik.app.widget.Controls;
import ivrik.app.widget.ScrollToFocus;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.media.file.LookLibrary.SavedLook;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.image.Image;
import javafx.scene.layout.VBox;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Takes of the layer, the user's looks and the built-in looks; empty until opened. */
final class LookShelf extends ScrollPane {
    private final ReadOnlyObjectProperty<List<SavedLook>> own;
    private final Tray.Actions actions;
    private final VBox list = new VBox();

    /** Cards of the built-in looks, by name, in order. */
    private final Map<String, LookCard> looks = new LinkedHashMap<>();

    /** Cards of the user's looks, by name, in order. */
    private final Map<String, LookCard> ownCards = new LinkedHashMap<>();

    private final Map<String, Image> pictures = new HashMap<>();
    private int takes;

    LookShelf(ReadOnlyObjectProperty<List<SavedLook>> own, Tray.Actions actions) {
        this.own = own;
        this.actions = actions;
        list.getStyleClass().add("tray-list");
        setContent(list);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        ScrollToFocus.install(this);
        own.addListener((o, a, b) -> fill());
    }

    /** Creates the cards once. There are many, so this happens after the start. */
    void open() {
        if (!looks.isEmpty()) {
            return;
        }
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            looks.put(
                    each.look().name(),
                    new LookCard(each.look(), () -> actions.use(each.withExampleSettings())));
        }
        fill();
    }

    /** Sets the number of takes of the selected layer. */
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
            Button see = Tray.wide("all-takes", "Show takes (" + takes + ")");
            Controls.explain(
                    see,
                    "Compares the takes of this layer side by side. A take is a saved variant of"
                            + " the looks on a layer. Key: Shift+T");
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
        Button see = Tray.wide("all-looks", "Show all looks");
        Controls.explain(
                see,
                "Shows every look on this frame. A look is a complete, reusable treatment of a"
                        + " picture. Key: Shift+Insert");
        see.setOnAction(e -> actions.allLooks());
        all.add(Tray.heading("Looks"));
        all.add(see);
        all.addAll(looks.values());
        Tray.replace(list, all);
    }

    private LookCard card(SavedLook kept) {
        LookCard card = new LookCard(kept.look(), () -> actions.use(kept.look()));
        card.offer(
                Controls.item("Export look...", () -> actions.write(kept)),
                new SeparatorMenuItem(),
                Controls.item("Delete...", () -> actions.remove(kept)));
        card.show(pictures.computeIfAbsent(kept.look().name(), name -> picture(kept)));
        return card;
    }

    /** The saved thumbnail; null if there is none. */
    private static Image picture(SavedLook kept) {
        return kept.picture().length == 0
                ? null
                : new Image(new ByteArrayInputStream(kept.picture()));
    }

    /** Whether any look is visible. */
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
