package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.sheet.Command;
import ivrik.core.look.Look;
import ivrik.core.rejoin.Blend;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Control;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Window;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.util.List;

/** Open menus take the keys, start at the current item, and open by right-click. */
class MenusTest extends InAWindow {
    @BeforeEach
    void importFile() {
        d.importFile(Material.still(folder, "a.png", 0.3f));
    }

    private static List<String> offered() {
        return Driver.on(
                () ->
                        Window.getWindows().stream()
                                .filter(w -> w instanceof ContextMenu && w.isShowing())
                                .flatMap(w -> ((ContextMenu) w).getItems().stream())
                                .map(MenuItem::getText)
                                .filter(java.util.Objects::nonNull)
                                .toList());
    }

    @Test
    void everyCommandHasItsOwnId() {
        List<String> ids =
                Driver.on(() -> Commands.of(d.window).stream().map(Command::id).toList());
        assertThat(ids).doesNotHaveDuplicates().allMatch(id -> id.matches("[a-z0-9-]+"));
    }

    @Test
    void aMenuOpensOnTheCurrentChoiceAndHasTheArrowKeys() {
        d.key(KeyCode.Q);
        d.choose("#layer-blend", "Screen");
        MenuButton menu = (MenuButton) d.find("#layer-blend");
        Driver.run(menu::show);
        Driver.pulses(2);
        MenuItem screen =
                Driver.on(
                        () ->
                                menu.getItems().stream()
                                        .filter(i -> i.getText().equals(Blend.SCREEN.title()))
                                        .findFirst()
                                        .orElseThrow());
        assertThat(screen.getStyleClass()).contains("ticked");
        assertThat(menu.getItems().stream().filter(i -> i.getStyleClass().contains("ticked")))
                .hasSize(1);
        Node line = Driver.on(screen::getStyleableNode);
        Bounds there = Driver.on(() -> line.localToScreen(line.getLayoutBounds()));
        Bounds word = Driver.on(() -> menu.localToScreen(menu.getLayoutBounds()));
        assertThat(word.getCenterY())
                .as("under the pointer")
                .isBetween(there.getMinY(), there.getMaxY());
        assertThat(Driver.on(line::isFocused)).isTrue();
        d.key(KeyCode.DOWN);
        d.key(KeyCode.ENTER);
        assertThat(d.window.session().project().layers().getFirst().blend())
                .isEqualTo(Blend.values()[Blend.SCREEN.ordinal() + 1]);
        assertThat(d.channels().getFirst().value("y").at(0)).as("nothing was nudged").isZero();
    }

    @Test
    void contextMenusOfferTheCommandsOfTheirItem() {
        Node picture = d.find("#picture-a");
        d.click(picture, 0.5, 0.2, 1, MouseButton.SECONDARY);
        assertThat(offered()).contains("Copy frame as image", "Actual size (100 %)", "Loupe");
        d.key(KeyCode.ESCAPE);
        assertThat(offered()).isEmpty();
        d.click(d.find("#cell-0-green"), 0.5, 0.5, 1, MouseButton.SECONDARY);
        assertThat(offered()).contains("Mute", "Set or delete keyframe", "Same in all channels");
        d.key(KeyCode.ESCAPE);
        d.click(d.find("#mask").getParent(), 0.99, 0.5, 1, MouseButton.SECONDARY);
        assertThat(offered()).contains("Show layer", "Copy look", "Save as take");
        d.key(KeyCode.ESCAPE);
        Node time = (Node) d.window.time();
        double shots = Driver.on(() -> d.window.time().rowsBottom());
        double high = Driver.on(() -> time.getLayoutBounds().getHeight());
        d.click(time, 0.3, (shots + 30) / high, 1, MouseButton.SECONDARY);
        assertThat(offered()).contains("Split shot at playhead", "Delete shot and close gap");
        Driver.run(
                () ->
                        Window.getWindows().stream()
                                .filter(ContextMenu.class::isInstance)
                                .flatMap(w -> ((ContextMenu) w).getItems().stream())
                                .filter(i -> "Split shot at playhead".equals(i.getText()))
                                .findFirst()
                                .orElseThrow()
                                .fire());
        assertThat(d.window.session().project().layers().getFirst().clips()).hasSize(2);
    }

    @Test
    void aDoubleClickOnAMenuChoosesNothing() {
        d.choose("#look", "Add look after this");
        d.settle();
        Look before = d.selectedLook();
        d.click(d.find("#look"), 0.5, 0.5, 2, MouseButton.PRIMARY);
        assertThat(d.window.session().project().layers().getFirst().looks()).hasSize(2);
        assertThat(d.selectedLook()).isEqualTo(before);
        assertThat(offered()).as("still open").contains("Remove look");
        d.key(KeyCode.ESCAPE);
    }

    @Test
    void destructiveItemsAreLastAndApart() {
        d.choose("#look", "Add look after this");
        d.settle();
        d.key(KeyCode.Q);
        d.settle();
        Driver.run(
                () -> {
                    for (Node node : d.root().lookupAll("*")) {
                        if (node instanceof MenuButton button && button.isVisible()) {
                            button.show();
                            assertApart(button.getItems());
                            button.hide();
                        } else if (node instanceof Control c && c.getContextMenu() != null) {
                            assertApart(c.getContextMenu().getItems());
                        }
                    }
                });
    }

    private static void assertApart(List<MenuItem> items) {
        List<MenuItem> rest = items.stream().dropWhile(i -> !isDestructive(i)).toList();
        assertThat(rest.stream().filter(i -> !isDestructive(i)).map(MenuItem::getText))
                .as(items.getFirst().getText())
                .isEmpty();
        if (!rest.isEmpty() && rest.size() < items.size()) {
            assertThat(items.get(items.size() - rest.size() - 1))
                    .as(rest.getFirst().getText())
                    .isInstanceOf(SeparatorMenuItem.class);
        }
    }

    private static boolean isDestructive(MenuItem item) {
        return item.getText() != null && item.getText().matches("(Remove|Delete|Discard).*");
    }

    /** The menu key opens the context menu of the focused node. */
    @Test
    void theMenuKeyOpensTheContextMenu() {
        asked(d.find("#picture-a"));
        assertThat(offered()).contains("Copy frame as image");
        d.key(KeyCode.ESCAPE);
        asked(d.find("#cell-0-red"));
        assertThat(offered()).contains("Solo", "Fixed");
        d.key(KeyCode.ESCAPE);
        asked(d.window.time());
        assertThat(offered()).contains("Split shot at playhead", "Show layer");
    }

    private static void asked(Node node) {
        Driver.run(
                () ->
                        node.fireEvent(
                                new ContextMenuEvent(
                                        ContextMenuEvent.CONTEXT_MENU_REQUESTED,
                                        9,
                                        9,
                                        9,
                                        9,
                                        true,
                                        null)));
    }
}
