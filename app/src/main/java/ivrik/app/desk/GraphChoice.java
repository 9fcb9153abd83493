package ivrik.app.desk;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.core.look.Step;
import ivrik.core.look.Target.OfChannel;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;

/**
 * Chooses the graphed number: one of the selected treatment, or the one last clicked in the controls; and one
 * row per channel or one graph for all.
 */
final class GraphChoice extends HBox {
    /** More choices go to a menu. */
    private static final int MAX_BESIDE = 3;

    private static final int APART = 5;

    private final Session session;
    private final View view;
    private final ToggleButton tall;
    private final Label label = Controls.quiet("graph");

    /** What the controls were built for. */
    private Offer made;

    /**
     * The choices.
     *
     * @param names titles of the parameters of the selected treatment, by name
     * @param other title of another graphed number, or empty
     */
    private record Offer(SequencedMap<String, String> names, GraphTargets graphed, String other) {}

    GraphChoice(Session session, View view) {
        super(2);
        this.session = session;
        this.view = view;
        this.tall =
                Controls.toggle(
                        "graph-tall",
                        "one graph",
                        "Shows all channels in one graph instead of one per row. Alt+wheel zooms"
                                + " values");
        tall.selectedProperty().bindBidirectional(view.tall);
        setMargin(label, new Insets(0, APART, 0, APART));
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
        view.graphed.addListener((o, a, b) -> make());
        toTreatment();
        make();
    }

    /** Parameters of the selected treatment that can be graphed. */
    private static SequencedMap<String, String> names(State state) {
        return state.step().map(GraphChoice::names).orElseGet(LinkedHashMap::new);
    }

    private static SequencedMap<String, String> names(Step step) {
        Description d = step.kind().description();
        SequencedMap<String, String> names = new LinkedHashMap<>();
        for (Parameter parameter : d.parameters()) {
            if (!parameter.title().isEmpty()) {
                names.put(parameter.name(), parameter.title());
            }
        }
        if (d.parameters().stream().anyMatch(Parameter::jitters)) {
            names.put(OfChannel.JITTER, OfChannel.JITTER);
        }
        return names;
    }

    /** Returns to a parameter of the treatment: the same name if it exists, or the first. */
    private void toTreatment() {
        SequencedMap<String, String> names = names(session.state());
        boolean there =
                view.graphed.get() instanceof GraphTargets.OfTreatment of
                        && names.containsKey(of.parameter());
        if (!there && !names.isEmpty()) {
            view.graphed.set(new GraphTargets.OfTreatment(names.firstEntry().getKey()));
        }
    }

    private void make() {
        State state = session.state();
        GraphTargets graphed = view.graphed.get();
        String title = graphed instanceof GraphTargets.Other other ? other.title(state) : "";
        Offer offer = new Offer(names(state), graphed, title);
        if (offer.equals(made)) {
            return;
        }
        made = offer;
        List<Node> all = new ArrayList<>(List.of(tall, label));
        if (offer.names.size() > MAX_BESIDE) {
            all.add(choice(offer.names));
        } else {
            offer.names.forEach((name, text) -> all.add(button(name, text)));
        }
        if (!title.isEmpty()) {
            all.add(other(title));
        }
        getChildren().setAll(all);
    }

    private static ToggleButton other(String title) {
        ToggleButton shown =
                Controls.toggle(
                        "graph-other", title, "Graph of the value last clicked in the controls");
        shown.setSelected(true);
        shown.setOnAction(e -> shown.setSelected(true));
        return shown;
    }

    private boolean isGraphed(String name) {
        return view.graphed.get().equals(new GraphTargets.OfTreatment(name));
    }

    private ToggleButton button(String name, String title) {
        ToggleButton button =
                Controls.toggle(
                        "graph-" + name, title, "Shows the graph and keyframes of " + title);
        button.setSelected(isGraphed(name));
        button.setOnAction(
                e -> {
                    button.setSelected(true);
                    view.graphed.set(new GraphTargets.OfTreatment(name));
                });
        return button;
    }

    /** A menu for many choices. */
    private MenuButton choice(SequencedMap<String, String> names) {
        MenuButton menu =
                Controls.menu("graphs", "Choose the value whose graph and keyframes are shown");
        String now =
                names.keySet().stream()
                        .filter(this::isGraphed)
                        .findFirst()
                        .orElse(names.firstEntry().getKey());
        Controls.show(menu, now, names.get(now));
        names.forEach(
                (name, title) ->
                        menu.getItems()
                                .add(
                                        Controls.item(
                                                name,
                                                title,
                                                () ->
                                                        view.graphed.set(
                                                                new GraphTargets.OfTreatment(
                                                                        name)))));
        return menu;
    }
}
