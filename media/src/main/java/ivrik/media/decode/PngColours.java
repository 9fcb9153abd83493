package ivrik.media.decode;

import ivrik.core.colour.ColourConversion;
import ivrik.core.colour.Primaries;
import ivrik.core.colour.TransferTable;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.DataInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Colours of a PNG with gamma and chromaticity chunks (PNG, third edition, 11.3.2). */
final class PngColours {
    private static final Logger LOG = LoggerFactory.getLogger(PngColours.class);
    private static final int SIGNATURE_BYTES = 8;

    /** Chunks that take precedence and that FFmpeg reads. */
    private static final Set<String> BETTER = Set.of("iCCP", "sRGB", "cICP");

    /** 1 / 2.2, which is written for sRGB. */
    private static final double USUAL_GAMMA = 0.45455;

    private static final double SAME = 1e-3;

    private PngColours() {}

    /** Empty without such chunks, or if a chunk with precedence exists. */
    static Optional<FootageColours> of(Path path) {
        double gamma = USUAL_GAMMA;
        Primaries primaries = Primaries.SRGB;
        boolean said = false;
        try (DataInputStream in = new DataInputStream(Files.newInputStream(path))) {
            in.skipNBytes(SIGNATURE_BYTES);
            while (true) {
                int length = in.readInt();
                String kind = new String(in.readNBytes(4), StandardCharsets.US_ASCII);
                if (BETTER.contains(kind)) {
                    return Optional.empty();
                }
                if (kind.equals("IDAT") || length < 0) {
                    break;
                }
                int read = 0;
                if (kind.equals("gAMA") && length >= 4) {
                    gamma = in.readInt() / 1e5;
                    read = 4;
                    said = true;
                } else if (kind.equals("cHRM") && length >= 32) {
                    double[] xy = new double[8];
                    for (int i = 0; i < 8; i++) {
                        xy[(i + 6) % 8] = in.readInt() / 1e5; // the white point comes first
                    }
                    primaries = near(xy);
                    read = 32;
                    said = true;
                }
                in.skipNBytes(length - read + 4L);
            }
        } catch (IOException e) {
            LOG.warn("the colours of {} cannot be read", path, e);
            return Optional.empty();
        }
        return said && gamma > 0 ? Optional.of(colours(primaries, gamma)) : Optional.empty();
    }

    private static Primaries near(double[] xy) {
        for (Primaries known : List.of(Primaries.SRGB, Primaries.DISPLAY_P3, Primaries.BT2020)) {
            boolean same = true;
            for (int i = 0; i < 8; i++) {
                same &= Math.abs(known.xy()[i] - xy[i]) < SAME;
            }
            if (same) {
                return known;
            }
        }
        return new Primaries(xy);
    }

    private static FootageColours colours(Primaries primaries, double gamma) {
        if (Math.abs(gamma - USUAL_GAMMA) < SAME && primaries.equals(Primaries.SRGB)) {
            return FootageColours.USUAL;
        }
        TransferTable toLinear =
                TransferTable.of(v -> Math.signum(v) * StrictMath.pow(Math.abs(v), 1 / gamma));
        return new FootageColours(
                FrameColourTags.name(primaries) + ", gamma " + Math.round(100 / gamma) / 100.0,
                false,
                Optional.empty(),
                to ->
                        ColourConversion.of(
                                Collections.nCopies(3, toLinear),
                                primaries.toXyz(),
                                primaries.white(),
                                to));
    }
}
