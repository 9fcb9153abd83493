package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.project.Title.Align;
import ivrik.core.render.Plan.Picture;
import ivrik.core.separation.Ink;
import ivrik.core.threads.Workers;
import ivrik.media.decode.MediaPictures;
import ivrik.media.vector.ShippedFonts;
import ivrik.media.vector.TitleGraphic;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;

class TitleTest {
    private static final Size BOX = new Size(400, 200);
    private static final Title BAR = Title.EMPTY.withText("IIII").withSizePx(100);

    private static double covered(Frame frame) {
        double sum = 0;
        for (float v : frame.coverage().getFirst().data()) {
            sum += v;
        }
        return sum;
    }

    /** The first and last column that is not transparent. */
    private static int[] columns(Frame frame) {
        Plane p = frame.coverage().getFirst();
        int first = p.width();
        int last = -1;
        for (int y = 0; y < p.height(); y++) {
            for (int x = 0; x < p.width(); x++) {
                if (p.at(x, y) > 0) {
                    first = Math.min(first, x);
                    last = Math.max(last, x);
                }
            }
        }
        return new int[] {first, last};
    }

    @Test
    void textIsCentredInItsBoxInItsColour() {
        Frame frame = TitleGraphic.draw(BAR.withColour(Ink.parse("ff8000")), BOX, BOX);
        int[] x = columns(frame);
        assertThat(x[0] + x[1]).isBetween(395, 403);
        assertThat(frame.colour().get(0).at(200, 100)).isEqualTo(1f);
        assertThat(frame.colour().get(1).at(200, 100)).isEqualTo(128 / 255f);
        assertThat(covered(frame)).isBetween(2000.0, 12000.0);
    }

    @Test
    void halfSizeTextEqualsTheReducedText() {
        Frame full = TitleGraphic.draw(BAR, BOX, BOX);
        Frame half = TitleGraphic.draw(BAR, BOX, BOX.scaled(0.5));
        assertThat(covered(half) * 4).isCloseTo(covered(full), within(covered(full) * 0.02));
    }

    @Test
    void weightSizeAndTrackingChangeTheText() {
        double regular = covered(TitleGraphic.draw(BAR.withWeight(400), BOX, BOX));
        double bold = covered(TitleGraphic.draw(BAR.withWeight(700), BOX, BOX));
        assertThat(bold).isGreaterThan(regular * 1.2);
        int[] tight = columns(TitleGraphic.draw(BAR.withTracking(0), BOX, BOX));
        int[] wide = columns(TitleGraphic.draw(BAR.withTracking(200), BOX, BOX));
        // three gaps of a fifth of the size each
        assertThat((wide[1] - wide[0]) - (tight[1] - tight[0])).isBetween(58, 62);
    }

    @Test
    void linesFollowTheirAlignment() {
        Title two = Title.EMPTY.withText("HHHHHH\nH").withSizePx(40);
        int left = lowLine(two.withAlign(Align.LEFT));
        int middle = lowLine(two.withAlign(Align.CENTRE));
        int right = lowLine(two.withAlign(Align.RIGHT));
        assertThat(left).isLessThan(middle - 20);
        assertThat(middle).isLessThan(right - 20);
        assertThat(middle).isBetween(180, 200);
    }

    private static int lowLine(Title title) {
        Frame frame = TitleGraphic.draw(title, BOX, BOX);
        Plane p = frame.coverage().getFirst();
        for (int x = 0; x < p.width(); x++) {
            if (p.at(x, 123) > 0) {
                return x;
            }
        }
        return -1;
    }

    @Test
    void emptyTextIsTransparentAndUnknownFontsAreReplaced() {
        assertThat(covered(TitleGraphic.draw(Title.EMPTY, BOX, BOX))).isZero();
        assertThat(covered(TitleGraphic.draw(BAR.withText(" \n "), BOX, BOX))).isZero();
        assertThat(ShippedFonts.has("No Such Font Anywhere")).isFalse();
        Frame other = TitleGraphic.draw(BAR.withFamily("No Such Font Anywhere"), BOX, BOX);
        Frame shipped = TitleGraphic.draw(BAR, BOX, BOX);
        assertThat(other.coverage().getFirst().sameSamples(shipped.coverage().getFirst())).isTrue();
        assertThat(ShippedFonts.families()).startsWith("IBM Plex Mono", Title.SHIPPED);
    }

    @Test
    void titlesAndSolidsAreSourcesWithoutFiles(@TempDir Path folder) {
        try (MediaPictures pictures = new MediaPictures(Workers.shared())) {
            Source title = Source.of("t", BAR, BOX);
            assertThat(covered(pictures.frame(new Picture(title, 0), BOX))).isPositive();
            Source solid = Source.solid("s", Ink.parse("336699"), BOX);
            Frame frame = pictures.frame(new Picture(solid, 0), new Size(3, 2));
            assertThat(frame.isOpaque()).isTrue();
            assertThat(frame.size()).isEqualTo(new Size(3, 2));
            assertThat(frame.colour().get(2).data()).containsOnly(0.6f);
        }
    }
}
