package ivrik.app.desk;

import ivrik.app.control.WhileShown;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.treatment.Parameter;

import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
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
    private static final int MOST_BESIDE = 5;

    private final Session session;
    private final View view;
    private final HBox strip = new HBox(6);
    private final Label clock = new Label();
    private final HBox traces = new HBox(2);
    private String tracedOf = "";

    public Desk(Session session, View view, Matrix matrix, TimeView time) {
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
        strip.getChildren().addAll(play(), loop(), clock, gap, quiet("trace"), traces);
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

    private ToggleButton play() {
        ToggleButton play = new ToggleButton("Play");
        play.setId("play");
        play.selectedProperty().bindBidirectional(view.playing);
        play.setTooltip(new Tooltip("Play or stop (Space)"));
        view.playing.addListener((o, a, b) -> play.setText(b ? "Stop" : "Play"));
        return play;
    }

    private ToggleButton loop() {
        ToggleButton loop = new ToggleButton("loop");
        loop.getStyleClass().add("plain");
        loop.selectedProperty().bindBidirectional(view.loop);
        loop.setTooltip(new Tooltip("Begin again at the end of the play range"));
        return loop;
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
                .step()
                .ifPresent(
                        step -> {
                            var description = step.kind().description();
                            description.parameters().stream()
                                    .filter(p -> !p.title().isEmpty())
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
        if (names.size() > MOST_BESIDE) {
            traces.getChildren().add(choice(names));
        } else {
            ToggleGroup group = new ToggleGroup();
            names.forEach(n -> traces.getChildren().add(button(n, group)));
        }
        if (!names.isEmpty()) {
            view.traced.set(names.getFirst());
        }
    }

    private ToggleButton button(String name, ToggleGroup group) {
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
        WhileShown.listen(
                button, () -> button.setSelected(view.traced.get().equals(name)), view.traced);
        return button;
    }

    /** Where there are too many to stand beside each other. */
    private MenuButton choice(List<String> names) {
        MenuButton menu = new MenuButton(names.getFirst());
        menu.getStyleClass().add("plain");
        menu.setId("traces");
        menu.setTooltip(new Tooltip("Which number is shown and pegged in the rows"));
        for (String name : names) {
            MenuItem item = new MenuItem(name);
            item.setOnAction(e -> view.traced.set(name));
            menu.getItems().add(item);
        }
        WhileShown.listen(menu, () -> menu.setText(view.traced.get()), view.traced);
        return menu;
    }
}
