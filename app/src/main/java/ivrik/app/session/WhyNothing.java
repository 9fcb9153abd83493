package ivrik.app.session;

import ivrik.core.look.Burst;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Coming;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.project.Layer;
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

    /** Why an edit of the selected burst shows nothing at a frame. */
    public static Optional<String> ofBurst(Session session, long frame) {
        State state = session.state();
        Burst burst = state.burst().orElse(null);
        if (burst == null) {
            return Optional.empty();
        }
        if (!burst.on()) {
            return Optional.of("Nothing changes: the burst " + burst.name() + " is off");
        }
        if (burst.drives().isEmpty()) {
            return Optional.of("Nothing changes: the burst " + burst.name() + " drives nothing");
        }
        Layer layer = state.layer().orElseThrow();
        Instant instant = session.plans().planner().instant(layer, Rational.of(frame));
        if (burst.anchor().axes(instant.around()).isEmpty()) {
            return Optional.of(
                    "Nothing changes: what the burst " + burst.name() + " stands on is gone");
        }
        Burst timed = Bursting.timed(state.look().orElseThrow(), burst, instant);
        double share = Coming.at(timed.anchor(), timed.course(), timed.repeat(), instant).share();
        return share == 0
                ? Optional.of(
                        "Nothing changes here: frame "
                                + frame
                                + " is outside the burst "
                                + burst.name())
                : Optional.empty();
    }

    /** The reason, after an edit that has left the frame as it was; empty if there is none to be told. */
    public static Optional<String> of(Session session, long frame) {
        State after = session.state();
        Look look = after.look().orElse(null);
        if (look == null) {
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
            return Optional.of("Nothing changes: the look " + look.shownName() + " is off");
        }
        if (!layer.looks().get(after.lookNumber()).isOn(layer.clipAt(frame))) {
            return Optional.of(
                    "Nothing changes here: the look " + look.shownName() + " is for another shot");
        }
        String lane = look.model().lanes().get(after.lane()).title();
        boolean whole = after.step().filter(Step::isWhole).isPresent();
        if (!whole && !look.isShown(after.lane())) {
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
        Step step = after.step().orElse(null);
        if (step != null) {
            if (!step.on()) {
                return Optional.of(
                        "Nothing changes: " + step.kind().description().title() + " is off");
            }
            String title = step.kind().description().title();
            double amount = step.amounts(after.lane()).value(Parameter.AMOUNT).at(frame);
            if (amount == 0) {
                return Optional.of(
                        "Nothing changes: the amount of " + title + " for " + lane + " is 0");
            }
            Settings settings = Values.settings(session, after.lane(), frame).orElseThrow();
            if (step.picture().isEmpty() && step.kind().needsPicture(settings)) {
                return Optional.of("Nothing changes: choose the picture that " + title + " uses");
            }
            if (step.table().isEmpty() && step.kind().needsTable(settings)) {
                return Optional.of(
                        "Nothing changes: bring in the .cube table that " + title + " is to use");
            }
            if (!step.isWhole()
                    && look.lanes().get(after.lane()).hold()
                    && step.kind() instanceof Move) {
                return Optional.of(
                        "Nothing changes: "
                                + lane
                                + " is kept still and takes no part in movement");
            }
        }
        return Optional.empty();
    }
}
