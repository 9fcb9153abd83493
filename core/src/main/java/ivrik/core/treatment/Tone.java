package ivrik.core.treatment;

import ivrik.core.picture.Rows;

import java.util.function.DoubleUnaryOperator;

/** A treatment of each value by itself. */
public interface Tone extends StreamedTreatment, Plot {
    /** What comes out for what goes in. */
    @FunctionalInterface
    interface Curve {
        float of(float value);
    }

    /**
     * The curve of these settings.
     *
     * @param low where the lane's values begin: 0, or below for colour differences
     * @param high where its ink is full
     */
    Curve curve(Settings settings, float low, float high);

    @Override
    default DoubleUnaryOperator plotted(Settings settings) {
        Curve curve = curve(settings, 0, 1);
        return v -> curve.of((float) v);
    }

    @Override
    default Rows apply(Rows lane, Settings settings, Context context) {
        Curve curve = curve(settings, low(context), context.lane().span());
        return LaneRows.of(
                lane,
                (in, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = curve.of(in[i]);
                    }
                });
    }

    private static float low(Context context) {
        return switch (context.lane().paint()) {
            case SIGNED -> -context.lane().span();
            case LIGHT, INK, ANGLE -> 0;
        };
    }
}
