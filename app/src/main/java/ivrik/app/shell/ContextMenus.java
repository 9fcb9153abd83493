package ivrik.app.shell;

import ivrik.app.desk.LayerStrip;
import ivrik.app.desk.Matrix;
import ivrik.app.desk.TimeArea;
import ivrik.app.desk.TimeView;
import ivrik.app.pane.PicturePane;
import ivrik.app.sheet.Command;

import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.ContextMenuEvent;

import java.util.List;
import java.util.stream.Stream;

/**
 * Context menus on the picture, a channel, a shot or a layer, with the commands for each. Nodes with their
 * own context menu keep it.
 */
final class ContextMenus {
    private static final String LINE = "";

    private static final List<String> PICTURE =
            List.of(
                    "copy-frame-as-image",
                    "take-snapshot",
                    LINE,
                    "bypass-looks",
                    "split-line",
                    "difference-from-source",
                    "channel-in-grey",
                    "channel-in-ink-colour",
                    LINE,
                    "fit-in-pane",
                    "actual-size",
                    "loupe",
                    "scopes",
                    "handles-on-picture",
                    "next-surround",
                    LINE,
                    "show-separation",
                    "show-all-looks",
                    "show-channel-combinations");

    private static final List<String> CHANNEL =
            List.of(
                    "solo",
                    "mute",
                    "fixed",
                    LINE,
                    "add-treatment",
                    "toggle-keyframe",
                    "toggle-treatment",
                    LINE,
                    "copy-channel",
                    "paste-channel",
                    "paste-channel-settings",
                    "same-in-all-channels",
                    "negate-channel-values",
                    "mirror-to-opposite-channel",
                    "spread-channels",
                    LINE,
                    "reset-treatment");

    private static final List<String> LAYER =
            List.of(
                    "show-layer",
                    "copy-look",
                    "paste-look",
                    "save-as-take",
                    "add-span-over-whole-sequence");

    private static final List<String> SHOT =
            List.of(
                    "split-shot",
                    "trim-shot-start",
                    "trim-shot-end",
                    "move-shot-earlier",
                    "move-shot-later",
                    "add-look-for-selected-shots",
                    "add-span-over-selected-shots",
                    LINE,
                    "delete-shot-close-gap",
                    "delete-shot-leave-gap");

    private final List<Command> commands;
    private final ContextMenu menu = new ContextMenu();

    ContextMenus(List<Command> commands) {
        this.commands = commands;
    }

    void install(Scene scene) {
        scene.addEventHandler(ContextMenuEvent.CONTEXT_MENU_REQUESTED, this::asked);
    }

    private void asked(ContextMenuEvent e) {
        if (Menus.areOpen() || !(e.getTarget() instanceof Node node)) {
            return;
        }
        List<String> about = about(node, e);
        if (about.isEmpty()) {
            return;
        }
        menu.getItems().setAll(about.stream().map(this::item).toList());
        menu.show(node, e.getScreenX(), e.getScreenY());
        e.consume();
    }

    /** The commands for a position. */
    private static List<String> about(Node node, ContextMenuEvent e) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at instanceof PicturePane) {
                return PICTURE;
            }
            if (at instanceof LayerStrip) {
                return LAYER;
            }
            if (at instanceof Matrix) {
                return CHANNEL;
            }
            if (at instanceof TimeView time) {
                return about(
                        e.isKeyboardTrigger()
                                ? TimeArea.SHOT // channels have theirs on their cells
                                : time.areaAt(time.screenToLocal(e.getScreenX(), e.getScreenY())));
            }
        }
        return List.of();
    }

    private static List<String> about(TimeArea area) {
        return switch (area) {
            case CHANNEL -> CHANNEL;
            case SHOT -> Stream.of(SHOT, List.of(LINE), LAYER).flatMap(List::stream).toList();
            case LAYER -> LAYER;
            case OTHER -> List.of();
        };
    }

    private MenuItem item(String id) {
        if (id.equals(LINE)) {
            return new SeparatorMenuItem();
        }
        Command command =
                commands.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
        return command.item();
    }
}
