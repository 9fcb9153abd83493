package ivrik.core.look;

import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** The phases of a burst as rows of numbers: frames, strength, and the amount added in each channel. */
public final class BurstPhases {
    private static final double SAME = 1e-12;

    private BurstPhases() {}

    /**
     * One row.
     *
     * @param later whether the phase lies after the peak
     * @param number index among the phases of its side, in time order; -1 for the peak
     */
    public record Row(boolean later, int number) {
        public static final Row PEAK = new Row(false, -1);

        public boolean isPeak() {
            return number < 0;
        }
    }

    /** The rows in time order; a symmetrical envelope has none after the peak. */
    public static List<Row> rows(PeakEnvelope envelope) {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < envelope.in().size(); i++) {
            rows.add(new Row(false, i));
        }
        rows.add(Row.PEAK);
        for (int i = 0; i < envelope.out().map(List::size).orElse(0); i++) {
            rows.add(new Row(true, i));
        }
        return rows;
    }

    private static Phase phase(PeakEnvelope envelope, Row row) {
        return row.isPeak()
                ? new Phase(envelope.peak(), 1)
                : (row.later ? envelope.down() : envelope.in()).get(row.number);
    }

    /** Frames of a phase, or of the peak on each side of the anchor. */
    public static int frames(PeakEnvelope envelope, Row row) {
        return phase(envelope, row).frames();
    }

    /** An envelope with another duration of one row; the peak lasts at least 1 frame. */
    public static PeakEnvelope withFrames(PeakEnvelope envelope, Row row, int frames) {
        return row.isPeak()
                ? envelope.withPeak(Math.max(1, frames))
                : with(envelope, row, p -> p.withFrames(frames));
    }

    /** Strength of a row as a share of the peak; the strongest channel's if the channels differ. */
    public static double strength(PeakEnvelope envelope, Row row) {
        return phase(envelope, row).strength();
    }

    /** An envelope with another strength of one phase; its channels keep their proportion. */
    public static PeakEnvelope withStrength(PeakEnvelope envelope, Row row, double strength) {
        return with(envelope, row, p -> p.scaledTo(strength));
    }

    private static PeakEnvelope with(PeakEnvelope envelope, Row row, UnaryOperator<Phase> change) {
        return BurstEdits.withPhase(envelope, row.later, row.number, p -> List.of(change.apply(p)));
    }

    /** What a drive adds in a phase at the burst's strength 1, with the sign of its channel. */
    public static double amount(Burst burst, Row row, Drive drive) {
        PeakEnvelope envelope = (PeakEnvelope) burst.envelope();
        return signed(burst, drive) * phase(envelope, row).strength(drive.target().channel());
    }

    private static double signed(Burst burst, Drive drive) {
        return direction(burst, drive.target().channel()) == Direction.REVERSED
                ? -drive.factor()
                : drive.factor();
    }

    private static Direction direction(Burst burst, int channel) {
        return channel < burst.directions().size()
                ? burst.directions().get(channel)
                : Direction.AS_SET;
    }

    /**
     * The drives of a value that have an amount in each phase: one for each channel that is not fixed, of the
     * value that the first drive of a channel adds to.
     */
    public static List<Drive> ofChannels(Look look, Burst burst) {
        return burst.drives().stream()
                .filter(d -> d.target().channel() >= 0)
                .findFirst()
                .map(
                        first ->
                                burst.drives().stream()
                                        .filter(d -> isSameValue(look, d, first))
                                        .filter(
                                                d ->
                                                        direction(burst, d.target().channel())
                                                                != Direction.FIXED)
                                        .toList())
                .orElse(List.of());
    }

    private static boolean isSameValue(Look look, Drive drive, Drive other) {
        return drive.target().channel() >= 0
                && drive.target().stepId().equals(other.target().stepId())
                && Targets.range(look, drive.target()).equals(Targets.range(look, other.target()));
    }

    /**
     * A burst that adds another amount in one phase of one channel. The amounts of its other phases stay, also
     * if the peak changes; a peak of 0 makes them 0.
     */
    public static Burst withAmount(Burst burst, Row row, Drive drive, double amount) {
        int channel = drive.target().channel();
        double factor = signed(burst, drive);
        if (row.isPeak() || factor == 0) {
            double share = row.isPeak() && amount != 0 ? factor / amount : 1;
            boolean isReversed = direction(burst, channel) == Direction.REVERSED;
            Burst peak =
                    BurstEdits.withFactor(burst, drive.target(), isReversed ? -amount : amount);
            return share == 1
                    ? peak
                    : withEach(peak, p -> own(burst, p, channel, p.strength(channel) * share));
        }
        PeakEnvelope envelope = (PeakEnvelope) burst.envelope();
        return burst.withEnvelope(
                with(envelope, row, p -> own(burst, p, channel, amount / factor)));
    }

    private static Burst withEach(Burst burst, UnaryOperator<Phase> change) {
        return burst.withEnvelope(((PeakEnvelope) burst.envelope()).each(change));
    }

    /** Sets the share of one channel. The strength of the phase becomes the share of the strongest channel. */
    private static Phase own(Burst burst, Phase phase, int channel, double share) {
        Map<Integer, Double> shares = new HashMap<>();
        driven(burst).forEach(c -> shares.put(c, phase.strength(c)));
        shares.put(channel, Phase.clamp(share));
        double strongest = 0;
        for (double each : shares.values()) {
            if (Math.abs(each) > Math.abs(strongest)) {
                strongest = each;
            }
        }
        double strength = strongest;
        shares.values().removeIf(each -> Math.abs(each - strength) <= SAME * Math.abs(strength));
        return new Phase(phase.frames(), strength, shares);
    }

    private static Set<Integer> driven(Burst burst) {
        Set<Integer> channels = new TreeSet<>();
        for (Drive drive : burst.drives()) {
            int channel = drive.target().channel();
            if (channel >= 0 && direction(burst, channel) != Direction.FIXED) {
                channels.add(channel);
            }
        }
        return channels;
    }
}
