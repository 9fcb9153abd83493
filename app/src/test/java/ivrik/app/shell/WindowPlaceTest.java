package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Rectangle2D;

import org.junit.jupiter.api.Test;

import java.util.List;

/** The window fits the screen that is there, and keeps its size and place. */
class WindowPlaceTest extends InAWindow {
    private static final Rectangle2D SMALL = new Rectangle2D(0, 0, 1000, 700);
    private static final Rectangle2D SECOND = new Rectangle2D(1000, 0, 1920, 1080);

    private static Rectangle2D fitted(double x, double y, double w, double h, Rectangle2D... on) {
        return WindowPlace.fitted(new Rectangle2D(x, y, w, h), List.of(on));
    }

    @Test
    void aWindowIsNoLargerThanItsScreen() {
        assertThat(fitted(0, 0, 1280, 800, SMALL)).isEqualTo(SMALL);
        assertThat(fitted(300, 300, 600, 600, SMALL))
                .isEqualTo(new Rectangle2D(300, 100, 600, 600));
    }

    @Test
    void aWindowStaysOnTheScreenItWasOn() {
        assertThat(fitted(1200, 50, 1280, 800, SMALL, SECOND))
                .isEqualTo(new Rectangle2D(1200, 50, 1280, 800));
    }

    @Test
    void aWindowOfAScreenThatIsGoneIsCentred() {
        assertThat(fitted(1200, 50, 900, 600, SMALL)).isEqualTo(new Rectangle2D(50, 50, 900, 600));
    }

    @Test
    void sizeIsKept() {
        Driver.run(() -> d.resize(951, 707));
        Driver.pulses(3);
        d.close();
        d = new Driver(folder.resolve("data"));
        Driver.run(() -> d.window.restorePlace());
        Driver.pulses(3);
        assertThat(Driver.on(() -> d.root().getScene().getWindow().getWidth())).isEqualTo(951);
        assertThat(Driver.on(() -> d.root().getScene().getWindow().getHeight())).isEqualTo(707);
    }
}
