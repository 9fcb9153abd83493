package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;

import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;

/** Pointer operations on keyframes in the timeline: selecting, dragging, and easing handles. */
final class KeyframeDrags {
    private final Session session;
    private final View view;
    private final KeyframeActions hands;
    private final Region owner;
    private final Supplier<GraphRows> rows;
    private final ContextMenu menu;

    /** The selection rectangle. */
    private final Rectangle band = new Rectangle();

    /** Shows the position of a dragged keyframe. */
    private final DragTooltip reported = new DragTooltip();

    /** Handles pointer positions of a drag. */
    interface Drag {
        Drag NONE = e -> {};

        void to(MouseEvent e);
    }

    /**
     * @param owner the view with the rows
     * @param rows the rows as drawn
     */
    KeyframeDrags(
            Session session,
            View view,
            KeyframeActions hands,
            Region owner,
            Supplier<GraphRows> rows) {
        this.session = session;
        this.view = view;
        this.hands = hands;
        this.owner = owner;
        this.rows = rows;
        menu =
                new ContextMenu(
                        Controls.item("Hold", () -> hands.ease(Ease.HOLD)),
                        Controls.item("Linear", () -> hands.ease(Ease.LINEAR)),
                        Controls.item("Ease", () -> hands.ease(Ease.SMOOTH)),
                        Controls.item("Delete", hands::delete));
        band.setManaged(false);
        band.setVisible(false);
        band.getStyleClass().add("keyframe-band");
    }

    /** Nodes that are shown during a drag. */
    List<Node> drawn() {
        return List.of(band, reported);
    }

    /** Ends the drag. */
    void released() {
        band.setVisible(false);
        reported.setVisible(false);
    }

    void hideMenu() {
        menu.hide();
    }

    private GraphRows rows() {
        return rows.get();
    }

    private TimeScale scale() {
        return TimeScale.of(view, owner.getWidth(), session.project().frames());
    }

    private double middle(int channel) {
        return rows().middle(channel);
    }

    /** Starts a drag for a press in the rows; empty to scrub. */
    Optional<Drag> pressed(MouseEvent e) {
        int channel = rows().at(e.getY());
        if (channel >= rows().count()) {
            return Optional.empty(); // a target without a channel has a single graph
        }
        if (rows().count() > 1) {
            session.selectChannel(channel);
        }
        Graph graph = rows().graph(channel);
        Optional<Drag> knob = knob(e, channel, graph);
        if (knob.isPresent()) {
            return knob;
        }
        Optional<Keyframe> keyframe =
                KeyframeHitTest.at(graph, scale(), middle(channel), e.getX(), e.getY());
        if (e.isShiftDown()) {
            keyframe.ifPresent(p -> hands.toggle(channel, p.frame()));
            return Optional.of(keyframe.isPresent() ? Drag.NONE : selectInBand(e, channel));
        }
        if (keyframe.isEmpty()) {
            hands.selectNone();
        } else if (!hands.isSelected(channel, keyframe.get().frame())) {
            hands.selectOnly(channel, keyframe.get().frame());
        }
        if (keyframe.isPresent() && e.getButton() == MouseButton.SECONDARY) {
            menu.show(owner, e.getScreenX(), e.getScreenY());
            return Optional.of(Drag.NONE);
        }
        if (keyframe.isPresent()) {
            return Optional.of(several(e, channel, keyframe.get()));
        }
        if (e.getClickCount() == 2) {
            hands.add(channel, scale().frame(e.getX()));
            return Optional.of(Drag.NONE);
        }
        return Optional.empty();
    }

    /** Selects keyframes in a rectangle over any channels. */
    private Drag selectInBand(MouseEvent from, int channel) {
        int channels = rows().count();
        return e -> {
            int other = rows().at(e.getY());
            band.setX(Math.min(from.getX(), e.getX()));
            band.setY(Math.min(from.getY(), e.getY()));
            band.setWidth(Math.abs(from.getX() - e.getX()));
            band.setHeight(Math.abs(from.getY() - e.getY()));
            band.setVisible(true);
            hands.selectAll(
                    channel,
                    Math.clamp(other, 0, channels - 1),
                    scale().moment(from.getX()),
                    scale().moment(e.getX()));
        };
    }

    private Optional<Drag> knob(MouseEvent e, int channel, Graph graph) {
        Keyframe from =
                hands.only()
                        .filter(one -> one.channel() == channel)
                        .flatMap(one -> graph.value().keyframeAt(one.frame()))
                        .orElse(null);
        if (from == null) {
            return Optional.empty();
        }
        List<Point2D> knobs = KeyframeHitTest.knobs(graph, scale(), middle(channel), from);
        for (int k = 0; k < knobs.size(); k++) {
            if (knobs.get(k).distance(e.getX(), e.getY()) < 7) {
                int knob = k;
                Keyframe to = KeyframeHitTest.next(graph.value(), from).orElseThrow();
                Session.Gesture gesture = session.gesture("Ease keyframe at " + from.frame());
                return Optional.of(
                        move -> {
                            Ease ease =
                                    KeyframeHitTest.dragged(
                                            (Ease.Eased) from.ease(),
                                            knob,
                                            graph,
                                            scale(),
                                            middle(channel),
                                            from,
                                            to,
                                            move.getX(),
                                            move.getY());
                            Value eased = graph.value().with(from.withEase(ease));
                            gesture.editLayer(layer -> graph.with(layer, eased));
                        });
            }
        }
        return Optional.empty();
    }

    /** Drags one keyframe to the pointer, or several by the pointer's distance. */
    private Drag several(MouseEvent e, int channel, Keyframe keyframe) {
        if (hands.only().isPresent()) {
            return one(channel, keyframe);
        }
        Graph graph = rows().graph(channel);
        TimeScale before = scale();
        KeyframeActions.Move move = hands.new Move();
        double high = graph.valueAt(e.getY(), middle(channel));
        long playhead = view.frame.get();
        return to -> {
            double unit = to.isAltDown() ? 10 : 1;
            double up = graph.valueAt(to.getY(), middle(channel)) - high;
            double at = before.x(keyframe.frame() + 0.5) + to.getX() - e.getX();
            long later =
                    caught(to, at, playhead, keyframe).orElse(before.frame(at)) - keyframe.frame();
            reported.show(
                    String.format(
                            Locale.ROOT,
                            "%d  %+d frames  %+.1f",
                            keyframe.frame() + later,
                            later,
                            Math.rint(up * unit) / unit),
                    to.getX(),
                    to.getY());
            move.to(later, Math.rint(up * unit) / unit);
        };
    }

    /** The frame that a dragged keyframe snaps to; none with Alt. */
    private Optional<Long> caught(MouseEvent e, double x, long playhead, Keyframe keyframe) {
        return e.isAltDown()
                ? Optional.empty()
                : Snapping.at(session.project(), playhead, scale(), x, 0.5, keyframe.frame())
                        .filter(f -> f < session.project().frames());
    }

    private Drag one(int channel, Keyframe keyframe) {
        Graph graph = rows().graph(channel);
        Value others = graph.value().without(keyframe.frame());
        Session.Gesture gesture = session.gesture("Move keyframe");
        long playhead = view.frame.get();
        return e -> {
            long frame = caught(e, e.getX(), playhead, keyframe).orElse(scale().frame(e.getX()));
            double unit = e.isAltDown() ? 10 : 1;
            double value = Math.rint(graph.valueAt(e.getY(), middle(channel)) * unit) / unit;
            if (graph.isJitter()) {
                value = Math.max(0, value);
            }
            if (others.keyframeAt(frame).isPresent()) {
                return; // another keyframe is there; passing it would lose it
            }
            Keyframe moved = new Keyframe(frame, value, keyframe.ease());
            reported.show(frame + "  " + Controls.plain(value), e.getX(), e.getY());
            hands.selectOnly(channel, frame);
            gesture.editLayer(layer -> graph.with(layer, others.with(moved)));
        };
    }
}
