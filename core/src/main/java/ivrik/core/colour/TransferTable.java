package ivrik.core.colour;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleUnaryOperator;

/** A transfer function for whole rows; its error is under 1.5e-7, so that 16-bit codes come back exactly. */
public final class TransferTable {
    private static final Map<Transfer, TransferTable> TO_LINEAR = new ConcurrentHashMap<>();
    private static final Map<Transfer, TransferTable> FROM_LINEAR = new ConcurrentHashMap<>();

    private static final Cache<Record, TransferTable> KEPT =
            Caffeine.newBuilder().maximumSize(32).build();

    /** Leaves values what they are. */
    private static final TransferTable NOTHING =
            new TransferTable((values, from, to) -> {}, v -> v);

    private final Work work;
    private final Each each;

    private TransferTable(Work work, Each each) {
        this.work = work;
        this.each = each;
    }

    /** Replaces the values from one on, up to another. */
    private interface Work {
        void apply(float[] values, int from, int to);
    }

    /** What becomes of one value. */
    private interface Each {
        float at(float v);
    }

    /**
     * Of any function that is smooth over 0..1.
     */
    public static TransferTable of(DoubleUnaryOperator function) {
        Pieces pieces = new Pieces(function);
        return new TransferTable(pieces::apply, pieces::at);
    }

    /**
     * The same of a function that is told by its numbers, kept for the next picture: to make it takes milliseconds.
     */
    public static <F extends Record & DoubleUnaryOperator> TransferTable kept(F function) {
        return KEPT.get(function, f -> of(function));
    }

    /** From values as delivered to linear light. */
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

    /** From linear light to values as delivered. */
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

    /** Whether all values stay what they are. */
    public boolean changesNothing() {
        return this == NOTHING;
    }

    /** Replaces the first {@code n} values. */
    public void apply(float[] values, int n) {
        work.apply(values, 0, n);
    }

    /** Replaces the values from one on, up to another. */
    public void apply(float[] values, int from, int to) {
        work.apply(values, from, to);
    }

    /**
     * One value, the same as in a row. It takes a road of its own, as Java compiles the work on rows for the rows
     * that it has seen: those are long.
     */
    public float at(float v) {
        return each.at(v);
    }

    /**
     * 1024 straight pieces for each halving of the value from 1 down to 1/512, one more below that for
     * functions that begin straight, and the function itself where there is none and outside 0..1.
     */
    private static final class Pieces {
        /** The bits of a float's fraction that lie within one piece. */
        private static final int FINE = 13;

        private static final float LEAST = 1f / 512;
        private static final int ONE = Float.floatToRawIntBits(1);
        private static final int FIRST = (Float.floatToRawIntBits(LEAST) >>> FINE) - 1;
        private static final int COUNT = (Float.floatToRawIntBits(1) >>> FINE) - FIRST + 1;

        private final DoubleUnaryOperator function;

        /** The bits of the least value that the pieces serve. */
        private final int least;

        /** Of each piece: where it begins, its value there and its slope. */
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
            double end = function.applyAsDouble(LEAST);
            boolean beginsStraight = Math.abs(function.applyAsDouble(LEAST / 2) - end / 2) < 1e-12;
            least = beginsStraight ? 0 : Float.floatToRawIntBits(LEAST);
        }

        void apply(float[] values, int from, int to) {
            for (int i = from; i < to; i++) {
                values[i] = at(values[i]);
            }
        }

        float at(float v) {
            int bits = Float.floatToRawIntBits(v); // negative of negative values, of -0 too
            if (bits >= least && bits <= ONE) {
                int piece = Math.max(0, (bits >>> FINE) - FIRST);
                return value[piece] + (v - start[piece]) * slope[piece];
            }
            return (float) function.applyAsDouble(v);
        }
    }
}
