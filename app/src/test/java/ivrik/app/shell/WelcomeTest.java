package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The welcome shows while the project is empty. */
class WelcomeTest extends InAWindow {
    @Test
    void theWelcomeDoesNotFlashBeforeAProjectThatIsBeingOpened() {
        assertThat(d.find(".welcome").isVisible()).isTrue();
        boolean meanwhile =
                Driver.on(
                        () -> {
                            d.window.openDemo();
                            return d.find(".welcome").isVisible();
                        });
        assertThat(meanwhile).isFalse();
        Driver.until("the sheet is open", () -> !d.window.session().project().isEmpty());
        assertThat(d.find(".welcome").isVisible()).isFalse();
    }

    @Test
    void theWelcomeReturnsWhenAProjectCannotBeOpened() {
        Driver.run(() -> d.window.open(folder.resolve("gone.ivrik")));
        Driver.until("the message appears", () -> d.window.sheets().isShowing());
        assertThat(d.find(".welcome").isVisible()).isTrue();
        assertThat(d.window.view().notice.get()).isEmpty();
    }
}
