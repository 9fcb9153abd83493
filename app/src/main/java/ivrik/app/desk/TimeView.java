package ivrik.app.desk;

import ivrik.app.desk.KeyframeDrags.Drag;
import ivrik.app.session.GraphTargets;
import ivrik.app.session.LatestTask;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.core.look.Burst;
import ivrik.core.project.Marker;

import javafx.beans.property.ObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Line;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The timeline beside the matrix, with the same rows: a ruler to scrub, a graph per channel with keyframes to
 * set (double click), drag, ease and delete, and the ribbon of shots and layers.
 */
public final class TimeView extends Drawing {
    private final Session session;
    private final View view;
    private final Map<String, Image> pictures = new HashMap<>();
    private final Filmstrip filmstrip;
    private final Line playhead = new Line();
    private final Label number = new Label();
    private final LatestTask work = new LatestTask();
    private Graph.Results results = Graph.Results.NONE;
    private boolean[] cached = {};
    private final KeyframeActions hands;
    private final MarkerMenu markers;
    private final KeyframeDrags drags;
    private Drag drag;

    public TimeView(Session session, View view, ObjectProperty<Palette> palette) {
        super(palette);
        this.session = session;
        this.view = view;
        this.markers = new MarkerMenu(session);
        this.filmstrip = new Filmstrip(this::redraw, view.playing::get);
        view.playing.addListener((o, was, is) -> filmstrip.next());
        this.hands = new KeyframeActions(session, view, this::redraw);
        this.drags = new KeyframeDrags(session, view, hands, this, this::rows);
        getStyleClass().add("desk");
        setMinSize(200, 120);
        setAccessibleText("Timeline: frames from left to right, one graph per channel");
        setOnMousePressed(this::pressed);
        setOnMouseMoved(this::moved);
        setOnMouseDragged(
                e -> {
                    if (drag != null) {
                        drag.to(e);
                    }
                });
        setOnMouseReleased(
                e -> {
                    drag = null;
                    drags.released();
                });
        playhead.setManaged(false);
        number.setManaged(false);
        number.getStyleClass().add("playhead");
        getChildren().addAll(playhead, number);
        getChildren().addAll(drags.drawn());
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!was.stepId().equals(is.stepId())) {
                                results = Graph.Results.NONE;
                                hands.selectNone();
                            }
                            graph();
                        });
        view.frame.addListener(
                (o, a, b) -> {
                    scale().reveal(view, view.frame.get());
                    placePlayhead();
                });
        for (ObservableValue<?> seen :
                List.of(
                        view.timeFrom,
                        view.timeShown,
                        view.tall,
                        view.valueZoom,
                        view.valueMiddle)) {
            seen.subscribe(this::redraw);
        }
        setOnScroll(this::scrolled);
        view.face.addListener((o, a, b) -> redraw());
        view.selectedShots.addListener((o, a, b) -> redraw());
        view.graphed.addListener(
                (o, a, b) -> {
                    hands.selectNone();
                    graph();
                });
    }

    /** Whether graphed values are being computed. */
    public boolean isBusy() {
        return work.isBusy();
    }

    /** Shows which frames are ready for playback. */
    public void showCached(boolean[] ready) {
        if (!java.util.Arrays.equals(ready, cached)) {
            cached = ready;
            redraw();
        }
    }

    /** The pictures of frames in the ribbon. */
    public Filmstrip filmstrip() {
        return filmstrip;
    }

    /** Shows a thumbnail of a source in the ribbon until the pictures of its frames are made. */
    public void showPicture(String source, Image image) {
        pictures.put(source, image);
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        TimePainter painter = new TimePainter(session, view, g, p, w, h);
        if (session.project().layers().isEmpty()) {
            painter.paintEmpty();
        } else {
            painter.paint(cached, results, hands, pictures, filmstrip);
        }
    }

    /** Computes the graphed values off the interface thread. */
    private void graph() {
        State state = session.state();
        Plans plans = session.plans();
        GraphTargets graphed = view.graphed.get();
        work.ask(
                cancel -> Graph.results(state, plans, graphed, cancel),
                made -> {
                    results = made;
                    redraw();
                });
        redraw();
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        placePlayhead();
    }

    /** Moves the playhead without redrawing the rest. */
    private void placePlayhead() {
        boolean any = !session.project().layers().isEmpty();
        double x = Math.rint(scale().x(view.frame.get() + 0.5)) + 0.5;
        boolean seen = any && x >= 0 && x <= getWidth();
        playhead.setVisible(seen);
        number.setVisible(seen);
        playhead.setStartX(x);
        playhead.setEndX(x);
        playhead.setStartY(Metrics.HEAD);
        playhead.setEndY(getHeight());
        playhead.setStroke(palette.get().colour("paper"));
        number.setText(Long.toString(view.frame.get()));
        number.autosize();
        double w = number.getWidth();
        number.relocate(Math.clamp(x - w / 2, 1, Math.max(1, getWidth() - w - 1)), 4);
    }

    private TimeScale scale() {
        return TimeScale.of(view, getWidth(), session.project().frames());
    }

    private GraphRows rows() {
        return new GraphRows(session.state(), view, results);
    }

    /** Bottom of the channel rows in pixels. */
    public double rowsBottom() {
        return rows().bottom();
    }

    /** The area at a position. */
    public TimeArea areaAt(Point2D at) {
        return TimeArea.at(session, scale(), rowsBottom(), at.getX(), at.getY());
    }

    private void pressed(MouseEvent e) {
        requestFocus();
        drags.hideMenu();
        if (takeMarker(e)) {
            // held until the mouse button is released, or its menu is shown
        } else if (e.getY() < Metrics.HEAD) {
            drag = this::scrub;
            scrub(e);
        } else if (takeBurst(e)) {
            view.controlsShown.set(true);
            view.face.set(View.Face.BURST);
        } else if (takeEdge(e)) {
            // held until the mouse button is released
        } else if (e.getY() >= rowsBottom()) {
            scrub(e);
            takeShot(e);
        } else {
            drag =
                    drags.pressed(e)
                            .orElseGet(
                                    () -> {
                                        scrub(e);
                                        return this::scrub;
                                    });
        }
        redraw();
    }

    /** Starts a drag of a marker; the right button, or a double click, shows its menu. */
    private boolean takeMarker(MouseEvent e) {
        TimeScale before = scale();
        Marker marker = markers.at(before, e.getX(), e.getY()).orElse(null);
        if (marker == null) {
            return false;
        }
        if (e.getButton() == MouseButton.SECONDARY || e.getClickCount() == 2) {
            markers.show(marker, this, e.getScreenX(), e.getScreenY());
            return true;
        }
        Session.Gesture gesture = session.gesture("Move marker");
        drag =
                move ->
                        gesture.edit(
                                p ->
                                        p.withMarkers(
                                                MarkerMenu.moved(
                                                        p.markers(),
                                                        marker,
                                                        before.frame(move.getX()))));
        return true;
    }

    /** Starts a drag of a shot's start or end; Alt disables snapping. */
    private boolean takeEdge(MouseEvent e) {
        TimeScale before = scale();
        ShotEdge edge = ShotEdge.at(session, before, rowsBottom(), e.getX(), e.getY()).orElse(null);
        if (edge == null) {
            return false;
        }
        session.selectLayer(edge.layer().id());
        Session.Gesture gesture = session.gesture("Move cut in " + edge.layer().name());
        long playhead = view.frame.get();
        drag =
                move ->
                        gesture.edit(
                                p ->
                                        edge.dragged(
                                                p,
                                                before,
                                                move.getX(),
                                                playhead,
                                                !move.isAltDown()));
        return true;
    }

    /** Selects the layer under the pointer and starts a drag of its shot. */
    private void takeShot(MouseEvent e) {
        TimeScale before = scale();
        ShotBody body = ShotBody.at(session, before, rowsBottom(), e.getX(), e.getY()).orElse(null);
        ShotRibbon.at(session.project().layers(), e.getY(), rowsBottom(), before.moment(e.getX()))
                .ifPresent(layer -> session.selectLayer(layer.id()));
        if (body == null || e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        if (e.isShiftDown()) {
            select(new View.ShotId(body.layer().id(), body.shot().id()));
            return;
        }
        view.selectedShots.set(Set.of());
        boolean slips = e.isShortcutDown();
        Session.Gesture gesture = session.gesture(slips ? "Slip shot" : "Move shot");
        long playhead = view.frame.get();
        drag =
                move -> {
                    if (slips) {
                        gesture.edit(p -> body.slipped(p, before, move.getX()));
                    } else if (body.isDrag(move.getX())) {
                        gesture.edit(
                                p ->
                                        body.moved(
                                                p,
                                                before,
                                                move.getX(),
                                                playhead,
                                                !move.isAltDown()));
                    }
                };
    }

    /** Adds a shot to the selection, or removes it. */
    private void select(View.ShotId shot) {
        Set<View.ShotId> selected = new LinkedHashSet<>(view.selectedShots.get());
        if (!selected.remove(shot)) {
            selected.add(shot);
        }
        view.selectedShots.set(selected);
        view.notice.set(
                selected.isEmpty()
                        ? ""
                        : selected.size()
                                + (selected.size() == 1 ? " shot" : " shots")
                                + " selected. Layer > Add span over selected shots puts a look on"
                                + " them");
    }

    /** Changes the pointer over draggable sides. */
    private void moved(MouseEvent e) {
        boolean any = !session.project().layers().isEmpty();
        BurstBand band = new BurstBand(session, scale(), rowsBottom());
        boolean side =
                any
                        && (ShotEdge.at(session, scale(), rowsBottom(), e.getX(), e.getY())
                                        .isPresent()
                                || band.at(e.getX(), e.getY())
                                        .filter(h -> h.grip() != BurstBand.Grip.BODY)
                                        .isPresent());
        setCursor(side ? Cursor.H_RESIZE : Cursor.DEFAULT);
    }

    /** Selects the burst under the pointer and starts a drag. */
    private boolean takeBurst(MouseEvent e) {
        BurstBand band = new BurstBand(session, scale(), rowsBottom());
        BurstBand.Held held = band.at(e.getX(), e.getY()).orElse(null);
        if (held == null) {
            return false;
        }
        String id = held.standing().burst().id();
        session.selectBurst(id);
        Burst before = held.standing().burst();
        Session.Gesture gesture = session.gesture("Edit burst");
        Burst start = session.state().look().flatMap(l -> l.burst(id)).orElse(before);
        drag =
                move -> {
                    Burst dragged = band.dragged(held, start, e.getX(), move.getX());
                    gesture.editLook(look -> look.withBurst(dragged));
                };
        return true;
    }

    /** Scrolls in time; with the shortcut key zooms about the pointer, with Alt scales values. */
    private void scrolled(ScrollEvent e) {
        if (e.isAltDown()) {
            view.zoomValue(Math.pow(1.01, e.getDeltaY()));
        } else if (e.isShortcutDown()) {
            scale().zoom(view, Math.pow(1.01, -e.getDeltaY()), e.getX());
        } else {
            scale().pan(view, -(e.getDeltaX() + e.getDeltaY()));
        }
        e.consume();
    }

    /** Zooms about the present frame. */
    public void zoom(double times) {
        scale().zoom(view, times, scale().x(view.frame.get() + 0.5));
    }

    private void scrub(MouseEvent e) {
        view.playing.set(false);
        view.frame.set(scale().frame(e.getX()));
    }

    /** The selected keyframes. */
    public KeyframeActions keyframes() {
        return hands;
    }
}
