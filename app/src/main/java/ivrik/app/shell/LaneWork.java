package ivrik.app.shell;

import ivrik.app.session.Lanes;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Amounts;

import javafx.geometry.Point2D;

/** What the keys do to the lane being worked on. */
final class LaneWork {
    private final Session session;
    private final View view;

    LaneWork(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** Moves the lane, and others after it, by so many pixels. */
    void nudge(double dx, double dy) {
        if (!Lanes.hasShift(session.state())) {
            return;
        }
        int lane = session.state().lane();
        int step = session.state().step();
        long frame = view.frame.get();
        Point2D from = Lanes.shifts(session.state(), frame).get(lane);
        Point2D to = new Point2D(tidy(from.getX() + dx), tidy(from.getY() + dy));
        session.editLook(
                "Nudge " + title(), look -> view.follow.get().moved(look, step, lane, frame, to));
    }

    /** Tenths add up to whole numbers. */
    private static double tidy(double v) {
        return Math.rint(v * 1e6) / 1e6;
    }

    private String title() {
        return Lanes.kinds(session.state()).get(session.state().lane()).title();
    }

    void rest() {
        int lane = session.state().lane();
        int step = session.state().step();
        session.editLook(
                "Put " + title() + " to rest",
                look ->
                        look.withAmounts(
                                step,
                                lane,
                                a -> Amounts.atRest(look.steps().get(step).kind().description())));
    }

    void toggleStep() {
        int step = session.state().step();
        session.editLook(
                "Treatment on or off", look -> look.withStep(step, s -> s.withOn(!s.on())));
    }
}
