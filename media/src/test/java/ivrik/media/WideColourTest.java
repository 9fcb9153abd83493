package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Frame;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;

/** Colours outside sRGB, against FFmpeg's zscale filter and the JDK's ICC engine. */
class WideColourTest {
    private static final Workers WORKERS = Workers.shared();

    @TempDir Path folder;

    /** IEC 61966-2-1, written out. */
    private static double light(double v) {
        double a = Math.abs(v);
        return Math.signum(v) * (a <= 0.04045 ? a / 12.92 : Math.pow((a + 0.055) / 1.055, 2.4));
    }

    @ParameterizedTest
    @CsvSource({
        "smpte2084,    bt2020,   2020_ncl, bt2020nc, smpte2084,    2020",
        "arib-std-b67, bt2020,   2020_ncl, bt2020nc, arib-std-b67, 2020",
        "bt709,        bt2020,   2020_ncl, bt2020nc, bt709,        2020",
        "bt709,        smpte432, 709,      bt709,    iec61966-2-1, smpte432"
    })
    void tagsOfAMovieApply(
            String trc,
            String primaries,
            String matrix,
            String space,
            String from,
            String zPrimaries) {
        String tags =
                ",setparams=range=tv:colorspace="
                        + space
                        + ":color_primaries="
                        + primaries
                        + (trc.equals("bt709") ? "" : ":color_trc=" + trc);
        String patches =
                "color=black:s=32x16:r=25:d=0.04,format=yuv444p10,geq=lum=220+X*20:cb=512+(Y-8)*6:"
                        + "cr=512-(Y-8)*5"
                        + tags;
        Path file =
                TestMedia.make(
                        folder.resolve("wide.mkv"), new TestMedia.Track(patches, "ffv1", ""));
        float[][] wanted =
                TestMedia.picture(
                        patches
                                + ",zscale=matrixin="
                                + matrix
                                + ":transferin="
                                + from
                                + ":primariesin="
                                + zPrimaries
                                + ":rangein=limited:matrix=gbr:transfer=linear:primaries=709:"
                                + "range=full:npl=203");
        try (Footage footage = Footage.open(file, WORKERS)) {
            assertThat(footage.colours().highRange()).isEqualTo(!trc.equals("bt709"));
            assertThat(footage.notices(file)).hasSize(1);
            Frame frame = footage.frame(0, footage.size());
            int[] plane = {2, 0, 1};
            // For hybrid log-gamma zscale applies the OOTF to each channel; only greys agree.
            boolean greysOnly = trc.equals("arib-std-b67");
            for (int y = greysOnly ? 8 : 0; y < (greysOnly ? 9 : 16); y++) {
                for (int x = 0; x < 32; x++) {
                    for (int c = 0; c < 3; c++) {
                        double want = wanted[plane[c]][y * 32 + x];
                        assertThat(light(frame.colour().get(c).at(x, y)))
                                .as("%s at %d, %d, channel %d", trc, x, y, c)
                                .isCloseTo(want, within(2e-3 * Math.max(1, Math.abs(want))));
                    }
                }
            }
        }
    }

    /** ITU-R BT.2100, table 5, written out: scene light times a power of its luminance. */
    @Test
    void hybridLogGammaAppliesItsOotf() {
        String red =
                "color=black:s=8x8:r=25:d=0.04,format=yuv444p10,geq=lum=400:cb=480:cr=600"
                        + ",setparams=range=tv:colorspace=bt2020nc:color_primaries=bt2020"
                        + ":color_trc=arib-std-b67";
        Path file = TestMedia.make(folder.resolve("hlg.mkv"), new TestMedia.Track(red, "ffv1", ""));
        double luma = (400 - 64) / 876.0;
        double r = luma + 2 * (1 - 0.2627) * (600 - 512) / 896.0;
        double b = luma + 2 * (1 - 0.0593) * (480 - 512) / 896.0;
        double g = (luma - 0.2627 * r - 0.0593 * b) / 0.6780;
        double[] scene = {scene(r), scene(g), scene(b)};
        double ys = 0.2627 * scene[0] + 0.6780 * scene[1] + 0.0593 * scene[2];
        double gain = 1000 / 203.0 * Math.pow(ys, 0.2);
        // ITU-R BT.2087: BT.2020 to BT.709.
        double[][] m = {
            {1.6605, -0.5876, -0.0728}, {-0.1246, 1.1329, -0.0083}, {-0.0182, -0.1006, 1.1187}
        };
        try (Footage footage = Footage.open(file, WORKERS)) {
            Frame frame = footage.frame(0, footage.size());
            for (int c = 0; c < 3; c++) {
                double want = gain * (m[c][0] * scene[0] + m[c][1] * scene[1] + m[c][2] * scene[2]);
                assertThat(light(frame.colour().get(c).at(3, 3))).isCloseTo(want, within(5e-4));
            }
        }
    }

    private static double scene(double v) {
        double a = 0.17883277;
        double b = 0.28466892;
        double c = 0.55991073;
        return v <= 0.5 ? v * v / 3 : (Math.exp((v - c) / a) + b) / 12;
    }

    @Test
    void conversionCanBeSwitchedOff() {
        String flat =
                "color=black:s=8x8:r=25:d=0.04,format=yuv444p10,geq=lum=500:cb=512:cr=512"
                    + ",setparams=range=tv:colorspace=bt2020nc:color_primaries=bt2020:color_trc=smpte2084";
        Path file = TestMedia.make(folder.resolve("pq.mkv"), new TestMedia.Track(flat, "ffv1", ""));
        var source = ivrik.media.decode.Import.source(file, "s");
        try (var pictures = new ivrik.media.decode.MediaPictures(WORKERS)) {
            var usual = new ivrik.core.render.Plan.Picture(source, 0);
            var kept =
                    new ivrik.core.render.Plan.Picture(
                            source.withSettings(FootageSettings.AUTOMATIC.withNoConversion(true)),
                            0);
            var same = new ivrik.core.render.Plan.Picture(source, 0, ColourSpace.BT2100_PQ);
            double code = (500 - 64) / 876.0;
            assertThat((double) pictures.frame(kept, source.size()).colour().get(0).at(3, 3))
                    .isCloseTo(code, within(1e-5));
            assertThat((double) pictures.frame(same, source.size()).colour().get(0).at(3, 3))
                    .isCloseTo(code, within(1e-5));
            assertThat((double) pictures.frame(usual, source.size()).colour().get(0).at(3, 3))
                    .isNotCloseTo(code, within(1e-2));
        }
    }

    private static byte[] chunk(String kind, byte[] data) throws IOException {
        var out = new ByteArrayOutputStream();
        byte[] body = new byte[4 + data.length];
        System.arraycopy(kind.getBytes(StandardCharsets.US_ASCII), 0, body, 0, 4);
        System.arraycopy(data, 0, body, 4, data.length);
        CRC32 crc = new CRC32();
        crc.update(body);
        out.write(ByteBuffer.allocate(4).putInt(data.length).array());
        out.write(body);
        out.write(ByteBuffer.allocate(4).putInt((int) crc.getValue()).array());
        return out.toByteArray();
    }

    /** A 16-bit PNG with an extra chunk before its pixels. */
    private Path png(String name, int[][] colours, byte[] extra) throws IOException {
        var pixels = new ByteArrayOutputStream();
        try (var deflated = new DeflaterOutputStream(pixels)) {
            deflated.write(0);
            for (int[] colour : colours) {
                for (int v : colour) {
                    deflated.write(v >> 8);
                    deflated.write(v);
                }
            }
        }
        var out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        out.write(
                chunk(
                        "IHDR",
                        ByteBuffer.allocate(13)
                                .putInt(colours.length)
                                .putInt(1)
                                .put(new byte[] {16, 2, 0, 0, 0})
                                .array()));
        out.write(extra);
        out.write(chunk("IDAT", pixels.toByteArray()));
        out.write(chunk("IEND", new byte[0]));
        return Files.write(folder.resolve(name), out.toByteArray());
    }

    private static final int[][] COLOURS = {
        {60000, 3000, 9000},
        {20000, 50000, 10000},
        {5000, 8000, 61000},
        {40000, 40000, 40000},
        {65535, 65535, 65535},
        {30000, 12000, 45000}
    };

    /** A profile of three curves and a matrix with the values of Adobe RGB (1998). */
    private static byte[] profile(double gamma, double[][] d50) throws IOException {
        var tags = new java.util.LinkedHashMap<String, byte[]>();
        tags.put("desc", description("wide and of our own"));
        tags.put("wtpt", xyz(0.9642, 1, 0.8249));
        tags.put("rXYZ", xyz(d50[0]));
        tags.put("gXYZ", xyz(d50[1]));
        tags.put("bXYZ", xyz(d50[2]));
        byte[] curve =
                ByteBuffer.allocate(16)
                        .put("curv".getBytes(StandardCharsets.US_ASCII))
                        .putInt(0)
                        .putInt(1)
                        .putShort((short) Math.round(gamma * 256))
                        .array();
        for (String tag : new String[] {"rTRC", "gTRC", "bTRC"}) {
            tags.put(tag, curve);
        }
        var body = new ByteArrayOutputStream();
        var table = ByteBuffer.allocate(4 + 12 * tags.size());
        table.putInt(tags.size());
        int at = 128 + table.capacity();
        for (var tag : tags.entrySet()) {
            byte[] padded =
                    java.util.Arrays.copyOf(tag.getValue(), (tag.getValue().length + 3) & ~3);
            table.put(tag.getKey().getBytes(StandardCharsets.US_ASCII));
            table.putInt(at + body.size());
            table.putInt(tag.getValue().length);
            body.write(padded);
        }
        var header =
                ByteBuffer.allocate(128)
                        .putInt(128 + table.capacity() + body.size())
                        .putInt(0)
                        .putInt(0x02400000)
                        .put("mntrRGB XYZ ".getBytes(StandardCharsets.US_ASCII));
        header.position(36);
        header.put("acsp".getBytes(StandardCharsets.US_ASCII));
        header.position(68);
        header.put(xyz(0.9642, 1, 0.8249), 8, 12);
        var out = new ByteArrayOutputStream();
        out.write(header.array());
        out.write(table.array());
        out.write(body.toByteArray());
        return out.toByteArray();
    }

    private static byte[] description(String text) {
        return ByteBuffer.allocate(90 + text.length() + 1)
                .put("desc".getBytes(StandardCharsets.US_ASCII))
                .putInt(0)
                .putInt(text.length() + 1)
                .put(text.getBytes(StandardCharsets.US_ASCII))
                .array();
    }

    private static byte[] xyz(double... values) {
        var tag = ByteBuffer.allocate(20).put("XYZ ".getBytes(StandardCharsets.US_ASCII)).putInt(0);
        for (double v : values) {
            tag.putInt((int) Math.round(v * 65536));
        }
        return tag.array();
    }

    @Test
    void iccProfilesMatchTheJdksEngine() throws IOException {
        double[][] d50 = {
            {0.60974, 0.31111, 0.01947}, {0.20528, 0.62567, 0.06087}, {0.14919, 0.06322, 0.74457}
        };
        byte[] profile = profile(2.19921875, d50);
        var deflated = new ByteArrayOutputStream();
        deflated.write("wide".getBytes(StandardCharsets.US_ASCII));
        deflated.write(new byte[2]);
        try (var out = new DeflaterOutputStream(deflated)) {
            out.write(profile);
        }
        Path file = png("icc.png", COLOURS, chunk("iCCP", deflated.toByteArray()));
        ColorSpace engine = new ICC_ColorSpace(ICC_Profile.getInstance(profile));
        ColorSpace linear = ColorSpace.getInstance(ColorSpace.CS_LINEAR_RGB);
        try (Footage footage = Footage.open(file, WORKERS)) {
            assertThat(footage.colours().text()).isEqualTo("wide and of our own");
            Frame frame = footage.frame(0, footage.size());
            for (int i = 0; i < COLOURS.length; i++) {
                float[] in = new float[3];
                for (int c = 0; c < 3; c++) {
                    in[c] = COLOURS[i][c] / 65535f;
                }
                float[] wanted = linear.fromCIEXYZ(engine.toCIEXYZ(in));
                for (int c = 0; c < 3; c++) {
                    double got = light(frame.colour().get(c).at(i, 0));
                    // The engine clips colours outside sRGB.
                    assertThat(Math.clamp(got, 0, 1))
                            .as("colour %d channel %d", i, c)
                            .isCloseTo(wanted[c], within(2.5e-3));
                }
            }
            assertThat(light(frame.colour().get(0).at(1, 0))).as("outside of sRGB").isNegative();
        }
    }

    @Test
    void anSrgbProfileChangesNoBit() throws IOException {
        var deflated = new ByteArrayOutputStream();
        deflated.write("s".getBytes(StandardCharsets.US_ASCII));
        deflated.write(new byte[2]);
        try (var out = new DeflaterOutputStream(deflated)) {
            out.write(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
        }
        Path file = png("srgb.png", COLOURS, chunk("iCCP", deflated.toByteArray()));
        try (Footage footage = Footage.open(file, WORKERS)) {
            Frame frame = footage.frame(0, footage.size());
            for (int i = 0; i < COLOURS.length; i++) {
                assertThat(frame.colour().get(1).at(i, 0))
                        .isEqualTo((float) (COLOURS[i][1] / 65535.0));
            }
            assertThat(footage.notices(file)).isEmpty();
        }
    }

    @Test
    void gammaAndChromaticitiesOfAPngApply() throws IOException {
        byte[] linear = chunk("gAMA", ByteBuffer.allocate(4).putInt(100_000).array());
        try (Footage footage = Footage.open(png("linear.png", COLOURS, linear), WORKERS)) {
            Frame frame = footage.frame(0, footage.size());
            assertThat(light(frame.colour().get(0).at(0, 0)))
                    .isCloseTo(60000 / 65535.0, within(1e-5));
        }
        byte[] usual = chunk("gAMA", ByteBuffer.allocate(4).putInt(45_455).array());
        try (Footage footage = Footage.open(png("usual.png", COLOURS, usual), WORKERS)) {
            assertThat(footage.frame(0, footage.size()).colour().get(0).at(0, 0))
                    .isEqualTo((float) (60000 / 65535.0));
        }
        // The chromaticities of BT.2020: its green lies outside the primaries of BT.709.
        ByteBuffer xy = ByteBuffer.allocate(32);
        for (double v : new double[] {0.3127, 0.329, 0.708, 0.292, 0.17, 0.797, 0.131, 0.046}) {
            xy.putInt((int) Math.round(v * 1e5));
        }
        int[][] green = {{0, 65535, 0}};
        try (Footage footage =
                Footage.open(png("wide.png", green, chunk("cHRM", xy.array())), WORKERS)) {
            Frame frame = footage.frame(0, footage.size());
            // ITU-R BT.2087: -0.5876, 1.1329, -0.1006.
            assertThat(light(frame.colour().get(0).at(0, 0))).isCloseTo(-0.5876, within(2e-4));
            assertThat(light(frame.colour().get(1).at(0, 0))).isCloseTo(1.1329, within(2e-4));
            assertThat(light(frame.colour().get(2).at(0, 0))).isCloseTo(-0.1006, within(2e-4));
        }
    }

    @Test
    void radianceIsLinearLight() throws IOException {
        // A white at half the light, run-length encoded with zero runs.
        byte[] pixel = {(byte) 128, (byte) 128, (byte) 128, (byte) 128};
        var out = new ByteArrayOutputStream();
        out.write("#?RADIANCE\nFORMAT=32-bit_rle_rgbe\n\n-Y 8 +X 8\n".getBytes());
        for (int i = 0; i < 64; i++) {
            out.write(pixel);
        }
        Path file = Files.write(folder.resolve("half.hdr"), out.toByteArray());
        try (Footage footage = Footage.open(file, WORKERS)) {
            assertThat(light(footage.frame(0, footage.size()).colour().get(0).at(3, 3)))
                    .isCloseTo(0.5, within(3e-3));
        }
    }

    @Test
    void chromaticitiesOfAnOpenExrApply() throws IOException {
        int[] window = {0, 0, 0, 0};
        Path file =
                OpenExrTest.exr(
                        folder.resolve("wide.exr"),
                        new String[] {"B", "G", "R"},
                        new float[] {0, 1, 0},
                        window,
                        window,
                        0.708f,
                        0.292f,
                        0.17f,
                        0.797f,
                        0.131f,
                        0.046f,
                        0.3127f,
                        0.329f);
        try (Footage footage = Footage.open(file, WORKERS)) {
            Frame frame = footage.frame(0, footage.size());
            assertThat(light(frame.colour().get(0).at(0, 0))).isCloseTo(-0.5876, within(2e-4));
        }
    }
}
