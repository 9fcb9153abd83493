package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.View;

import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** The band across the lower part of the window: matrix and time, and the line of transport below. */
public final class Desk extends SplitPane {
    private static final int MOST_BESIDE = 5;

    private final Session session;
    private final View view;
    private final HBox strip = new HBox(6);
    private final Label clock = new Label();

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
        strip.getChildren()
                .addAll(
                        play(),
                        loop(),
                        clock,
                        gap,
                        new PegStrip(session, view, time.pegs()),
                        new TraceChoice(session, view));
        getItems().addAll(matrix, right);
        view.deskHeight.bind(heightProperty());
        SplitPane.setResizableWithParent(matrix, false);
        session.stateProperty().addListener((o, a, b) -> showClock());
        view.frame.addListener((o, a, b) -> showClock());
        showClock();
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
}
