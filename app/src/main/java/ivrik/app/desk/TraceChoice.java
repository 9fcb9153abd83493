package ivrik.app.desk;

import ivrik.app.control.Controls;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Traced;
import ivrik.app.session.View;
import ivrik.core.look.Step;
import ivrik.core.look.Target.OfLane;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;

import java.util.ArrayList;
import java.util.List;

/**
 * Which numbers are traced: those of the selected treatment, or the one that was last pressed in the
 * close-up; and whether each lane has its row or all are in one plot.
 */
final class TraceChoice extends HBox {
    /** More stand in a menu. */
    private static final int MOST_BESIDE = 3;

    private static final int APART = 5;

    private final Session session;
    private final View view;
    private final ToggleButton tall;
    private final Label word = Controls.quiet("trace");

    /** What the controls were made for. */
    private Offer made;

    /**
     * What can be chosen from.
     *
     * @param names numbers of the selected treatment
     * @param other the title of what else is traced, or empty
     */
    private record Offer(List<String> names, Traced traced, String other) {}

    TraceChoice(Session session, View view) {
        super(2);
        this.session = session;
        this.view = view;
        this.tall =
                Controls.toggle(
                        "trace-tall",
                        "one plot",
                        "All lanes in one tall plot, or each in its row. Alt and the wheel:"
                                + " closer");
        tall.selectedProperty().bindBidirectional(view.tall);
        setMargin(word, new Insets(0, APART, 0, APART));
        setAlignment(Pos.CENTER_LEFT);
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!names(was).equals(names(is))
                                    || !was.stepId().equals(is.stepId())) {
                                toTreatment();
                                make();
                            }
                        });
        view.face.addListener(
                (o, was, is) -> {
                    if (is == View.Face.TREATMENT) {
                        toTreatment();
                    }
                });
        view.traced.addListener((o, a, b) -> make());
        toTreatment();
        make();
    }

    /** The numbers of the selected treatment that can be traced. */
    private static List<String> names(State state) {
        return state.step().map(TraceChoice::names).orElse(List.of());
    }

    private static List<String> names(Step step) {
        Description d = step.kind().description();
        List<String> names = new ArrayList<>();
        for (Parameter parameter : d.parameters()) {
            if (!parameter.title().isEmpty()) {
                names.add(parameter.name());
            }
        }
        if (d.parameters().stream().anyMatch(Parameter::jitters)) {
            names.add(OfLane.JITTER);
        }
        return names;
    }

    /** Back to a number of the treatment: the one traced now if it has that, or its first. */
    private void toTreatment() {
        List<String> names = names(session.state());
        boolean there =
                view.traced.get() instanceof Traced.OfTreatment of
                        && names.contains(of.parameter());
        if (!there && !names.isEmpty()) {
            view.traced.set(new Traced.OfTreatment(names.getFirst()));
        }
    }

    private void make() {
        State state = session.state();
        Traced traced = view.traced.get();
        String title = traced instanceof Traced.Other other ? other.title(state) : "";
        Offer offer = new Offer(names(state), traced, title);
        if (offer.equals(made)) {
            return;
        }
        made = offer;
        List<Node> all = new ArrayList<>(List.of(tall, word));
        if (offer.names.size() > MOST_BESIDE) {
            all.add(choice(offer.names));
        } else {
            offer.names.forEach(name -> all.add(button(name)));
        }
        if (!title.isEmpty()) {
            all.add(other(title));
        }
        getChildren().setAll(all);
    }

    private static ToggleButton other(String title) {
        ToggleButton shown =
                Controls.toggle(
                        "trace-other",
                        title,
                        "Shown and pegged in the rows: the number last pressed in the close-up");
        shown.setSelected(true);
        shown.setOnAction(e -> shown.setSelected(true));
        return shown;
    }

    private boolean isTraced(String name) {
        return view.traced.get().equals(new Traced.OfTreatment(name));
    }

    private ToggleButton button(String name) {
        ToggleButton button =
                Controls.toggle("trace-" + name, name, "Show and peg " + name + " in the rows");
        button.setSelected(isTraced(name));
        button.setOnAction(
                e -> {
                    button.setSelected(true);
                    view.traced.set(new Traced.OfTreatment(name));
                });
        return button;
    }

    /** Where there are too many to stand beside each other. */
    private MenuButton choice(List<String> names) {
        MenuButton menu = Controls.menu("traces", "Which number is shown and pegged in the rows");
        menu.setText(names.stream().filter(this::isTraced).findFirst().orElse(names.getFirst()));
        for (String name : names) {
            menu.getItems()
                    .add(Controls.item(name, () -> view.traced.set(new Traced.OfTreatment(name))));
        }
        return menu;
    }
}
