package ivrik.core.treatment;

import ivrik.core.filter.ScanBeam;

import java.util.Arrays;
import java.util.Optional;

/**
 * How much of a mask and a beam there is room for at each level of light, and what pays back the light that
 * they take.
 *
 * @param perMean of each channel, one over the mean of the mask
 * @param payBack of each channel, for each part of the beam how much brighter it makes the mean of the picture,
 *     then how much more where all of the mask shows
 * @param rooms of each level from black to white, evenly by the square root of light: how much of the mask there is
 *     room for and how narrow a beam, see {@link #masks} and {@link #narrows}; one number is read in half the time of two
 */
record ScreenLevels(float[] perMean, float[][] payBack, int[] rooms) {
    /** The level of white. */
    static final int COUNT = 4096;

    /** A share is so many codes at most. Of two in one number the mask's is the upper. */
    private static final int CODES = (1 << Short.SIZE) - 1;

    private static final float PER_CODE = 1f / CODES;

    /** The share of the room above a value that the mask may use; the beam has the rest. */
    private static final double FOR_THE_MASK = 0.6;

    /** How abruptly what is wanted gives way to what there is room for. */
    private static final double HARD = 4;

    private static final int CHANNELS = 3;

    /** Both are shown in full, and the middle of a line is as bright as the picture is. */
    static ScreenLevels asItIs(double mask, ScanBeam beam) {
        float[] ones = new float[CHANNELS];
        Arrays.fill(ones, 1);
        float[] byThePeak = new float[2 * ScanBeam.PARTS];
        for (int k = 1; k <= ScanBeam.PARTS; k++) {
            byThePeak[k - 1] = (float) beam.strength(k);
        }
        int[] rooms = new int[COUNT + 1];
        Arrays.fill(rooms, room(mask, beam.narrowness(Double.POSITIVE_INFINITY)));
        return new ScreenLevels(ones, new float[][] {byThePeak, byThePeak, byThePeak}, rooms);
    }

    /**
     * As much as there is room for when their light is paid back.
     *
     * @param rows the mean of the mask along each row of the picture, for each channel
     * @param brightest of the mask, if there is one
     */
    static ScreenLevels paidBack(
            double[][] rows, Optional<Float> brightest, double mask, ScanBeam beam) {
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

    /** The room that each light leaves, as many as there is place for. */
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

    /** How much of the mask there is room for, 0..1. */
    static void masks(int[] room, float[] mask) {
        for (int i = 0; i < mask.length; i++) {
            mask[i] = (room[i] >>> Short.SIZE) * PER_CODE;
        }
    }

    /** How narrow a beam there is room for, 0..1. */
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

    private static float[] byTheMean(double[] rows, double mean, ScanBeam beam) {
        double[] plain = new double[ScanBeam.PARTS];
        double[] masked = new double[ScanBeam.PARTS];
        for (int y = 0; y < rows.length; y++) {
            double phase = beam.phase(y + 0.5);
            for (int k = 1; k <= ScanBeam.PARTS; k++) {
                double part = beam.strength(k) * ScanBeam.times(k, phase) / rows.length;
                plain[k - 1] += part;
                masked[k - 1] += part * rows[y] / mean;
            }
        }
        float[] made = new float[2 * ScanBeam.PARTS];
        for (int k = 0; k < ScanBeam.PARTS; k++) {
            made[k] = (float) plain[k];
            made[ScanBeam.PARTS + k] = (float) (masked[k] - plain[k]);
        }
        return made;
    }

    /** What of {@code wanted} there is room for, 0..1; it gives way softly. */
    private static double given(double there, double wanted) {
        if (wanted <= 0) {
            return 1;
        }
        double x = Math.max(0, there) / wanted;
        return x / StrictMath.pow(1 + StrictMath.pow(x, HARD), 1 / HARD);
    }
}
