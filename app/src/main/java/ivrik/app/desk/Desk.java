package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.treatment.Parameter;

import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.util.ArrayList;
import java.util.List;

/** The band across the lower part of the window: matrix and time, and the line of transport below. */
public final class Desk extends SplitPane {
    private final Session session;
    private final View view;
    private final HBox strip = new HBox(6);
    private final Label clock = new Label();
    private final HBox traces = new HBox(2);
    private String tracedOf = "";

    public Desk(
            Session session,
            View view,
            Matrix matrix,
            TimeView time,
            List<? extends javafx.scene.Node> transport) {
        this.session = session;
        this.view = view;
        getStyleClass().add("desk");
        strip.getStyleClass().add("strip");
        BorderPane right = new BorderPane(time);
        right.setBottom(strip);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        clock.getStyleClass().addAll("number", "quiet");
        clock.setMinWidth(Region.USE_PREF_SIZE);
        traces.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        strip.getChildren().addAll(transport);
        strip.getChildren().addAll(clock, gap, quiet("trace"), traces);
        getItems().addAll(matrix, right);
        SplitPane.setResizableWithParent(matrix, false);
        session.stateProperty().addListener((o, a, b) -> showTraces());
        session.stateProperty().addListener((o, a, b) -> showClock());
        view.frame.addListener((o, a, b) -> showClock());
        showTraces();
        showClock();
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        return label;
    }

    private void showClock() {
        double rate = session.project().sequence().rate().toDouble();
        clock.setText(
                String.format(
                        java.util.Locale.ROOT,
                        "%d of %d  %.2f s  %s a second",
                        view.frame.get(),
                        session.project().frames(),
                        view.frame.get() / rate,
                        rate == Math.rint(rate)
                                ? Long.toString((long) rate)
                                : String.format(java.util.Locale.ROOT, "%.3f", rate)));
    }

    /** A choice for each value of the treatment that can be traced. */
    private void showTraces() {
        List<String> names = new ArrayList<>();
        session.state()
                .look()
                .filter(l -> !l.steps().isEmpty())
                .ifPresent(
                        look -> {
                            var description =
                                    look.steps().get(session.state().step()).kind().description();
                            description.parameters().stream()
                                    .map(Parameter::name)
                                    .forEach(names::add);
                            if (description.parameters().stream().anyMatch(Parameter::jitters)) {
                                names.add(Trace.JITTER);
                            }
                        });
        if (names.toString().equals(tracedOf)) {
            return;
        }
        tracedOf = names.toString();
        traces.getChildren().clear();
        ToggleGroup group = new ToggleGroup();
        for (String name : names) {
            ToggleButton button = new ToggleButton(name);
            button.getStyleClass().add("plain");
            button.setId("trace-" + name);
            button.setToggleGroup(group);
            button.setSelected(name.equals(view.traced.get()));
            button.setTooltip(new Tooltip("Show and peg " + name + " in the rows"));
            button.setOnAction(
                    e -> {
                        button.setSelected(true);
                        view.traced.set(name);
                    });
            view.traced.addListener((o, a, b) -> button.setSelected(b.equals(name)));
            traces.getChildren().add(button);
        }
        if (!names.isEmpty() && !names.contains(view.traced.get())) {
            view.traced.set(names.getFirst());
        }
    }
}
