package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.widget.NumberField;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Settings;

import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.util.List;

/** One rule for typing: digits open a number, Tab the next one, Enter and Escape leave; and keys that copy. */
class TypingTest extends OneFrame {
    private double x(int channel) {
        return look().steps().isEmpty()
                ? 0
                : look().steps().getFirst().channels().get(channel).value("x").rest();
    }

    private void focus(String field) {
        Driver.run(() -> d.find(field).requestFocus());
    }

    @Test
    void aDigitOpensAFocusedNumberAndEnterGivesAllArrowsBack() {
        d.key(KeyCode.RIGHT);
        focus("#red-x");
        d.type("-4.5");
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(x(0)).isEqualTo(-4.5);
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.DOWN);
        d.settle();
        assertThat(x(0)).isEqualTo(-3.5);
        assertThat(look().steps().getFirst().channels().getFirst().value("y").rest()).isEqualTo(1);
    }

    @Test
    void tabOpensTheNextNumber() {
        d.key(KeyCode.RIGHT);
        focus("#red-x");
        d.type("7");
        d.key(KeyCode.TAB);
        d.type("8");
        d.key(KeyCode.SHIFT, KeyCode.TAB);
        d.type("9");
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(x(0)).isEqualTo(9);
        assertThat(x(1)).isEqualTo(8);
    }

    @Test
    void escapeRestoresTheValueAndLeaves() {
        d.key(KeyCode.RIGHT);
        focus("#red-x");
        d.type("70");
        d.key(KeyCode.ESCAPE);
        assertThat(x(0)).isEqualTo(1);
        assertThat(Driver.on(() -> d.root().getScene().getFocusOwner() instanceof NumberField))
                .isFalse();
        d.key(KeyCode.DIGIT3);
        d.settle();
        assertThat(Driver.on(() -> d.window.session().state().channel())).isEqualTo(2);
    }

    @Test
    void aChannelIsCopiedWithItsJitterToAnotherChannel() {
        d.key(KeyCode.RIGHT);
        Jitter shake = new Jitter(Value.of(9), 8, Jitter.Kind.SMOOTH, 3);
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "Shake",
                                        l -> l.withSettings(0, 0, a -> a.withJitter(shake))));
        d.key(KeyCode.CONTROL, KeyCode.C);
        d.key(KeyCode.DIGIT3);
        d.key(KeyCode.SHIFT, KeyCode.V);
        d.settle();
        List<Settings> now =
                Planner.plan(Driver.on(() -> d.window.session().project()), 7)
                        .layers()
                        .getFirst()
                        .looks()
                        .getFirst()
                        .steps()
                        .getFirst()
                        .channels();
        assertThat(now.get(2).number("x")).isEqualTo(now.get(0).number("x")).isNotEqualTo(1);
        assertThat(now.get(2).number("y")).isEqualTo(now.get(0).number("y"));
    }

    @Test
    void aNewTitleIsTypedAtOnceAndEscapeRestoresItsText() {
        d.key(KeyCode.CONTROL, KeyCode.T);
        d.settle();
        d.type("n");
        d.settle();
        TextArea text = (TextArea) d.find("#title-text");
        assertThat(Driver.<String>on(text::getText)).isEqualTo("n");
        d.key(KeyCode.ESCAPE);
        d.settle();
        assertThat(Driver.<String>on(text::getText)).isEqualTo("TITLE");
        assertThat(Driver.<Boolean>on(text::isFocused)).isFalse();
    }
}
