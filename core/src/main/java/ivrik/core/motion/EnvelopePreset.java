package ivrik.core.motion;

import java.util.List;
import java.util.Optional;

/** Initial envelopes for a burst. */
public enum EnvelopePreset {
    STEPS("3 steps", PeakEnvelope.even(6, 3)),
    MORE_STEPS("6 steps", PeakEnvelope.even(24, 6)),
    HIT("Hit and decay", peakEnvelope(List.of(), List.of(new Phase(8, 0.6)), true)),
    SWELL("Swell", peakEnvelope(List.of(new Phase(12, 11 / 12.0)), null, true)),
    STUTTER(
            "Stutter",
            peakEnvelope(
                    List.of(new Phase(2, 0.5), new Phase(1, 0), new Phase(2, 0.8), new Phase(1, 0)),
                    null,
                    false)),
    SWING(
            "Swing",
            peakEnvelope(
                    List.of(new Phase(2, 0.3), new Phase(2, -0.5), new Phase(2, 0.7)),
                    null,
                    false)),
    FLASH("Single frame", PeakEnvelope.even(0, 0)),
    SWIPE("Swipe", new TransitionEnvelope(6, 6, Ease.SMOOTH, false)),
    RUSH("Swipe speed", new TransitionEnvelope(6, 6, Ease.SMOOTH, true));

    private final String title;
    private final Envelope envelope;

    EnvelopePreset(String title, Envelope envelope) {
        this.title = title;
        this.envelope = envelope;
    }

    private static PeakEnvelope peakEnvelope(List<Phase> in, List<Phase> out, boolean ramps) {
        return new PeakEnvelope(in, 1, Optional.ofNullable(out), ramps);
    }

    public Envelope envelope() {
        return envelope;
    }

    @Override
    public String toString() {
        return title;
    }
}
