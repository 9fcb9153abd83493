package ivrik.core.colour;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleUnaryOperator;

/**
 * A tabulated transfer function for rows. Error below 1.5e-7, so that 16-bit codes round-trip exactly.
 */
public final class TransferTable {
    private static final Map<Transfer, TransferTable> TO_LINEAR = new ConcurrentHashMap<>();
    private static final Map<Transfer, TransferTable> FROM_LINEAR = new ConcurrentHashMap<>();

    private static final Cache<Record, TransferTable> KEPT =
            Caffeine.newBuilder().maximumSize(32).build();

    /** The identity. */
    private static final TransferTable NOTHING =
            new TransferTable((values, from, to) -> {}, v -> v);

    private final Work work;
    private final Each each;

    private TransferTable(Work work, Each each) {
        this.work = work;
        this.each = each;
    }

    /** Converts the values from index {@code from} to before {@code to} in place. */
    private interface Work {
        void apply(float[] values, int from, int to);
    }

    /** Converts one value. */
    private interface Each {
        float at(float v);
    }

    /** A table of any function that is smooth over 0 to 1. */
    public static TransferTable of(DoubleUnaryOperator function) {
        Pieces pieces = new Pieces(function);
        return new TransferTable(pieces::apply, pieces::at);
    }

    /**
     * A table of a function that is a record, cached by its components: building a table takes milliseconds.
     */
    public static <F extends Record & DoubleUnaryOperator> TransferTable kept(F function) {
        return KEPT.get(function, f -> of(function));
    }

    /** Gamma-encoded values to linear light. */
    public static TransferTable toLinear(Transfer transfer) {
        TransferTable known = TO_LINEAR.get(transfer);
        return known != null
                ? known
                : TO_LINEAR.computeIfAbsent(
                        transfer,
                        t ->
                                switch (t) {
                                    case LINEAR -> NOTHING;
                                    case SRGB ->
                                            new TransferTable(
                                                    SrgbCurve::toLinear, SrgbCurve::toLinear);
                                    default -> of(t::toLinear);
                                });
    }

    /** Linear light to gamma-encoded values. */
    public static TransferTable fromLinear(Transfer transfer) {
        TransferTable known = FROM_LINEAR.get(transfer);
        return known != null
                ? known
                : FROM_LINEAR.computeIfAbsent(
                        transfer,
                        t ->
                                switch (t) {
                                    case LINEAR -> NOTHING;
                                    case SRGB ->
                                            new TransferTable(
                                                    SrgbCurve::fromLinear, SrgbCurve::fromLinear);
                                    default -> of(t::fromLinear);
                                });
    }

    /** Whether the table is the identity. */
    public boolean changesNothing() {
        return this == NOTHING;
    }

    /** Converts the first {@code n} values in place. */
    public void apply(float[] values, int n) {
        work.apply(values, 0, n);
    }

    /** Converts the values from index {@code from} to before {@code to} in place. */
    public void apply(float[] values, int from, int to) {
        work.apply(values, from, to);
    }

    /**
     * Converts one value, with the same bits as in a row. Uses code of its own, because Java compiles the row
     * code for the long rows it has seen.
     */
    public float at(float v) {
        return each.at(v);
    }

    /**
     * 1024 linear pieces per octave from 1 down to 1/512, one more octave below for functions that start
     * linearly, and the exact function elsewhere.
     */
    private static final class Pieces {
        /** Number of mantissa bits within one piece. */
        private static final int FINE = 13;

        private static final float MIN = 1f / 512;
        private static final int ONE = Float.floatToRawIntBits(1);
        private static final int FIRST = (Float.floatToRawIntBits(MIN) >>> FINE) - 1;
        private static final int COUNT = (Float.floatToRawIntBits(1) >>> FINE) - FIRST + 1;

        private final DoubleUnaryOperator function;

        /** Bits of the smallest value that the table covers. */
        private final int least;

        /** Start, value at the start, and slope of each piece. */
        private final float[] start = new float[COUNT];

        private final float[] value = new float[COUNT];
        private final float[] slope = new float[COUNT];

        Pieces(DoubleUnaryOperator function) {
            this.function = function;
            for (int i = 0; i < COUNT; i++) {
                float from = i == 0 ? 0 : Float.intBitsToFloat(FIRST + i << FINE);
                float to = Float.intBitsToFloat(FIRST + i + 1 << FINE);
                double at = function.applyAsDouble(from);
                start[i] = from;
                value[i] = (float) at;
                slope[i] = (float) ((function.applyAsDouble(to) - at) / (to - from));
            }
            double end = function.applyAsDouble(MIN);
            boolean beginsStraight = Math.abs(function.applyAsDouble(MIN / 2) - end / 2) < 1e-12;
            least = beginsStraight ? 0 : Float.floatToRawIntBits(MIN);
        }

        void apply(float[] values, int from, int to) {
            for (int i = from; i < to; i++) {
                values[i] = at(values[i]);
            }
        }

        float at(float v) {
            int bits = Float.floatToRawIntBits(v); // sign bit set, including -0
            if (bits >= least && bits <= ONE) {
                int piece = Math.max(0, (bits >>> FINE) - FIRST);
                return value[piece] + (v - start[piece]) * slope[piece];
            }
            return (float) function.applyAsDouble(v);
        }
    }
}
