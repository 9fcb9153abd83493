package ivrik.core.treatment;

import ivrik.core.picture.Rows;

import java.util.function.DoubleUnaryOperator;

/** A treatment of each value on its own. */
public interface Tone extends StreamedTreatment, Plot {
    /** Output over input. */
    @FunctionalInterface
    interface Curve {
        float of(float value);
    }

    /**
     * The curve of these settings.
     *
     * @param low smallest channel value: 0, or negative for colour differences
     * @param high value of full ink
     */
    Curve curve(Settings settings, float low, float high);

    @Override
    default DoubleUnaryOperator plotted(Settings settings) {
        Curve curve = curve(settings, 0, 1);
        return v -> curve.of((float) v);
    }

    @Override
    default Rows apply(Rows channel, Settings settings, Context context) {
        Curve curve = curve(settings, low(context), context.channel().span());
        return ChannelRows.of(
                channel,
                (in, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = curve.of(in[i]);
                    }
                });
    }

    private static float low(Context context) {
        return switch (context.channel().paint()) {
            case SIGNED -> -context.channel().span();
            case LIGHT, INK, ANGLE -> 0;
        };
    }
}
