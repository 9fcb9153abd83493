package ivrik.media.decode;

import ivrik.core.colour.ColourConversion;
import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.awt.color.ICC_Profile;
import java.awt.color.ICC_ProfileRGB;
import java.awt.color.ProfileDataException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * ICC profiles of red, green and blue with three curves and a matrix (ICC.1:2022), as used by nearly all
 * cameras, displays and working spaces.
 */
final class IccProfile {
    private static final Logger LOG = LoggerFactory.getLogger(IccProfile.class);

    /** White point of the profile connection space. */
    private static final double[] D50 = {0.9642, 1, 0.8249};

    /** Largest difference between a profile and a known colour space. */
    private static final double SAME = 2e-3;

    private static final int PROBES = 64;

    private IccProfile() {}

    /** Colour interpretation of a profile; empty if it is of another kind or damaged. */
    static Optional<FootageColours> colours(byte[] bytes) {
        ICC_Profile profile;
        try {
            profile = ICC_Profile.getInstance(bytes);
        } catch (IllegalArgumentException e) {
            LOG.warn("a damaged ICC profile was ignored", e);
            return Optional.empty();
        }
        if (!(profile instanceof ICC_ProfileRGB rgb)) {
            return Optional.empty();
        }
        float[][] m = rgb.getMatrix();
        Matrix3 toXyz =
                Matrix3.of(
                        m[0][0], m[0][1], m[0][2], m[1][0], m[1][1], m[1][2], m[2][0], m[2][1],
                        m[2][2]);
        List<DoubleUnaryOperator> curves = new ArrayList<>();
        for (int c = 0; c < 3; c++) {
            curves.add(curve(rgb, c));
        }
        if (isSrgb(toXyz, curves)) {
            return Optional.of(FootageColours.USUAL);
        }
        List<TransferTable> tables = curves.stream().map(TransferTable::of).toList();
        return Optional.of(
                new FootageColours(
                        name(profile),
                        false,
                        Optional.empty(),
                        to -> ColourConversion.of(tables, toXyz, D50, to)));
    }

    private static boolean isSrgb(Matrix3 toXyz, List<DoubleUnaryOperator> curves) {
        ColourSpace srgb = ColourSpace.SRGB;
        Matrix3 wanted =
                ivrik.core.colour.Primaries.adaptation(srgb.primaries().white(), D50)
                        .times(srgb.primaries().toXyz());
        for (int i = 0; i < 9; i++) {
            if (Math.abs(wanted.at(i / 3, i % 3) - toXyz.at(i / 3, i % 3)) > SAME) {
                return false;
            }
        }
        for (int i = 0; i <= PROBES; i++) {
            double v = (double) i / PROBES;
            for (DoubleUnaryOperator curve : curves) {
                if (Math.abs(curve.applyAsDouble(v) - Transfer.SRGB.toLinear(v)) > SAME) {
                    return false;
                }
            }
        }
        return true;
    }

    private static DoubleUnaryOperator curve(ICC_ProfileRGB profile, int channel) {
        double[] parametric = parameters(profile, channel);
        if (parametric.length > 0) {
            return odd(v -> parametric(parametric, v));
        }
        try {
            double gamma = profile.getGamma(channel);
            return odd(v -> StrictMath.pow(v, gamma));
        } catch (ProfileDataException e) {
            short[] table = profile.getTRC(channel); // not a gamma value, so a table
            return odd(v -> interpolated(table, v));
        }
    }

    /** Mirrors the curve for negative values. */
    private static DoubleUnaryOperator odd(DoubleUnaryOperator positive) {
        return v -> v < 0 ? -positive.applyAsDouble(-v) : positive.applyAsDouble(v);
    }

    private static double interpolated(short[] table, double v) {
        if (table.length == 0) {
            return v;
        }
        double at = v * (table.length - 1);
        int i = Math.clamp((long) at, 0, Math.max(0, table.length - 2));
        double a = (table[i] & 0xffff) / 65535.0;
        double b = (table[Math.min(i + 1, table.length - 1)] & 0xffff) / 65535.0;
        return a + (at - i) * (b - a);
    }

    /**
     * Parameters of a parametric curve, the function type first; null for another kind of curve.
     */
    private static double[] parameters(ICC_ProfileRGB profile, int channel) {
        int[] tags = {
            ICC_Profile.icSigRedTRCTag, ICC_Profile.icSigGreenTRCTag, ICC_Profile.icSigBlueTRCTag
        };
        byte[] data = profile.getData(tags[channel]);
        if (data == null || data.length < 12 || data[0] != 'p') {
            return new double[0];
        }
        ByteBuffer in = ByteBuffer.wrap(data);
        int kind = in.getShort(8);
        int[] counts = {1, 3, 4, 5, 7};
        if (kind < 0 || kind > 4 || data.length < 12 + 4 * counts[kind]) {
            return new double[0];
        }
        double[] numbers = new double[1 + counts[kind]];
        numbers[0] = kind;
        for (int i = 0; i < counts[kind]; i++) {
            numbers[1 + i] = in.getInt(12 + 4 * i) / 65536.0;
        }
        return numbers;
    }

    /** ICC.1:2022, 10.18. */
    private static double parametric(double[] p, double x) {
        double g = p[1];
        return switch ((int) p[0]) {
            case 0 -> StrictMath.pow(x, g);
            case 1 -> x >= -p[3] / p[2] ? StrictMath.pow(p[2] * x + p[3], g) : 0;
            case 2 -> x >= -p[3] / p[2] ? StrictMath.pow(p[2] * x + p[3], g) + p[4] : p[4];
            case 3 -> x >= p[5] ? StrictMath.pow(p[2] * x + p[3], g) : p[4] * x;
            default -> x >= p[5] ? StrictMath.pow(p[2] * x + p[3], g) + p[6] : p[4] * x + p[7];
        };
    }

    /** Description of the profile. */
    private static String name(ICC_Profile profile) {
        byte[] data = profile.getData(ICC_Profile.icSigProfileDescriptionTag);
        if (data != null && data.length > 12) {
            ByteBuffer in = ByteBuffer.wrap(data);
            if (data[0] == 'd') { // version 2: a count, then ASCII
                int count = Math.clamp(in.getInt(8) - 1L, 0, data.length - 12);
                return new String(data, 12, count, StandardCharsets.US_ASCII).strip();
            }
            if (data[0] == 'm' && data.length >= 28) { // version 4: the first language
                int length = in.getInt(20);
                int offset = in.getInt(24);
                if (length > 0 && offset > 0 && offset <= data.length - length) {
                    return new String(data, offset, length, StandardCharsets.UTF_16BE).strip();
                }
            }
        }
        return "an ICC profile";
    }
}
