package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Path;

/** A lens is measured, reproduced on another picture, and corrected on its own. */
class LensCommandTest extends Commanded {
    private static final int W = 480;
    private static final int H = 320;

    /**
     * Rings and spokes about points off the middle; {@code out} is the enlargement of the channel.
     */
    private static Plane channel(double out) {
        Plane plane = Plane.of(W, H);
        for (int y = 0; y < H; y++) {
            for (int x = 0; x < W; x++) {
                double u = (x + 0.5 - W / 2.0) / (1 + out);
                double v = (y + 0.5 - H / 2.0) / (1 + out);
                double wave = Math.sin(u / 9 + Math.sin(v / 23)) * Math.sin(v / 11 + u / 40);
                plane.data()[plane.row(y) + x] = (float) (0.5 + 0.4 * Math.tanh(3 * wave));
            }
        }
        return plane;
    }

    private double corner(Path picture, String channel) throws IOException {
        assertThat(ivrik("lens", picture.toString(), "--json")).isZero();
        JsonNode found = new ObjectMapper().readTree(out);
        return found.get(channel).get("cornerPx").asDouble();
    }

    @Test
    void aMeasuredLensIsReproducedAndCorrected() throws IOException {
        Path fringed = folder.resolve("fringed.png");
        Path clean = folder.resolve("clean.png");
        Plane green = channel(0);
        StillWriter.write(
                Frame.opaque(channel(0.006), green, channel(-0.004)),
                fringed,
                Depth.INT16,
                Workers.shared());
        StillWriter.write(Frame.opaque(green, green, green), clean, Depth.INT16, Workers.shared());
        double half = Math.hypot(W, H) / 2;
        assertThat(corner(fringed, "red")).isCloseTo(0.006 * half, within(0.1));
        assertThat(corner(fringed, "blue")).isCloseTo(-0.004 * half, within(0.1));
        String on = folder.resolve("on.look.json").toString();
        String off = folder.resolve("off.look.json").toString();
        assertThat(ivrik("lens", fringed.toString(), "-o", on)).isZero();
        assertThat(out).contains("red").contains("at the corner");
        assertThat(ivrik("lens", fringed.toString(), "--correct", "-o", off)).isZero();
        Path mended = folder.resolve("mended.png");
        Path like = folder.resolve("like.png");
        assertThat(ivrik("apply", fringed.toString(), "--look", off, "-o", mended.toString()))
                .isZero();
        assertThat(ivrik("apply", clean.toString(), "--look", on, "-o", like.toString())).isZero();
        assertThat(corner(mended, "red")).isCloseTo(0, within(0.15));
        assertThat(corner(mended, "blue")).isCloseTo(0, within(0.15));
        assertThat(corner(like, "red")).isCloseTo(0.006 * half, within(0.15));
    }

    @Test
    void aPictureWithoutStructureIsReported() throws IOException {
        Path flat = folder.resolve("flat.png");
        Plane grey = Plane.flat(W, H, 0.5f);
        StillWriter.write(Frame.opaque(grey, grey, grey), flat, Depth.INT8, Workers.shared());
        assertThat(ivrik("lens", flat.toString())).isEqualTo(1);
        assertThat(err).contains("too little detail").contains("choose a --frame");
    }
}
