package ivrik.app.shell;

import ivrik.app.desk.Desk;
import ivrik.app.pane.PicturePane;
import ivrik.core.look.BuiltInLooks;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Path;

/** How the panels share the window, and how they return, on a copy of the demo. */
class ArrangementTest extends InAWindow {
    @BeforeEach
    void openTheDemo() throws IOException {
        Path project = Material.demo(folder);
        Driver.run(() -> d.window.open(project));
        d.settle();
    }

    @Test
    void theTrayYieldsToChannelsAndLayersAndReturns() {
        resize(1280, 800, 1);
        Driver.until("the picture is large", () -> pane().zoom() * 1280 >= 760);
        double wide = Driver.on(() -> pane().zoom() * 1280);
        assertDeskHasRoom();
        resize(1000, 700, 1.25);
        assertDeskHasRoom();
        Driver.until("the picture is still shown", () -> pane().zoom() * 1280 > 340);
        Driver.run(() -> d.window.view().scopes.set(true));
        d.settle();
        assertDeskHasRoom();
        Driver.run(() -> d.window.view().scopes.set(false));
        resize(1280, 800, 1);
        Driver.until(
                "the picture is as large as before",
                () -> Math.abs(pane().zoom() * 1280 - wide) < 4);
    }

    @Test
    void twoPanesShareTheSpace() {
        resize(1000, 700, 1.25);
        Driver.run(() -> d.window.view().scopes.set(true));
        d.settle();
        Driver.run(() -> d.window.view().scopes.set(false));
        Driver.run(() -> d.window.view().twoPanes.set(true));
        d.settle();
        Driver.pulses(4);
        Driver.until(
                "both are as wide",
                () -> {
                    double[] widths =
                            d.root().lookupAll("PicturePane").stream()
                                    .mapToDouble(n -> ((PicturePane) n).getWidth())
                                    .toArray();
                    return widths.length == 2 && Math.abs(widths[0] - widths[1]) < 4;
                });
    }

    @Test
    void theTimeViewRegainsItsSpaceWhenColumnsAreRemoved() {
        resize(1280, 800, 1);
        Desk desk = (Desk) d.find("Desk");
        double before = Driver.on(() -> desk.getDividerPositions()[0]);
        Driver.run(() -> d.window.session().editLook("Tube", l -> BuiltInLooks.named("crt")));
        d.settle();
        Driver.pulses(4);
        Driver.until("columns take space", () -> desk.getDividerPositions()[0] > before + 0.02);
        Driver.run(() -> d.window.session().undo());
        d.settle();
        Driver.pulses(4);
        Driver.until(
                "they give it back", () -> Math.abs(desk.getDividerPositions()[0] - before) < 0.01);
    }

    private PicturePane pane() {
        return (PicturePane) d.look("PicturePane");
    }

    private void resize(double width, double height, double text) {
        Driver.run(() -> d.resize(width, height));
        Driver.run(() -> d.window.view().textScale.set(text));
        d.settle();
        Driver.pulses(4);
    }

    private void assertDeskHasRoom() {
        Desk desk = (Desk) d.find("Desk");
        Driver.until(
                "channels and layers are visible",
                () -> desk.getHeight() >= desk.leastHeight().get());
    }
}
