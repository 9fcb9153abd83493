package ivrik.core.colour;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/**
 * A transfer function for whole rows: a table of 65536 steps over 0..1, interpolated linearly, and
 * the function itself outside. Its error is under 1e-7, so that 16-bit codes come back exactly.
 */
public final class TransferTable {
    private static final int STEPS = 1 << 16;
    private static final Map<Transfer, TransferTable> TO_LINEAR = new EnumMap<>(Transfer.class);
    private static final Map<Transfer, TransferTable> FROM_LINEAR = new EnumMap<>(Transfer.class);

    private final DoubleUnaryOperator function;
    private final float[] table = new float[STEPS + 2];

    private TransferTable(DoubleUnaryOperator function) {
        this.function = function;
        for (int i = 0; i < table.length; i++) {
            table[i] = (float) function.applyAsDouble((double) i / STEPS);
        }
    }

    /** From values as delivered to linear light. */
    public static TransferTable toLinear(Transfer transfer) {
        synchronized (TO_LINEAR) {
            return TO_LINEAR.computeIfAbsent(transfer, t -> new TransferTable(t::toLinear));
        }
    }

    /** From linear light to values as delivered. */
    public static TransferTable fromLinear(Transfer transfer) {
        synchronized (FROM_LINEAR) {
            return FROM_LINEAR.computeIfAbsent(transfer, t -> new TransferTable(t::fromLinear));
        }
    }

    /** Replaces the first {@code n} values. */
    public void apply(float[] values, int n) {
        for (int i = 0; i < n; i++) {
            values[i] = at(values[i]);
        }
    }

    public float at(float v) {
        if (!(v >= 0 && v <= 1)) {
            return (float) function.applyAsDouble(v);
        }
        float p = v * STEPS;
        int i = (int) p;
        float low = table[i];
        return low + (p - i) * (table[i + 1] - low);
    }
}
