package ivrik.core.treatment;

import ivrik.core.filter.ScanlineBeam;

import java.util.Arrays;
import java.util.Optional;

/**
 * Headroom for mask and beam at each light level, and the factors that compensate the absorbed light.
 *
 * @param perMean per channel, 1 divided by the mean of the mask
 * @param payBack per channel and beam profile, the factor on the mean of the picture, first without and then
 *     with the mask at full strength
 * @param rooms per level from black to white, evenly spaced by the square root of light: packed headroom for
 *     the mask and narrowness of the beam, see {@link #masks} and {@link #narrows}; one packed number is read
 *     in half the time of two
 */
record ScreenLevels(float[] perMean, float[][] payBack, int[] rooms) {
    /** Index of white. */
    static final int COUNT = 4096;

    /** Largest code of a packed share; the mask's is in the upper half. */
    private static final int CODES = (1 << Short.SIZE) - 1;

    private static final float PER_CODE = 1f / CODES;

    /** Share of the headroom for the mask; the beam gets the rest. */
    private static final double FOR_THE_MASK = 0.6;

    /** Exponent of the soft limit. */
    private static final double HARD = 4;

    private static final int CHANNELS = 3;

    /** Full mask and beam; the centre of a scanline is as bright as the picture. */
    static ScreenLevels asItIs(double mask, ScanlineBeam beam) {
        float[] ones = new float[CHANNELS];
        Arrays.fill(ones, 1);
        float[] byThePeak = new float[2 * ScanlineBeam.PARTS];
        for (int k = 1; k <= ScanlineBeam.PARTS; k++) {
            byThePeak[k - 1] = (float) beam.strength(k);
        }
        int[] rooms = new int[COUNT + 1];
        Arrays.fill(rooms, room(mask, beam.narrowness(Double.POSITIVE_INFINITY)));
        return new ScreenLevels(ones, new float[][] {byThePeak, byThePeak, byThePeak}, rooms);
    }

    /**
     * As much mask and beam as the headroom allows with compensation.
     *
     * @param rows mean of the mask along each row, per channel
     * @param brightest maximum of the mask, if any
     */
    static ScreenLevels paidBack(
            double[][] rows, Optional<Float> brightest, double mask, ScanlineBeam beam) {
        float[] perMean = new float[CHANNELS];
        float[][] payBack = new float[CHANNELS][];
        double most = 1;
        for (int c = 0; c < CHANNELS; c++) {
            double mean = mean(rows[c]);
            perMean[c] = (float) (1 / mean);
            payBack[c] = byTheMean(rows[c], mean, beam);
            most = Math.max(most, brightest.orElse(1f) * perMean[c]);
        }
        int[] rooms = new int[COUNT + 1];
        for (int i = 0; i <= COUNT; i++) {
            double root = (double) i / COUNT;
            double room = 1 / Math.max(1e-6, root * root);
            double forMask = StrictMath.pow(room, FOR_THE_MASK);
            rooms[i] =
                    room(
                            mask * given(forMask - 1, mask * (most - 1)),
                            beam.narrowness(room / forMask));
        }
        return new ScreenLevels(perMean, payBack, rooms);
    }

    private static int room(double mask, double narrow) {
        return (int) Math.round(mask * CODES) << Short.SIZE | (int) Math.round(narrow * CODES);
    }

    /** Looks up the packed headroom of each value. */
    void roomsFor(float[] light, int[] room) {
        levels(light, room);
        for (int i = 0; i < room.length; i++) {
            room[i] = rooms[room[i]];
        }
    }

    private static void levels(float[] light, int[] level) {
        for (int i = 0; i < level.length; i++) {
            int near = (int) ((float) Math.sqrt(light[i]) * COUNT + 0.5f);
            level[i] = Math.min(COUNT, Math.max(0, near));
        }
    }

    /** Share of the mask, 0..1. */
    static void masks(int[] room, float[] mask) {
        for (int i = 0; i < mask.length; i++) {
            mask[i] = (room[i] >>> Short.SIZE) * PER_CODE;
        }
    }

    /** Narrowness of the beam, 0..1. */
    static void narrows(int[] room, float[] narrow) {
        for (int i = 0; i < narrow.length; i++) {
            narrow[i] = (room[i] & CODES) * PER_CODE;
        }
    }

    private static double mean(double[] values) {
        double sum = 0;
        for (double v : values) {
            sum += v;
        }
        return Math.max(1e-3, sum / values.length);
    }

    private static float[] byTheMean(double[] rows, double mean, ScanlineBeam beam) {
        double[] plain = new double[ScanlineBeam.PARTS];
        double[] masked = new double[ScanlineBeam.PARTS];
        for (int y = 0; y < rows.length; y++) {
            double phase = beam.phase(y + 0.5);
            for (int k = 1; k <= ScanlineBeam.PARTS; k++) {
                double part = beam.strength(k) * ScanlineBeam.times(k, phase) / rows.length;
                plain[k - 1] += part;
                masked[k - 1] += part * rows[y] / mean;
            }
        }
        float[] made = new float[2 * ScanlineBeam.PARTS];
        for (int k = 0; k < ScanlineBeam.PARTS; k++) {
            made[k] = (float) plain[k];
            made[ScanlineBeam.PARTS + k] = (float) (masked[k] - plain[k]);
        }
        return made;
    }

    /** The share of {@code wanted} that is available, 0..1, with a soft limit. */
    private static double given(double there, double wanted) {
        if (wanted <= 0) {
            return 1;
        }
        double x = Math.max(0, there) / wanted;
        return x / StrictMath.pow(1 + StrictMath.pow(x, HARD), 1 / HARD);
    }
}
