package ivrik.app.shell;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Nudge;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.core.look.ChannelSettings;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;

import javafx.geometry.Point2D;

/** Effects of keys on the selected channel. */
final class ChannelKeys {
    private final Session session;
    private final View view;

    ChannelKeys(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /**
     * Shifts the channel and those that follow it by nudge steps; for a treatment without a shift changes the
     * first parameter by steps, up and right for more.
     */
    void nudge(double right, double down) {
        double dx = right * view.nudge.get();
        double dy = down * view.nudge.get();
        Treatment treatment = ChannelEdits.treatment(session.state()).orElse(null);
        if (treatment == null) {
            return;
        }
        if (!ChannelEdits.hasShift(session.state())) {
            change(treatment.description().main(), dx - dy);
            return;
        }
        int channel = ChannelEdits.share(session.state());
        String step = session.state().stepId();
        long frame = view.frame.get();
        Point2D from = ChannelEdits.shifts(session.state(), frame).get(channel);
        Point2D to = new Point2D(tidy(from.getX() + dx), tidy(from.getY() + dy));
        session.editAgain(
                "Nudge " + title(),
                look -> view.follow.get().moved(look, step, channel, frame, to));
    }

    private void change(Parameter main, double steps) {
        int channel = ChannelEdits.share(session.state());
        String step = session.state().stepId();
        long frame = view.frame.get();
        session.editAgain(
                "Nudge " + title(),
                look -> {
                    double now =
                            ChannelEdits.settings(look, step, channel).value(main.name()).at(frame);
                    double to = tidy(now + steps * main.step());
                    return ChannelEdits.with(look, step, channel, frame, main.name(), to);
                });
    }

    /** Rounds so that tenths add up to integers. */
    private static double tidy(double v) {
        return Math.rint(v * 1e6) / 1e6;
    }

    private String title() {
        return ChannelEdits.shares(session.state())
                .get(ChannelEdits.share(session.state()))
                .title();
    }

    /** Selects the next nudge step. */
    void nextStep() {
        view.nudge.set(Nudge.next(view.nudge.get()));
        view.notice.set("Nudge step: " + Controls.plain(view.nudge.get()) + " px");
    }

    void rest() {
        int channel = ChannelEdits.share(session.state());
        String step = session.state().stepId();
        session.editLook(
                "Reset " + title(),
                look ->
                        look.withSettings(
                                step,
                                channel,
                                a ->
                                        ChannelSettings.atRest(
                                                look.step(step)
                                                        .orElseThrow()
                                                        .kind()
                                                        .description())));
    }

    void toggleStep() {
        String step = session.state().stepId();
        session.editLook(
                "Turn treatment on or off", look -> look.withStep(step, s -> s.withOn(!s.on())));
    }
}
