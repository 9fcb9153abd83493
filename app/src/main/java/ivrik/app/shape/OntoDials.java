package ivrik.app.shape;

import ivrik.app.control.Controls;
import ivrik.app.session.Session;
import ivrik.core.look.Dial;
import ivrik.core.look.Dialling;
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

/** A whole control put on a dial: the right button on it offers each of its numbers, of all lanes at once. */
public final class OntoDials {
    private final Session session;

    private OntoDials(Session session) {
        this.session = session;
    }

    /** Offers it on a control of the selected treatment. */
    public static void offer(Node control, Session session) {
        OntoDials offers = new OntoDials(session);
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
            String title = Aimed.title(look, targets.getFirst(), false);
            String what = parameter.title().toLowerCase(Locale.ROOT);
            items.add(
                    Controls.item(
                            "Put " + what + " of all lanes on a new dial",
                            () ->
                                    session.editLook(
                                            "New dial " + title,
                                            l -> Dialling.onNew(l, targets, title))));
            for (Dial dial : look.dials()) {
                if (dial.words().isEmpty()) {
                    items.add(
                            Controls.item(
                                    "Put " + what + " of all lanes on " + dial.title(),
                                    () ->
                                            session.editLook(
                                                    "Dial " + dial.title(),
                                                    l ->
                                                            Dialling.driving(
                                                                    l, dial.name(), targets))));
                }
            }
        }
        return items;
    }

    private static List<Target> targets(Look look, Step step, Parameter parameter) {
        return step.isWhole()
                ? List.of(new Target.OfStep(step.id(), parameter.name()))
                : IntStream.range(0, look.lanes().size())
                        .<Target>mapToObj(
                                lane -> new Target.OfLane(step.id(), lane, parameter.name()))
                        .toList();
    }
}
