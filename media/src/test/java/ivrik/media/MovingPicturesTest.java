package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.Preset;
import ivrik.media.encode.Quality;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Animated pictures for messages and web pages: a shaken animation with transparent parts. */
class MovingPicturesTest {
    private static final FrameRange RANGE = new FrameRange(2, 13);

    @TempDir Path folder;

    private final Workers workers = Workers.shared();

    private Project animation() throws IOException {
        Path svg =
                Files.writeString(
                        folder.resolve("t.svg"),
                        "<svg xmlns='http://www.w3.org/2000/svg' width='96'"
                                + " height='64'><defs><linearGradient id='g'><stop"
                                + " stop-color='#f40'/><stop offset='1'"
                                + " stop-color='#08f'/></linearGradient></defs><path d='M8"
                                + " 8h80v48h-80zM40 24v16h16v-16z' fill='url(#g)'/></svg>");
        Project still =
                Import.project(
                        Import.source(svg, "t"),
                        BuiltInLooks.named("rgb-split").withDial("shake", 3));
        Layer layer = still.layers().getFirst();
        return still.withLayer(
                layer.id(), l -> l.withClips(List.of(l.clips().getFirst().withLength(24))));
    }

    private Path export(Project p, String name, ExportFormat format) {
        Path out = folder.resolve(name);
        Export.run(
                Export.Order.of(p, out, format).withRange(RANGE).withQuality(Quality.BEST),
                workers,
                n -> {},
                Cancellation.NEVER);
        return out;
    }

    /** The largest difference of premultiplied colour, and of alpha. */
    private static double[] apart(Frame a, Frame b) {
        Frame p = a.premultiplied(Workers.shared());
        Frame q = b.premultiplied(Workers.shared());
        double[] most = new double[2];
        double sum = 0;
        int pixels = p.width() * p.height();
        for (int i = 0; i < pixels; i++) {
            for (int c = 0; c < 3; c++) {
                sum += Math.abs(p.colour().get(c).data()[i] - q.colour().get(c).data()[i]);
            }
            most[1] = Math.max(most[1], Math.abs(alpha(p, i) - alpha(q, i)));
        }
        most[0] = sum / pixels / 3;
        return most;
    }

    private static float alpha(Frame frame, int pixel) {
        return frame.isOpaque() ? 1 : frame.coverage().getFirst().data()[pixel];
    }

    @ParameterizedTest
    @ValueSource(strings = {"apng", "webp", "gif"})
    void animatedPicturesRoundTripWithTimesAndAlpha(String name) throws IOException {
        ExportFormat format = ExportFormats.named(name);
        Project project = animation();
        Path out = export(project, "out" + format.ending(), format);
        Path stills = folder.resolve("still-%02d.png");
        export(project, stills.getFileName().toString(), ExportFormats.PNG);
        boolean few = format == ExportFormats.GIF;
        try (Footage moving = Footage.open(out, workers);
                Footage wanted = Footage.open(stills, workers)) {
            assertThat(moving.frames()).isEqualTo(12).isEqualTo(wanted.frames());
            assertThat(moving.rate().toDouble()).isCloseTo(24, within(few ? 1.1 : 0.3));
            for (int n = 0; n < 12; n++) {
                Frame still = wanted.frame(n, wanted.size());
                assertThat(alpha(still.premultiplied(workers), 12 * 96 + 48)).isEqualTo(1);
                double[] apart = apart(moving.frame(n, moving.size()), still);
                assertThat(apart[0]).as("colour of frame %d", n).isLessThan(few ? 0.02 : 1e-6);
                assertThat(apart[1]).as("alpha of frame %d", n).isLessThan(few ? 0.51 : 1e-6);
            }
        }
        byte[] again = Files.readAllBytes(export(project, "again" + format.ending(), format));
        assertThat(Files.readAllBytes(out)).as("the same bytes").isEqualTo(again);
    }

    @Test
    void animatedPicturesLoop() throws IOException {
        Project project = animation();
        assertThat(text(export(project, "a.gif", ExportFormats.GIF)))
                .contains("NETSCAPE2.0\u0003\u0001\0\0");
        assertThat(text(export(project, "a.apng", ExportFormats.APNG)))
                .as("12 frames, played without end")
                .contains("acTL\0\0\0\u000c\0\0\0\0");
        String webp = text(export(project, "a.webp", ExportFormats.WEBP));
        int at = webp.indexOf("ANIM") + 12;
        assertThat(webp.substring(at, at + 2)).isEqualTo("\0\0");
    }

    private static String text(Path file) throws IOException {
        return Files.readString(file, StandardCharsets.ISO_8859_1);
    }

    @Test
    void aPresetIsAFormatWithAllItsChoices() throws IOException {
        Project project = animation();
        for (Preset preset : Preset.values()) {
            Path out = folder.resolve(preset.id() + preset.format().ending());
            List<String> words =
                    Export.run(
                            preset.applied(Export.Order.of(project, out, ExportFormats.PNG))
                                    .withRange(RANGE),
                            workers,
                            n -> {},
                            Cancellation.NEVER);
            try (Footage made = Footage.open(out, workers)) {
                assertThat(made.size().width()).isEqualTo(Math.round(96 * preset.scale()));
                boolean alpha = !made.frame(0, made.size()).isOpaque();
                assertThat(alpha).as("%s: %s", preset, words).isEqualTo(words.isEmpty());
            }
        }
    }
}
