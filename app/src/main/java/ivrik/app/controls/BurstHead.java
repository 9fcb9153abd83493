package ivrik.app.controls;

import static ivrik.app.widget.Controls.item;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.core.look.Burst;
import ivrik.core.look.BurstTitle;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;

import javafx.scene.control.Button;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The title of a burst, whose menu renames it and lists the bursts of its look, and its switch. */
final class BurstHead extends HBox {
    private final Session session;
    private final View view;
    private final String id;
    private final MenuButton title;
    private final ToggleButton on = Controls.toggle("burst-on", "on", "Turns the burst on or off");
    private Optional<Target> graphed = Optional.empty();

    BurstHead(Session session, View view, String id) {
        super(2);
        this.session = session;
        this.view = view;
        this.id = id;
        title = Controls.menu("burst-name", "Renames the burst or selects another", this::items);
        title.getStyleClass().addAll("title", "tight");
        on.setOnAction(
                e ->
                        session.editLook(
                                "Turn burst on or off",
                                l -> l.withBurst(id, b -> b.withOn(on.isSelected()))));
        Button remove = new Button("delete");
        remove.getStyleClass().add("plain");
        remove.setId("burst-remove");
        remove.setOnAction(
                e -> {
                    session.editLook("Delete burst", l -> l.withoutBurst(id));
                    view.face.set(View.Face.TREATMENT);
                });
        Region gap = new Region();
        setHgrow(gap, Priority.ALWAYS);
        getChildren().addAll(title, gap, on, remove);
    }

    void show(Burst burst) {
        Look look = session.state().look().orElseThrow();
        Controls.show(title, burst.id(), BurstTitle.of(look, burst));
        on.setSelected(burst.on());
        Optional<Target> first = BurstTitle.first(look, burst);
        if (!first.equals(graphed)) {
            graphed = first;
            first.ifPresent(this::graph);
        }
    }

    /** Graphs the value that the burst changes, in the selected treatment. */
    private void graph(Target changed) {
        if (changed instanceof OfChannel t && t.step().equals(session.state().stepId())) {
            view.graphed.set(new GraphTargets.OfTreatment(t.parameter()));
        }
    }

    private List<MenuItem> items() {
        Look look = session.state().look().orElseThrow();
        TextField name = new TextField(title.getText());
        name.setId("burst-title");
        name.setPromptText("title");
        MenuItem named = new CustomMenuItem(name, false);
        name.setOnAction(
                e -> {
                    String to = name.getText().strip();
                    if (!to.equals(title.getText())) {
                        session.editLook("Rename burst", l -> l.withBurst(id, b -> b.withName(to)));
                    }
                    named.getParentPopup().hide();
                });
        List<MenuItem> items = new ArrayList<>(List.of(named, new SeparatorMenuItem()));
        for (Burst burst : look.bursts()) {
            items.add(
                    item(
                            burst.id(),
                            BurstTitle.of(look, burst),
                            () -> session.selectBurst(burst.id())));
        }
        return items;
    }
}
