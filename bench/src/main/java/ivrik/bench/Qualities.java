package ivrik.bench;

import ivrik.core.colour.Luma;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * Measures the quality of compressed movies: the demo's tram with red and blue three pixels apart, exported
 * in each format and compared with a lossless export, in luma and colour difference. Writes the last section
 * of {@code docs/formats.md}.
 */
public final class Qualities {
    private static final FrameRange FRAMES = new FrameRange(0, 47);
    private static final String HEADING = "## Quality of compressed movies";
    private static final int BLOCK = 8;

    private Qualities() {}

    public static void main(String[] args) throws IOException {
        Path home = Path.of(System.getProperty("ivrik.home", "."));
        Path folder = Files.createTempDirectory("ivrik-qualities");
        Look split = BuiltInLooks.named("rgb-split").withDial("red-x", 3).withDial("blue-x", -3);
        Project project =
                Import.project(
                        Import.source(home.resolve("demo/lantern-week/media/tram.webm"), "tram"),
                        split);
        Path exact = folder.resolve("exact.mkv");
        write(project, exact, ExportFormats.FFV1, Quality.GOOD, Sampling.FULL);
        StringBuilder table = new StringBuilder(HEADING + "\n\n");
        table.append(
                "Measured by `bench/qualities`: 48 frames of the demo's tram at 1280x720, with red"
                    + " and blue three pixels apart. The table shows PSNR in dB and SSIM, for luma"
                    + " and for chroma at full size. A split loses more by 4:2:0 chroma sampling"
                    + " than by the compression.\n\n");
        table.append(
                "| format | sampling | quality | kB | luma dB | chroma dB | luma SSIM | chroma SSIM"
                        + " |\n");
        table.append("|---|---|---|---|---|---|---|---|\n");
        for (ExportFormat format :
                List.of(
                        ExportFormats.H264,
                        ExportFormats.AV1,
                        ExportFormats.VP9,
                        ExportFormats.PRORES)) {
            for (Sampling sampling : format.samplings()) {
                for (Quality quality :
                        format.hasQuality() ? Quality.values() : new Quality[] {Quality.GOOD}) {
                    Path out = folder.resolve("out" + format.ending());
                    write(project, out, format, quality, sampling);
                    double[] m = measured(exact, out);
                    String line =
                            String.format(
                                    Locale.ROOT,
                                    "| %s | %s | %s | %d | %.1f | %.1f | %.3f | %.3f |%n",
                                    format.id(),
                                    sampling.id(),
                                    format.hasQuality()
                                            ? quality.name().toLowerCase(Locale.ROOT)
                                            : "",
                                    Files.size(out) / 1000,
                                    m[0],
                                    m[1],
                                    m[2],
                                    m[3]);
                    System.out.print(line);
                    table.append(line);
                }
            }
        }
        Path document = home.resolve("docs/formats.md");
        String text = Files.readString(document);
        Files.writeString(document, text.substring(0, text.indexOf(HEADING)) + table);
    }

    private static void write(
            Project project, Path out, ExportFormat format, Quality quality, Sampling sampling) {
        Export.run(
                Export.Order.of(project, out, format)
                        .withRange(FRAMES)
                        .withQuality(quality)
                        .withSampling(sampling)
                        .withSound(false)
                        .withOverwrite(true),
                Workers.shared(),
                n -> {},
                Cancellation.NEVER);
    }

    private static double[] measured(Path exact, Path out) {
        double[] squares = new double[2];
        double[] similarity = new double[2];
        int frames = 0;
        try (Footage a = Footage.open(exact, Workers.shared());
                Footage b = Footage.open(out, Workers.shared())) {
            for (long n = FRAMES.first(); n <= FRAMES.last(); n += 3) {
                Plane[] wanted = lumaAndColour(a.frame(n, a.size()));
                Plane[] got = lumaAndColour(b.frame(n, b.size()));
                squares[0] += square(wanted[0], got[0]);
                squares[1] += (square(wanted[1], got[1]) + square(wanted[2], got[2])) / 2;
                similarity[0] += ssim(wanted[0], got[0]);
                similarity[1] += (ssim(wanted[1], got[1]) + ssim(wanted[2], got[2])) / 2;
                frames++;
            }
        }
        return new double[] {
            -10 * Math.log10(squares[0] / frames),
            -10 * Math.log10(squares[1] / frames),
            similarity[0] / frames,
            similarity[1] / frames
        };
    }

    /** ITU-R BT.709. */
    private static Plane[] lumaAndColour(Frame frame) {
        int w = frame.width();
        int h = frame.height();
        Plane[] planes = {Plane.of(w, h), Plane.of(w, h), Plane.of(w, h)};
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                double r = Math.clamp(frame.colour().get(0).at(x, y), 0f, 1f);
                double g = Math.clamp(frame.colour().get(1).at(x, y), 0f, 1f);
                double b = Math.clamp(frame.colour().get(2).at(x, y), 0f, 1f);
                double luma = Luma.RED * r + Luma.GREEN * g + Luma.BLUE * b;
                planes[0].data()[y * w + x] = (float) luma;
                planes[1].data()[y * w + x] = (float) ((b - luma) / 1.8556 + 0.5);
                planes[2].data()[y * w + x] = (float) ((r - luma) / 1.5748 + 0.5);
            }
        }
        return planes;
    }

    private static double square(Plane a, Plane b) {
        double sum = 0;
        for (int i = 0; i < a.data().length; i++) {
            double d = a.data()[i] - b.data()[i];
            sum += d * d;
        }
        return sum / a.data().length;
    }

    /** Structural similarity (Wang, Bovik, Sheikh, Simoncelli 2004) over adjacent blocks. */
    private static double ssim(Plane a, Plane b) {
        double c1 = 0.01 * 0.01;
        double c2 = 0.03 * 0.03;
        double sum = 0;
        int blocks = 0;
        for (int y = 0; y + BLOCK <= a.height(); y += BLOCK) {
            for (int x = 0; x + BLOCK <= a.width(); x += BLOCK) {
                double ma = 0;
                double mb = 0;
                double aa = 0;
                double bb = 0;
                double ab = 0;
                for (int j = 0; j < BLOCK; j++) {
                    for (int i = 0; i < BLOCK; i++) {
                        double p = a.at(x + i, y + j);
                        double q = b.at(x + i, y + j);
                        ma += p;
                        mb += q;
                        aa += p * p;
                        bb += q * q;
                        ab += p * q;
                    }
                }
                int n = BLOCK * BLOCK;
                ma /= n;
                mb /= n;
                double va = aa / n - ma * ma;
                double vb = bb / n - mb * mb;
                double cov = ab / n - ma * mb;
                sum +=
                        (2 * ma * mb + c1)
                                * (2 * cov + c2)
                                / ((ma * ma + mb * mb + c1) * (va + vb + c2));
                blocks++;
            }
        }
        return sum / blocks;
    }
}
