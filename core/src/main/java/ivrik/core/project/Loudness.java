package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How loud the sound of a clip is.
 *
 * @param levelDecibels over or under what it is in its file; as an amplitude {@code 10^(dB / 20)}
 * @param mute whether it is not heard at all
 */
@RecordBuilder
public record Loudness(double levelDecibels, boolean mute) implements LoudnessBuilder.With {
    public static final Loudness AS_IT_IS = new Loudness(0, false);

    public static final double LEAST_DECIBELS = -96;
    public static final double MOST_DECIBELS = 24;

    /** Times which its samples are heard. */
    public float gain() {
        return mute ? 0 : (float) StrictMath.pow(10, levelDecibels / 20);
    }
}
