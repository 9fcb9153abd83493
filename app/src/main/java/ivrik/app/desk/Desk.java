package ivrik.app.desk;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;

import javafx.application.Platform;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** The band across the lower part of the window: matrix and time, and the line of transport below. */
public final class Desk extends SplitPane {
    private static final double FAR = 1e8;

    private final Session session;
    private final View view;
    private final NumberField frame;
    private final Label clock = new Label();
    private final ReadOnlyDoubleWrapper least = new ReadOnlyDoubleWrapper();

    /** Of the width that the columns are wanted to have, where they need no more. */
    private double share = 0.5;

    public Desk(Session session, View view, Matrix matrix, TimeView time) {
        this.session = session;
        this.view = view;
        getStyleClass().add("desk");
        frame =
                new NumberField(
                        new NumberField.Spec("", 0, FAR, 0, 1, 0, false),
                        "The frame that is shown; type one to go there",
                        to ->
                                view.frame.set(
                                        Math.min(Math.round(to), session.project().frames() - 1)));
        frame.setId("go-to-frame");
        clock.getStyleClass().addAll("number", "quiet");
        clock.setMinWidth(Region.USE_PREF_SIZE);
        HBox transport = new HBox(6, play(), loop(), frame, clock);
        transport.setAlignment(Pos.CENTER_LEFT);
        FlowPane strip =
                new FlowPane(
                        transport,
                        new PegStrip(session, view, time.pegs()),
                        new TraceChoice(session, view));
        strip.getStyleClass().addAll("strip", "wraps", "transport");
        BorderPane right = new BorderPane(time);
        right.setBottom(strip);
        getItems().addAll(matrix, right);
        view.deskHeight.bind(heightProperty());
        SplitPane.setResizableWithParent(matrix, false);
        Runnable fit = () -> least.set(least(strip.getHeight(), matrix));
        strip.heightProperty().addListener((o, a, b) -> fit.run());
        ((Region) matrix.getBottom()).heightProperty().addListener((o, a, b) -> fit.run());
        view.textScale.addListener((o, a, b) -> fit.run());
        session.stateProperty().addListener((o, a, b) -> fit.run());
        session.stateProperty()
                .addListener(
                        (o, a, b) -> {
                            if (columns(a) != columns(b)) {
                                Platform.runLater(() -> setDividerPositions(share));
                            }
                        });
        addEventFilter(
                MouseEvent.MOUSE_RELEASED,
                e -> {
                    if (Controls.isDivider(e, this)) {
                        share = getDividerPositions()[0];
                    }
                });
        session.stateProperty().addListener((o, a, b) -> showClock());
        view.frame.addListener((o, a, b) -> showClock());
        showClock();
    }

    private static int columns(State state) {
        return state.look().map(l -> l.steps().size()).orElse(0);
    }

    /** How much of the width the columns are wanted to have; more while they need it. */
    public void setShare(double wanted) {
        share = wanted;
        setDividerPositions(wanted);
    }

    public double share() {
        return share;
    }

    /** How high it must be for all lanes and layers to be seen, the rows as low as they can be. */
    public ReadOnlyDoubleProperty leastHeight() {
        return least.getReadOnlyProperty();
    }

    private double least(double transport, Matrix matrix) {
        int lanes = session.state().look().map(l -> l.lanes().size()).orElse(0);
        double rows = Metrics.HEAD + lanes * Metrics.leastLane(view.textScale.get());
        double time = rows + Ribbon.room(session.project().layers()) + transport;
        double columns = rows + Metrics.SCROLL + ((Region) matrix.getBottom()).getHeight();
        return Math.max(time, columns);
    }

    private ToggleButton play() {
        ToggleButton play = new ToggleButton("Play");
        play.setId("play");
        play.setMinWidth(Region.USE_PREF_SIZE);
        play.selectedProperty().bindBidirectional(view.playing);
        play.setTooltip(new Tooltip("Play or stop (Space)"));
        view.playing.addListener((o, a, b) -> play.setText(b ? "Stop" : "Play"));
        return play;
    }

    private ToggleButton loop() {
        ToggleButton loop = new ToggleButton("loop");
        loop.getStyleClass().add("plain");
        loop.setMinWidth(Region.USE_PREF_SIZE);
        loop.selectedProperty().bindBidirectional(view.loop);
        loop.setTooltip(new Tooltip("Begin again at the end of the play range"));
        return loop;
    }

    private void showClock() {
        frame.show(view.frame.get());
        double rate = session.project().sequence().rate().toDouble();
        clock.setText(
                String.format(
                        java.util.Locale.ROOT,
                        "of %d  %.2f s  %s a second",
                        session.project().frames(),
                        view.frame.get() / rate,
                        rate == Math.rint(rate)
                                ? Long.toString((long) rate)
                                : String.format(java.util.Locale.ROOT, "%.3f", rate)));
    }
}
