package ivrik.app.session;

import ivrik.core.look.Burst;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.BurstTitle;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Occurrence;
import ivrik.core.motion.Rational;
import ivrik.core.project.Layer;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;

import java.util.Optional;

/** Explains why an edit has no visible effect. */
public final class NoEffectReason {
    /** Reported after the mask has been evaluated, which needs the picture. */
    public static final String MISSED =
            "No visible effect: the mask of this look selects nothing in this frame";

    private NoEffectReason() {}

    /** Why an edit of the selected burst has no effect at a frame. */
    public static Optional<String> ofBurst(Session session, long frame) {
        State state = session.state();
        Burst burst = state.burst().orElse(null);
        if (burst == null) {
            return Optional.empty();
        }
        String title = BurstTitle.of(state.look().orElseThrow(), burst);
        if (!burst.on()) {
            return Optional.of("No visible effect: burst " + title + " is off");
        }
        if (burst.drives().isEmpty()) {
            return Optional.of("No visible effect: burst " + title + " drives no values");
        }
        Layer layer = state.layer().orElseThrow();
        Instant instant = session.plans().planner().instant(layer, Rational.of(frame));
        if (burst.anchor().anchorTimes(instant.timelineContext()).isEmpty()) {
            return Optional.of("No visible effect: the anchor of burst " + title + " was deleted");
        }
        Burst timed = BurstEdits.timed(state.look().orElseThrow(), burst, instant);
        double share =
                Occurrence.at(timed.anchor(), timed.envelope(), timed.repeat(), instant).share();
        return share == 0
                ? Optional.of("No visible effect: frame " + frame + " is outside burst " + title)
                : Optional.empty();
    }

    /** The reason after an edit that left the frame unchanged; empty if unknown. */
    public static Optional<String> of(Session session, long frame) {
        State after = session.state();
        Look look = after.look().orElse(null);
        if (look == null) {
            return Optional.empty();
        }
        var layer = after.layer().orElseThrow();
        if (!layer.visible()) {
            return Optional.of("No visible effect: layer " + layer.name() + " is hidden");
        }
        if (layer.clipAt(frame).isEmpty()) {
            return Optional.of(
                    "No visible effect: " + layer.name() + " has no picture at frame " + frame);
        }
        if (!layer.looks().get(after.lookNumber()).on()) {
            return Optional.of("No visible effect: look " + look.displayName() + " is off");
        }
        if (!layer.looks().get(after.lookNumber()).isOn(layer.clipAt(frame))) {
            return Optional.of(
                    "No visible effect: look " + look.displayName() + " applies to another shot");
        }
        String channel = look.model().channels().get(after.channel()).title();
        boolean whole = after.step().filter(Step::isWhole).isPresent();
        if (!whole && !look.isShown(after.channel())) {
            return Optional.of(
                    "No visible effect: "
                            + channel
                            + (look.channels().get(after.channel()).mute()
                                    ? " is muted"
                                    : " is not soloed, but another channel is"));
        }
        if (look.blend().opacity().at(frame) == 0) {
            return Optional.of("No visible effect: the look's opacity is 0 %");
        }
        Step step = after.step().orElse(null);
        if (step != null) {
            if (!step.on()) {
                return Optional.of(
                        "No visible effect: "
                                + step.kind().description().title()
                                + " is turned off");
            }
            String title = step.kind().description().title();
            double amount = step.settings(after.channel()).value(Parameter.AMOUNT).at(frame);
            if (amount == 0) {
                return Optional.of(
                        "No visible effect: the amount of " + title + " in " + channel + " is 0");
            }
            Settings settings =
                    CurrentValues.settings(session, after.channel(), frame).orElseThrow();
            if (step.picture().isEmpty() && step.kind().needsPicture(settings)) {
                return Optional.of("No visible effect: choose a source for " + title);
            }
            if (step.table().isEmpty() && step.kind().needsTable(settings)) {
                return Optional.of("No visible effect: import a .cube table for " + title);
            }
            if (!step.isWhole()
                    && look.channels().get(after.channel()).fixed()
                    && step.kind() instanceof Move) {
                return Optional.of(
                        "No visible effect: "
                                + channel
                                + " is fixed, so movement treatments do not act on it");
            }
        }
        return Optional.empty();
    }
}
