package ivrik.demo;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.ProjectJson;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.sound.SoundReader;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The committed demo equals the output of the demo generator. */
class DemoTest {
    private static final Path FOLDER =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week");

    @Test
    void theTramEqualsItsGenerator() {
        assertMade(new TramScene(), "tram.webm", 0, 52, 95);
    }

    @Test
    void theLanternsEqualTheirGenerator() {
        assertMade(new LanternScene(), "lanterns.webm", 0, 40, 95);
    }

    private static void assertMade(Scene scene, String file, int... frames) {
        try (Footage footage =
                Footage.open(FOLDER.resolve("media").resolve(file), Workers.shared())) {
            assertThat(footage.frames()).isEqualTo(Scene.FRAMES);
            assertThat(footage.rate().toDouble()).isEqualTo(Scene.RATE);
            assertThat(footage.size()).isEqualTo(new Size(Scene.WIDTH, Scene.HEIGHT));
            assertThat(footage.hasSound()).isTrue();
            for (int n : frames) {
                assertThat(decibels(scene.frame(n), footage.frame(n, footage.size())))
                        .isGreaterThan(32);
            }
        }
    }

    /** Peak signal to noise ratio. */
    private static double decibels(Frame a, Frame b) {
        double sum = 0;
        for (int c = 0; c < 3; c++) {
            for (int y = 0; y < a.height(); y++) {
                for (int x = 0; x < a.width(); x++) {
                    double d = a.colour().get(c).at(x, y) - b.colour().get(c).at(x, y);
                    sum += d * d;
                }
            }
        }
        return -10 * Math.log10(sum / (3.0 * a.size().pixels()));
    }

    @Test
    void soundTitleChartAndProjectEqualTheirGenerators() throws IOException {
        try (SoundReader sound = new SoundReader(FOLDER.resolve("media/tram.webm"))) {
            float[] heard = sound.read(48_000, 24_000);
            double dot = 0;
            double aa = 0;
            double bb = 0;
            for (int n = 24; n < 36; n++) {
                float[] made = SoundTrack.frame(true, n);
                for (int i = 0; i < made.length; i++) {
                    float h = heard[(n - 24) * made.length + i];
                    dot += made[i] * h;
                    aa += made[i] * made[i];
                    bb += h * h;
                }
            }
            assertThat(dot / Math.sqrt(aa * bb)).isGreaterThan(0.95);
        }
        assertThat(Files.readString(FOLDER.resolve("media/title.svg"))).isEqualTo(Graphics.title());
        try (Footage chart =
                Footage.open(FOLDER.resolve("media/register-chart.png"), Workers.shared())) {
            Frame made = MakeDemo.frame(Graphics.chart());
            assertThat(decibels(made, chart.frame(0, chart.size()))).isGreaterThan(60);
        }
        var reading = ProjectJson.read(Files.readString(FOLDER.resolve("lantern-week.ivrik")));
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.project()).isEqualTo(DemoProject.project());
    }
}
