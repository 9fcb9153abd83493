package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.motion.Rational;

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

/** The lower part of the window: matrix and timeline, with the transport below. */
public final class Desk extends SplitPane {
    private static final double FAR = 1e8;

    private final Session session;
    private final View view;
    private final NumberField frame;
    private final Label clock = new Label();
    private final ReadOnlyDoubleWrapper least = new ReadOnlyDoubleWrapper();

    /** Preferred share of the width for the columns. */
    private double share = 0.5;

    public Desk(Session session, View view, Matrix matrix, TimeView time) {
        this.session = session;
        this.view = view;
        getStyleClass().add("desk");
        frame =
                new NumberField(
                        new NumberField.Spec("", 0, FAR, 0, 1, 0, false),
                        "Current frame. Type a number to go to that frame",
                        to ->
                                view.frame.set(
                                        Math.min(Math.round(to), session.project().frames() - 1)));
        frame.setId("go-to-frame");
        frame.openOver(clock);
        clock.getStyleClass().addAll("number", "quiet");
        clock.setMinWidth(Region.USE_PREF_SIZE);
        HBox transport = new HBox(6, play(), loop(), frame, clock);
        transport.setAlignment(Pos.CENTER_LEFT);
        FlowPane strip =
                new FlowPane(
                        transport,
                        new KeyframeStrip(session, view, time.keyframes()),
                        new GraphChoice(session, view));
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

    /** Sets the preferred share of the width for the columns; they get more if they need it. */
    public void setShare(double wanted) {
        share = wanted;
        setDividerPositions(wanted);
    }

    public double share() {
        return share;
    }

    /** Smallest height that shows all channels and layers. */
    public ReadOnlyDoubleProperty leastHeight() {
        return least.getReadOnlyProperty();
    }

    private double least(double transport, Matrix matrix) {
        int channels = session.state().look().map(l -> l.channels().size()).orElse(0);
        double rows = Metrics.HEAD + channels * Metrics.leastChannel(view.textScale.get());
        double time = rows + ShotRibbon.room(session.project().layers()) + transport;
        double columns = rows + Metrics.SCROLL + ((Region) matrix.getBottom()).getHeight();
        return Math.max(time, columns);
    }

    private ToggleButton play() {
        ToggleButton play = new ToggleButton("Play");
        play.setId("play");
        play.setMinWidth(Region.USE_PREF_SIZE);
        play.selectedProperty().bindBidirectional(view.playing);
        play.setTooltip(new Tooltip("Play or stop. Key: Space"));
        view.playing.addListener((o, a, b) -> play.setText(b ? "Stop" : "Play"));
        return play;
    }

    private ToggleButton loop() {
        ToggleButton loop = new ToggleButton("loop");
        loop.getStyleClass().add("plain");
        loop.setMinWidth(Region.USE_PREF_SIZE);
        loop.selectedProperty().bindBidirectional(view.loop);
        loop.setTooltip(new Tooltip("Loops playback of the play range. Key: R"));
        return loop;
    }

    private void showClock() {
        frame.show(view.frame.get());
        Rational rate = session.project().sequence().rate();
        clock.setText(
                String.format(
                        java.util.Locale.ROOT,
                        "of %d %s  %.2f s  %s fps",
                        session.project().frames(),
                        session.project().frames() == 1 ? "frame" : "frames",
                        view.frame.get() / rate.toDouble(),
                        Controls.rate(rate)));
    }
}
