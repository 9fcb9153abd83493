package ivrik.app.desk;

import ivrik.app.control.Controls;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
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

/** What the pointer does with pegs in the rows of the time view: picks them, drags them and their eases. */
final class PegDrags {
    private final Session session;
    private final View view;
    private final PegHands hands;
    private final Region owner;
    private final Supplier<TraceRows> rows;
    private final ContextMenu menu;

    /** Drawn while pegs are picked in it. */
    private final Rectangle band = new Rectangle();

    /** Says where a peg is while it is dragged. */
    private final Told told = new Told();

    /** What a drag does with each new place of the pointer. */
    interface Drag {
        Drag NONE = e -> {};

        void to(MouseEvent e);
    }

    /**
     * @param owner the view that the rows are in
     * @param rows as they are drawn
     */
    PegDrags(Session session, View view, PegHands hands, Region owner, Supplier<TraceRows> rows) {
        this.session = session;
        this.view = view;
        this.hands = hands;
        this.owner = owner;
        this.rows = rows;
        menu =
                new ContextMenu(
                        Controls.item("Hold", () -> hands.ease(Ease.HOLD)),
                        Controls.item("Linear", () -> hands.ease(Ease.LINEAR)),
                        Controls.item("Eased", () -> hands.ease(Ease.SMOOTH)),
                        Controls.item("Delete", hands::delete));
        band.setManaged(false);
        band.setVisible(false);
        band.getStyleClass().add("peg-band");
    }

    /** What is drawn while something is dragged. */
    List<Node> drawn() {
        return List.of(band, told);
    }

    /** Lets go. */
    void released() {
        band.setVisible(false);
        told.setVisible(false);
    }

    void hideMenu() {
        menu.hide();
    }

    private TraceRows rows() {
        return rows.get();
    }

    private TimeScale scale() {
        return TimeScale.of(view, owner.getWidth(), session.project().frames());
    }

    private double middle(int lane) {
        return rows().middle(lane);
    }

    /** What is held by a press in the rows; empty where nothing is, and time is scrubbed. */
    Optional<Drag> pressed(MouseEvent e) {
        int lane = rows().at(e.getY());
        if (lane >= rows().count()) {
            return Optional.empty(); // what is of no lane has one trace
        }
        if (rows().count() > 1) {
            session.selectLane(lane);
        }
        Trace trace = rows().trace(lane);
        Optional<Drag> knob = knob(e, lane, trace);
        if (knob.isPresent()) {
            return knob;
        }
        Optional<Peg> peg = PegPicker.at(trace, scale(), middle(lane), e.getX(), e.getY());
        if (e.isShiftDown()) {
            peg.ifPresent(p -> hands.toggle(lane, p.frame()));
            return Optional.of(peg.isPresent() ? Drag.NONE : pickInBand(e, lane));
        }
        if (peg.isEmpty()) {
            hands.pickNone();
        } else if (!hands.isPicked(lane, peg.get().frame())) {
            hands.pickOnly(lane, peg.get().frame());
        }
        if (peg.isPresent() && e.getButton() == MouseButton.SECONDARY) {
            menu.show(owner, e.getScreenX(), e.getScreenY());
            return Optional.of(Drag.NONE);
        }
        if (peg.isPresent()) {
            return Optional.of(several(e, lane, peg.get()));
        }
        if (e.getClickCount() == 2) {
            hands.add(lane, scale().frame(e.getX()));
            return Optional.of(Drag.NONE);
        }
        return Optional.empty();
    }

    /** Picks the pegs in a band that is drawn from here on, over any lanes. */
    private Drag pickInBand(MouseEvent from, int lane) {
        int lanes = rows().count();
        return e -> {
            int other = rows().at(e.getY());
            band.setX(Math.min(from.getX(), e.getX()));
            band.setY(Math.min(from.getY(), e.getY()));
            band.setWidth(Math.abs(from.getX() - e.getX()));
            band.setHeight(Math.abs(from.getY() - e.getY()));
            band.setVisible(true);
            hands.pickAll(
                    lane,
                    Math.clamp(other, 0, lanes - 1),
                    scale().moment(from.getX()),
                    scale().moment(e.getX()));
        };
    }

    private Optional<Drag> knob(MouseEvent e, int lane, Trace trace) {
        Peg from =
                hands.only()
                        .filter(one -> one.lane() == lane)
                        .flatMap(one -> trace.value().pegAt(one.frame()))
                        .orElse(null);
        if (from == null) {
            return Optional.empty();
        }
        List<Point2D> knobs = PegPicker.knobs(trace, scale(), middle(lane), from);
        for (int k = 0; k < knobs.size(); k++) {
            if (knobs.get(k).distance(e.getX(), e.getY()) < 7) {
                int knob = k;
                Peg to = PegPicker.next(trace.value(), from).orElseThrow();
                Session.Gesture gesture = session.gesture("Ease peg at " + from.frame());
                return Optional.of(
                        move -> {
                            Ease ease =
                                    PegPicker.dragged(
                                            (Ease.Eased) from.ease(),
                                            knob,
                                            trace,
                                            scale(),
                                            middle(lane),
                                            from,
                                            to,
                                            move.getX(),
                                            move.getY());
                            Value eased = trace.value().with(from.withEase(ease));
                            gesture.editLayer(layer -> trace.with(layer, eased));
                        });
            }
        }
        return Optional.empty();
    }

    /** Drags one peg to where the pointer is, or several as far as the pointer goes. */
    private Drag several(MouseEvent e, int lane, Peg peg) {
        if (hands.only().isPresent()) {
            return one(lane, peg);
        }
        Trace trace = rows().trace(lane);
        TimeScale before = scale();
        PegHands.Move move = hands.new Move();
        double high = trace.valueAt(e.getY(), middle(lane));
        long playhead = view.frame.get();
        return to -> {
            double unit = to.isAltDown() ? 10 : 1;
            double up = trace.valueAt(to.getY(), middle(lane)) - high;
            double at = before.x(peg.frame() + 0.5) + to.getX() - e.getX();
            long later = caught(to, at, playhead, peg).orElse(before.frame(at)) - peg.frame();
            told.show(
                    String.format(
                            Locale.ROOT,
                            "%d  %+d frames  %+.1f",
                            peg.frame() + later,
                            later,
                            Math.rint(up * unit) / unit),
                    to.getX(),
                    to.getY());
            move.to(later, Math.rint(up * unit) / unit);
        };
    }

    /** The frame that a peg catches on when it is dragged to a place; none with Alt. */
    private Optional<Long> caught(MouseEvent e, double x, long playhead, Peg peg) {
        return e.isAltDown()
                ? Optional.empty()
                : Catching.at(session.project(), playhead, scale(), x, 0.5, peg.frame())
                        .filter(f -> f < session.project().frames());
    }

    private Drag one(int lane, Peg peg) {
        Trace trace = rows().trace(lane);
        Value others = trace.value().without(peg.frame());
        Session.Gesture gesture = session.gesture("Move peg");
        long playhead = view.frame.get();
        return e -> {
            long frame = caught(e, e.getX(), playhead, peg).orElse(scale().frame(e.getX()));
            double unit = e.isAltDown() ? 10 : 1;
            double value = Math.rint(trace.valueAt(e.getY(), middle(lane)) * unit) / unit;
            if (trace.isJitter()) {
                value = Math.max(0, value);
            }
            if (others.pegAt(frame).isPresent()) {
                return; // another peg stands there; passing it by would lose it
            }
            Peg moved = new Peg(frame, value, peg.ease());
            told.show(frame + "  " + Controls.plain(value), e.getX(), e.getY());
            hands.pickOnly(lane, frame);
            gesture.editLayer(layer -> trace.with(layer, others.with(moved)));
        };
    }
}
