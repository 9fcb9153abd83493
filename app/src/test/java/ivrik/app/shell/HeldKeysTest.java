package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.javafx.stage.WindowHelper;

import javafx.beans.property.BooleanProperty;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

/** Key repeat while a key is held down. */
class HeldKeysTest extends OneFrame {
    private void hold(KeyCode key) {
        for (int i = 0; i < 4; i++) {
            d.press(key);
        }
        d.release(key);
    }

    private boolean is(BooleanProperty flag) {
        return Driver.on(flag::get);
    }

    @Test
    void aHeldToggleKeyTogglesOnce() {
        hold(KeyCode.B);
        assertThat(is(d.window.view().twoPanes)).isTrue();
        hold(KeyCode.B);
        assertThat(is(d.window.view().twoPanes)).isFalse();
        hold(KeyCode.M);
        assertThat(look().channels().get(0).mute()).isTrue();
        hold(KeyCode.SPACE);
        assertThat(is(d.window.view().playing)).isTrue();
        hold(KeyCode.SPACE);
        assertThat(is(d.window.view().playing)).isFalse();
    }

    @Test
    void aHeldNudgeKeyRepeats() {
        hold(KeyCode.RIGHT);
        assertThat(settings(0, 0).value("x").rest()).isEqualTo(4);
        d.press(KeyCode.CONTROL);
        hold(KeyCode.LEFT);
        d.release(KeyCode.CONTROL);
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(36);
    }

    /** Sets the focus, because the headless platform never reports a lost focus. */
    private void focus(boolean here) {
        Driver.run(() -> WindowHelper.setFocused(d.root().getScene().getWindow(), here));
    }

    @Test
    void aKeyReleasedInAnotherWindowCountsAsReleased() {
        d.press(KeyCode.B);
        d.press(KeyCode.W);
        assertThat(is(d.window.view().bypass)).isTrue();
        focus(false);
        assertThat(is(d.window.view().bypass)).isFalse();
        focus(true);
        d.press(KeyCode.B);
        assertThat(is(d.window.view().twoPanes)).as("pressed anew").isFalse();
        d.release(KeyCode.B);
        d.release(KeyCode.W);
    }
}
