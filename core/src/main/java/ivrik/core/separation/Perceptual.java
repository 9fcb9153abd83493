package ivrik.core.separation;

import ivrik.core.colour.CubeRoot;
import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Primaries;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.separation.ChannelKind.Role;

import java.util.List;

/**
 * Lightness and two opponent colours: channels = M2 f(M1 light), where M1 yields cone-like responses and f is
 * a root. Computed in double precision, because the root magnifies errors in the darkest tones.
 */
final class Perceptual implements Separation {
    private final String id;
    private final String title;
    private final List<ChannelKind> channels;
    private final double[] responses;
    private final double[] light;
    private final double[] mixed;
    private final double[] unmixed;
    private final Root root;

    /** An odd function of a response, and its inverse. */
    private interface Root {
        double response(double response);

        double unbend(double value);
    }

    private Perceptual(
            String id, String title, float span, Matrix3 responses, Root root, Matrix3 mix) {
        this.id = id;
        this.title = title;
        this.channels =
                List.of(
                        new ChannelKind(
                                "lightness",
                                "Lightness",
                                "L",
                                Role.LIGHTNESS,
                                Ink.WHITE,
                                Paint.LIGHT),
                        new ChannelKind(
                                "a",
                                "Green to red (a)",
                                "a",
                                Role.RED_GREEN,
                                new Ink(0.95f, 0.2f, 0.55f),
                                Paint.SIGNED,
                                span),
                        new ChannelKind(
                                "b",
                                "Blue to yellow (b)",
                                "b",
                                Role.BLUE_YELLOW,
                                new Ink(0.75f, 0.6f, 0),
                                Paint.SIGNED,
                                span));
        this.responses = responses.numbers();
        this.light = responses.inverse().numbers();
        this.mixed = mix.numbers();
        this.unmixed = mix.inverse().numbers();
        this.root = root;
    }

    /**
     * CIELAB of CIE 15, white point D65, divided by 100: lightness 0..1 for L* 0..100. Negative responses use
     * the odd extension of the root.
     */
    static Separation lab() {
        Matrix3 toXyz = Primaries.SRGB.toXyz();
        double[] white = toXyz.times(1, 1, 1);
        // f(t) - 16/116 is mixed, so that black is 0 and no offset is needed
        return new Perceptual(
                "lab",
                "CIELAB",
                1,
                toXyz.scaledRows(1 / white[0], 1 / white[1], 1 / white[2]),
                new LabRoot(),
                Matrix3.of(0, 1.16, 0, 5, -5, 0, 0, 2, -2));
    }

    /** OKLab (Ottosson 2020): matrices of linear light and a signed cube root. */
    static Separation oklab() {
        return new Perceptual(
                "oklab",
                "OKLab",
                0.4f,
                Matrix3.of(
                        0.4122214708,
                        0.5363325363,
                        0.0514459929,
                        0.2119034982,
                        0.6806995451,
                        0.1073969566,
                        0.0883024619,
                        0.2817188376,
                        0.6299787005),
                new SignedCube(),
                Matrix3.of(
                        0.2104542553,
                        0.7936177850,
                        -0.0040720468,
                        1.9779984951,
                        -2.4285922050,
                        0.4505937099,
                        0.0259040371,
                        0.7827717662,
                        -0.8086757660));
    }

    private static final class SignedCube implements Root {
        @Override
        public double response(double response) {
            return CubeRoot.of(response);
        }

        @Override
        public double unbend(double v) {
            return v * v * v;
        }
    }

    /** f(t) - 4/29: the cube root above (6/29)^3, a straight line below. */
    private static final class LabRoot implements Root {
        private static final double KNEE = 6.0 / 29;
        private static final double SLOPE = 1 / (3 * KNEE * KNEE);
        private static final double OFFSET = 4.0 / 29;

        @Override
        public double response(double response) {
            double t = Math.abs(response);
            double f = t > KNEE * KNEE * KNEE ? CubeRoot.of(t) - OFFSET : SLOPE * t;
            return Math.copySign(f, response);
        }

        @Override
        public double unbend(double value) {
            double f = Math.abs(value) + OFFSET;
            double t = f > KNEE ? f * f * f : (f - OFFSET) / SLOPE;
            return Math.copySign(t, value);
        }
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public List<ChannelKind> channels() {
        return channels;
    }

    @Override
    public void separate(float[][] colour, float[][] out, int n) {
        for (float[] channel : colour) {
            TransferTable.toLinear(Transfer.SRGB).apply(channel, n);
        }
        for (int i = 0; i < n; i++) {
            double r = colour[0][i];
            double g = colour[1][i];
            double b = colour[2][i];
            double l = root.response(dot(responses, 0, r, g, b));
            double m = root.response(dot(responses, 1, r, g, b));
            double s = root.response(dot(responses, 2, r, g, b));
            for (int k = 0; k < 3; k++) {
                out[k][i] = (float) dot(mixed, k, l, m, s);
            }
        }
    }

    @Override
    public void rejoin(float[][] in, float[][] colour, int n) {
        for (int i = 0; i < n; i++) {
            double l = root.unbend(dot(unmixed, 0, in[0][i], in[1][i], in[2][i]));
            double m = root.unbend(dot(unmixed, 1, in[0][i], in[1][i], in[2][i]));
            double s = root.unbend(dot(unmixed, 2, in[0][i], in[1][i], in[2][i]));
            for (int c = 0; c < 3; c++) {
                colour[c][i] = (float) dot(light, c, l, m, s);
            }
        }
        for (float[] channel : colour) {
            TransferTable.fromLinear(Transfer.SRGB).apply(channel, n);
        }
    }

    private static double dot(double[] matrix, int row, double a, double b, double c) {
        return matrix[3 * row] * a + matrix[3 * row + 1] * b + matrix[3 * row + 2] * c;
    }
}
