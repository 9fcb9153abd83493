package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.StreamSupport;

import javax.imageio.ImageIO;

/** Looks that change over time, applied to a numbered sequence of different pictures. */
class TimedLooksTest extends Commanded {
    private static final int FRAMES = 12;
    private static final int WIDTH = 40;
    private static final int HEIGHT = 30;
    private static final int RED = 16;
    private static final int GREEN = 8;
    private static final int BLUE = 0;

    private final List<BufferedImage> source = new ArrayList<>();

    @BeforeEach
    void makeThem() throws IOException {
        Random random = new Random(8);
        for (int n = 0; n < FRAMES; n++) {
            BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
            for (int i = 0; i < WIDTH * HEIGHT; i++) {
                image.setRGB(i % WIDTH, i / WIDTH, random.nextInt() & 0xffffff);
            }
            Path file = folder.resolve("in-%02d.png".formatted(n));
            ImageIO.write(image, "png", file.toFile());
            source.add(image);
        }
    }

    private List<BufferedImage> apply(String look, String... dials) throws IOException {
        List<String> words =
                new ArrayList<>(
                        List.of("apply", folder + "/in-%02d.png", "--look", look, "--overwrite"));
        for (String dial : dials) {
            words.addAll(List.of("--set", dial));
        }
        words.addAll(List.of("-o", folder + "/out-%02d.png"));
        assertThat(ivrik(words.toArray(String[]::new))).as(err).isZero();
        List<BufferedImage> made = new ArrayList<>();
        for (int n = 0; n < FRAMES; n++) {
            made.add(ImageIO.read(folder.resolve("out-%02d.png".formatted(n)).toFile()));
        }
        return made;
    }

    private static int sample(BufferedImage image, int x, int y, int channel) {
        return image.getRGB(x, y) >> channel & 0xff;
    }

    /**
     * Asserts that a channel equals the same channel of another picture, shifted right by some pixels.
     */
    private void assertMoved(BufferedImage made, BufferedImage from, int channel, int right) {
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = Math.max(0, right); x < WIDTH + Math.min(0, right); x++) {
                assertThat(sample(made, x, y, channel))
                        .isEqualTo(sample(from, x - right, y, channel));
            }
        }
    }

    private void assertUntouched(BufferedImage made, int n) {
        for (int channel : new int[] {RED, GREEN, BLUE}) {
            assertMoved(made, source.get(n), channel, 0);
        }
    }

    @Test
    void eachTimedLookIsListedAndIsTheSourceAtRest() throws Exception {
        assertThat(ivrik("looks", "--json")).isZero();
        JsonNode looks = new ObjectMapper().readTree(out);
        assertThat(dials(looks, "burst-split"))
                .containsExactly(
                        "at", "before", "after", "phases", "peak", "angle", "shake", "repeat");
        assertThat(dials(looks, "tile-swipe"))
                .containsExactly("at", "length", "tiles", "angle", "shutter", "split");
        assertThat(dials(looks, "channel-delay")).containsExactly("red", "green", "blue", "fade");
        assertThat(dials(looks, "slit-scan")).containsExactly("red", "green", "blue", "angle");
        assertThat(dials(looks, "staggered-cut")).containsExactly("red", "green", "blue");
        assertThat(dials(looks, "channel-wipe")).containsExactly("red", "green", "blue", "angle");
        assertThat(dials(looks, "pull-apart")).containsExactly("at", "length", "distance", "angle");
        for (String look :
                List.of(
                        "burst-split",
                        "tile-swipe",
                        "channel-delay",
                        "slit-scan",
                        "staggered-cut",
                        "channel-wipe",
                        "pull-apart")) {
            List<BufferedImage> made = apply(look);
            for (int n = 0; n < FRAMES; n++) {
                assertUntouched(made.get(n), n);
            }
        }
    }

    private static List<String> dials(JsonNode looks, String name) {
        JsonNode look =
                StreamSupport.stream(looks.spliterator(), false)
                        .filter(l -> l.path("name").asText().equals(name))
                        .findFirst()
                        .orElseThrow();
        List<String> names = new ArrayList<>();
        for (JsonNode dial : look.path("dials")) {
            assertThat(dial.has("unit") && dial.has("min") && dial.has("max") && dial.has("rest"))
                    .isTrue();
            names.add(dial.path("name").asText());
        }
        return names;
    }

    @Test
    void aBurstSplitsTheChannelsInStepsAroundItsFrame() throws IOException {
        List<BufferedImage> made =
                apply("burst-split", "at=6", "before=3", "after=3", "phases=1", "peak=8");
        for (int n = 0; n < FRAMES; n++) {
            int away = Math.abs(n - 6);
            int px = away == 0 ? 8 : away <= 3 ? 4 : 0;
            assertMoved(made.get(n), source.get(n), RED, px);
            assertMoved(made.get(n), source.get(n), GREEN, 0);
            assertMoved(made.get(n), source.get(n), BLUE, -px);
        }
    }

    @Test
    void aSwipeIsHalfATileAtItsMiddleAndArrives() throws IOException {
        List<BufferedImage> made =
                apply("tile-swipe", "at=6", "length=6", "tiles=1", "shutter=180");
        for (int n = 0; n < FRAMES; n++) {
            if (Math.abs(n - 6) > 3) {
                assertUntouched(made.get(n), n);
            }
        }
        List<BufferedImage> sharp = apply("tile-swipe", "at=6", "length=6", "tiles=1");
        for (int x = 0; x < WIDTH; x++) {
            assertThat(sharp.get(6).getRGB((x + WIDTH / 2) % WIDTH, 4) & 0xffffff)
                    .isEqualTo(source.get(6).getRGB(x, 4) & 0xffffff);
        }
        assertThat(made.get(6).getRGB(9, 4)).isNotEqualTo(sharp.get(6).getRGB(9, 4));
    }

    @Test
    void aSlitScanShowsAnotherFrameInEachColumn() throws IOException {
        List<BufferedImage> made = apply("slit-scan", "red=4");
        int n = 7;
        for (int x = 0; x < WIDTH; x++) {
            double late = 4 * (x + 0.5) / WIDTH;
            int whole = (int) late;
            double later = sample(source.get(n - whole - 1), x, 4, RED);
            double sooner = sample(source.get(n - whole), x, 4, RED);
            assertThat((double) sample(made.get(n), x, 4, RED))
                    .isCloseTo(sooner + (late - whole) * (later - sooner), within(1.0));
        }
        assertMoved(made.get(n), source.get(n), GREEN, 0);
    }

    @Test
    void channelsSplitUpToTheCutAndRejoinAfterIt() throws IOException {
        List<BufferedImage> made = apply("pull-apart", "at=6", "length=8", "distance=16");
        for (int n = 0; n < FRAMES; n++) {
            int px = Math.max(0, 16 - (n - 6) * (n - 6));
            assertMoved(made.get(n), source.get(n), RED, px);
            assertMoved(made.get(n), source.get(n), BLUE, -px);
            assertMoved(made.get(n), source.get(n), GREEN, 0);
        }
        assertThat(sample(made.get(6), 20, 4, RED)).isEqualTo(sample(source.get(6), 4, 4, RED));
    }

    @Test
    void delayedChannelsComeFromOtherFrames() throws IOException {
        List<BufferedImage> made = apply("channel-delay", "red=2", "blue=-3");
        for (int n = 0; n < FRAMES; n++) {
            assertMoved(made.get(n), source.get(Math.max(0, n - 2)), RED, 0);
            assertMoved(made.get(n), source.get(n), GREEN, 0);
            assertMoved(made.get(n), source.get(Math.min(FRAMES - 1, n + 3)), BLUE, 0);
        }
        List<BufferedImage> faded = apply("channel-delay", "red=2", "blue=-3", "fade=1");
        for (int n = 0; n < FRAMES; n++) {
            assertUntouched(faded.get(n), n);
        }
    }
}
