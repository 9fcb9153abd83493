package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Loudness of a clip's sound.
 *
 * @param levelDecibels level relative to the file; as a factor {@code 10^(dB / 20)}
 * @param mute whether the sound is silent
 */
@RecordBuilder
public record Loudness(double levelDecibels, boolean mute) implements LoudnessBuilder.With {
    public static final Loudness AS_IT_IS = new Loudness(0, false);

    public static final double MIN_DECIBELS = -96;
    public static final double MAX_DECIBELS = 24;

    /** Factor of the samples. */
    public float gain() {
        return mute ? 0 : (float) StrictMath.pow(10, levelDecibels / 20);
    }
}
