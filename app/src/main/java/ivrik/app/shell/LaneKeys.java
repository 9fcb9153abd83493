package ivrik.app.shell;

import ivrik.app.control.Controls;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Nudge;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Amounts;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;

import javafx.geometry.Point2D;

/** What the keys do to the lane being worked on. */
final class LaneKeys {
    private final Session session;
    private final View view;

    LaneKeys(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /**
     * Moves the lane, and others after it, by so many pixels; a treatment that does not move it to
     * places has its first number changed by so many steps, up and right for more. Both are times the step of
     * nudging that is chosen.
     */
    void nudge(double right, double down) {
        double dx = right * view.nudge.get();
        double dy = down * view.nudge.get();
        Treatment treatment = LaneEdits.treatment(session.state()).orElse(null);
        if (treatment == null) {
            return;
        }
        if (!LaneEdits.hasShift(session.state())) {
            change(treatment.description().main(), dx - dy);
            return;
        }
        int lane = LaneEdits.share(session.state());
        String step = session.state().stepId();
        long frame = view.frame.get();
        Point2D from = LaneEdits.shifts(session.state(), frame).get(lane);
        Point2D to = new Point2D(tidy(from.getX() + dx), tidy(from.getY() + dy));
        session.editAgain(
                "Nudge " + title(), look -> view.follow.get().moved(look, step, lane, frame, to));
    }

    private void change(Parameter main, double steps) {
        int lane = LaneEdits.share(session.state());
        String step = session.state().stepId();
        long frame = view.frame.get();
        session.editAgain(
                "Nudge " + title(),
                look -> {
                    double now = LaneEdits.amounts(look, step, lane).value(main.name()).at(frame);
                    double to = tidy(now + steps * main.step());
                    return LaneEdits.with(look, step, lane, frame, main.name(), to);
                });
    }

    /** Tenths add up to whole numbers. */
    private static double tidy(double v) {
        return Math.rint(v * 1e6) / 1e6;
    }

    private String title() {
        return LaneEdits.shares(session.state()).get(LaneEdits.share(session.state())).title();
    }

    /** The next step of nudging. */
    void nextStep() {
        view.nudge.set(Nudge.next(view.nudge.get()));
        view.notice.set("Arrow keys go by " + Controls.plain(view.nudge.get()));
    }

    void rest() {
        int lane = LaneEdits.share(session.state());
        String step = session.state().stepId();
        session.editLook(
                "Defaults of " + title(),
                look ->
                        look.withAmounts(
                                step,
                                lane,
                                a ->
                                        Amounts.atRest(
                                                look.step(step)
                                                        .orElseThrow()
                                                        .kind()
                                                        .description())));
    }

    void toggleStep() {
        String step = session.state().stepId();
        session.editLook(
                "Treatment on or off", look -> look.withStep(step, s -> s.withOn(!s.on())));
    }
}
