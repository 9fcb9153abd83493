package ivrik.app.shape;

import ivrik.app.session.Session;
import ivrik.app.widget.Controls;
import ivrik.core.look.Dial;
import ivrik.core.look.DialEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.treatment.Parameter;

import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** Adds a whole control to a dial: its context menu offers each of its numbers for all channels. */
public final class AddToDials {
    private final Session session;

    private AddToDials(Session session) {
        this.session = session;
    }

    /** Installs the context menu on a control of the selected treatment. */
    public static void offer(Node control, Session session) {
        AddToDials offers = new AddToDials(session);
        ContextMenu menu = new ContextMenu();
        control.setOnContextMenuRequested(
                e -> {
                    menu.getItems().setAll(offers.items());
                    menu.show(control, e.getScreenX(), e.getScreenY());
                    e.consume();
                });
    }

    private List<MenuItem> items() {
        Look look = session.state().look().orElseThrow();
        Step step = session.state().step().orElseThrow();
        List<MenuItem> items = new ArrayList<>();
        for (Parameter parameter : step.kind().description().parameters()) {
            if (parameter.title().isEmpty()) {
                continue;
            }
            List<Target> targets = targets(look, step, parameter);
            String title = TargetedFields.title(look, targets.getFirst(), false);
            String what = parameter.title().toLowerCase(Locale.ROOT);
            items.add(
                    Controls.item(
                            "Add " + what + " of all channels to new dial",
                            () ->
                                    session.editLook(
                                            "Add dial " + title,
                                            l -> DialEdits.onNew(l, targets, title))));
            for (Dial dial : look.dials()) {
                if (dial.choices().isEmpty()) {
                    items.add(
                            Controls.item(
                                    "Add " + what + " of all channels to dial " + dial.title(),
                                    () ->
                                            session.editLook(
                                                    "Change dial " + dial.title(),
                                                    l ->
                                                            DialEdits.driving(
                                                                    l, dial.name(), targets))));
                }
            }
        }
        return items;
    }

    private static List<Target> targets(Look look, Step step, Parameter parameter) {
        return step.isWhole()
                ? List.of(new Target.OfStep(step.id(), parameter.name()))
                : IntStream.range(0, look.channels().size())
                        .<Target>mapToObj(
                                channel ->
                                        new Target.OfChannel(step.id(), channel, parameter.name()))
                        .toList();
    }
}
