package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.Test;

import java.util.Arrays;

/**
 * Scopes beside the picture: opened, switched, restricted to a region, and updated with the picture.
 */
class ScopeWindowTest extends OneFrame {
    private void foldOut() {
        Driver.run(() -> d.find("PicturePane").requestFocus());
        d.key(KeyCode.SHIFT, KeyCode.L);
        d.settle();
    }

    private int[] scope() {
        d.settle();
        return d.pixels(d.find("#scope"));
    }

    @Test
    void aKeyOpensAndClosesTheScopes() {
        assertThat(d.look("#scope")).isNull();
        double before = d.find("PicturePane").getLayoutBounds().getWidth();
        foldOut();
        Node scope = d.find("#scope");
        assertThat(scope.getLayoutBounds().getWidth()).isGreaterThan(200);
        assertThat(d.find("PicturePane").getLayoutBounds().getWidth()).isLessThan(before - 200);
        d.key(KeyCode.SHIFT, KeyCode.L);
        assertThat(d.look("#scope")).isNull();
    }

    /** Each scope draws a different picture, and redraws when the picture changes. */
    @Test
    void scopesSwitchAndFollowThePicture() {
        foldOut();
        int[] before = null;
        for (String kind : new String[] {"Histogram", "Waveform", "Parade", "Vectorscope"}) {
            d.choose("#scope-kind", kind);
            int[] now = scope();
            assertThat(Arrays.stream(now).distinct().count()).isGreaterThan(30);
            assertThat(Arrays.equals(now, before)).isFalse();
            before = now;
        }
        set(0, 0, "x", 40);
        assertThat(Arrays.equals(scope(), before)).as("shifted channels").isFalse();
    }

    @Test
    void scopesMeasureASelectedRegion() {
        foldOut();
        int[] all = scope();
        d.click("#scope-part");
        Node pane = d.find("PicturePane");
        d.click(pane, 0.6, 0.6, 1, MouseButton.PRIMARY);
        assertThat(d.words()).contains("Click the opposite corner");
        d.click(pane, 0.4, 0.4, 1, MouseButton.PRIMARY);
        Rectangle2D part = d.window.view().measured.get();
        assertThat(part.getWidth()).isBetween(50.0, 640 * 0.5);
        assertThat(part.getMinX()).isBetween(100.0, 640 * 0.5);
        assertThat(Arrays.equals(scope(), all)).isFalse();
        d.click("#scope-part");
        assertThat(((ToggleButton) d.find("#scope-part")).isSelected()).isFalse();
        assertThat(scope()).isEqualTo(all);
    }
}
