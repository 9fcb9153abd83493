package ivrik.core.treatment;

import ivrik.core.filter.ScanBeam;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorOperators;
import jdk.incubator.vector.VectorSpecies;

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
 *     room for, in the upper half, and how narrow a beam, in the lower; one number is read in half the time of two
 */
record ScreenLevels(float[] perMean, float[][] payBack, int[] rooms) {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;

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

    /** The room that each of {@code n} lights leaves. */
    void roomsFor(float[] light, int[] room, int n) {
        levels(light, room, n);
        for (int i = 0; i < n; i++) {
            room[i] = rooms[room[i]];
        }
    }

    private static void levels(float[] light, int[] level, int n) {
        for (int i = 0; i < n; i++) {
            int near = (int) ((float) Math.sqrt(light[i]) * COUNT + 0.5f);
            level[i] = Math.min(COUNT, Math.max(0, near));
        }
    }

    /**
     * How bright beam and mask make each value, over what it is without them; in whole vectors. Vectors go into or out
     * of no method of our own here: where Java does not put one into its caller that would cost more than all else.
     *
     * @param room see {@link #roomsFor}
     * @param parts of the beam, but for how narrow it is
     */
    void times(int channel, int[] room, float[][] parts, float[] mask, float[] times) {
        float[] back = payBack[channel];
        for (int x = 0; x < times.length; x += FLOATS.length()) {
            IntVector here = IntVector.fromArray(INTS, room, x);
            FloatVector forMask =
                    here.lanewise(VectorOperators.LSHR, Short.SIZE)
                            .convert(VectorOperators.I2F, 0)
                            .reinterpretAsFloats()
                            .mul(PER_CODE);
            FloatVector narrow =
                    here.and(CODES)
                            .convert(VectorOperators.I2F, 0)
                            .reinterpretAsFloats()
                            .mul(PER_CODE);
            FloatVector narrow2 = narrow.mul(narrow);
            FloatVector narrow4 = narrow2.mul(narrow2);
            FloatVector narrow9 = narrow4.mul(narrow4).mul(narrow);
            FloatVector mean =
                    forMask.mul(back[3])
                            .add(back[0])
                            .mul(narrow)
                            .add(1)
                            .add(forMask.mul(back[4]).add(back[1]).mul(narrow4))
                            .add(forMask.mul(back[5]).add(back[2]).mul(narrow9));
            FloatVector beam =
                    FloatVector.fromArray(FLOATS, parts[0], x)
                            .mul(narrow)
                            .add(1)
                            .add(FloatVector.fromArray(FLOATS, parts[1], x).mul(narrow4))
                            .add(FloatVector.fromArray(FLOATS, parts[2], x).mul(narrow9));
            FloatVector.fromArray(FLOATS, mask, x)
                    .mul(perMean[channel])
                    .sub(1)
                    .mul(forMask)
                    .add(1)
                    .mul(beam.div(mean))
                    .intoArray(times, x);
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
