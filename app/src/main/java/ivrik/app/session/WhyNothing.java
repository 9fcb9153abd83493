package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Rational;
import ivrik.core.project.Project;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;

import java.util.Optional;

/** Why an edit shows nothing on screen, in plain words. */
public final class WhyNothing {
    /** Told once the reach has been worked out, which takes the picture. */
    public static final String MISSED =
            "Nothing changes here: the reach of this look selects nothing in this frame";

    private WhyNothing() {}

    /** The reason, if the frame is the same after an edit of the look as before. */
    public static Optional<String> of(Project before, State after, long frame) {
        Project now = after.project();
        Look look = after.look().orElse(null);
        if (look == null
                || before.equals(now)
                || !Planner.plan(before, frame).equals(Planner.plan(now, frame))) {
            return Optional.empty();
        }
        var layer = after.layer().orElseThrow();
        if (!layer.visible()) {
            return Optional.of("Nothing changes here: the layer " + layer.name() + " is hidden");
        }
        if (layer.clipAt(frame).isEmpty()) {
            return Optional.of(
                    "Nothing changes here: " + layer.name() + " shows nothing at frame " + frame);
        }
        if (!layer.looks().get(after.lookNumber()).on()) {
            return Optional.of("Nothing changes: the look " + look.name() + " is off");
        }
        String lane = look.model().lanes().get(after.lane()).title();
        if (!look.isShown(after.lane())) {
            return Optional.of(
                    "Nothing changes: "
                            + lane
                            + (look.lanes().get(after.lane()).mute()
                                    ? " is mute"
                                    : " is not among the soloed lanes"));
        }
        if (look.onto().amount().at(frame) == 0) {
            return Optional.of("Nothing changes: the look is laid on by 0 %");
        }
        if (!look.steps().isEmpty()) {
            Step step = look.steps().get(after.step());
            if (!step.on()) {
                return Optional.of(
                        "Nothing changes: " + step.kind().description().title() + " is off");
            }
            String title = step.kind().description().title();
            double amount = step.lanes().get(after.lane()).value(Parameter.AMOUNT).at(frame);
            if (amount == 0) {
                return Optional.of(
                        "Nothing changes: the amount of " + title + " for " + lane + " is 0");
            }
            Settings settings =
                    Planner.settings(
                            look,
                            after.step(),
                            after.lane(),
                            Rational.of(frame),
                            now.sequence().rate());
            if (step.picture().isEmpty() && step.kind().needsPicture(settings)) {
                return Optional.of("Nothing changes: choose the picture that " + title + " uses");
            }
            if (look.lanes().get(after.lane()).hold() && step.kind() instanceof Move) {
                return Optional.of(
                        "Nothing changes: " + lane + " is held and takes no part in movement");
            }
        }
        return Optional.empty();
    }
}
