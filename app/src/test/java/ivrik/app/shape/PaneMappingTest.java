package ivrik.app.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Size;

import javafx.geometry.Point2D;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PaneMappingTest {
    private static final Size SIZE = new Size(1280, 720);

    @Property(tries = 200)
    void screenPositionsMapToPicturePositionsAndBack(
            @ForAll @DoubleRange(min = 0.05, max = 32) double zoom,
            @ForAll @DoubleRange(min = 0, max = 1) double cx,
            @ForAll @IntRange(min = 0, max = 1279) int x) {
        PaneMapping m = PaneMapping.of(SIZE, 800, 500, zoom, 1, new Point2D(cx, 0.5));
        Point2D back = m.toPicture(m.toScreen(x, 100).getX(), m.toScreen(x, 100).getY());
        assertThat(back.getX()).isCloseTo(x, within(1e-6));
        assertThat(back.getY()).isCloseTo(100, within(1e-6));
    }

    @Test
    void fitCentresThePictureAndFillsThePane() {
        PaneMapping m = PaneMapping.of(SIZE, 1000, 500, 0, 1, new Point2D(0.5, 0.5));
        Point2D first = m.toScreen(0, 0);
        Point2D last = m.toScreen(1280, 720);
        assertThat(first.getX() + last.getX()).isCloseTo(1000, within(1.5));
        assertThat(first.getY() + last.getY()).isCloseTo(500, within(1.5));
        assertThat(first.getY()).isBetween(4.0, 8.0);
        assertThat(PaneMapping.of(SIZE, 10, 10, 0, 1, Point2D.ZERO).zoom()).isPositive();
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 1.25, 1.5, 2})
    void at100PerCentAPicturePixelCoversADevicePixel(double scale) {
        PaneMapping m = PaneMapping.of(SIZE, 801, 503, 1, scale, new Point2D(0.31, 0.5));
        Point2D first = m.toScreen(0, 0).multiply(scale);
        Point2D next = m.toScreen(1, 1).multiply(scale);
        assertThat(next.getX() - first.getX()).isCloseTo(1, within(1e-9));
        assertThat(first.getX()).isCloseTo(Math.rint(first.getX()), within(1e-9));
        assertThat(first.getY()).isCloseTo(Math.rint(first.getY()), within(1e-9));
    }
}
