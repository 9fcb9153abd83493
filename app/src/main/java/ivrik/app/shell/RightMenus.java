package ivrik.app.shell;

import ivrik.app.desk.Area;
import ivrik.app.desk.LayerStrip;
import ivrik.app.desk.Matrix;
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
 * The right button, or the menu key, on the picture, a lane, a shot or a layer: the commands that are about it. What has a
 * menu of its own, such as a number, keeps that.
 */
final class RightMenus {
    private static final String LINE = "";

    private static final List<String> PICTURE =
            List.of(
                    "Copy the frame",
                    "Put this frame aside",
                    LINE,
                    "Without the look (also while W is down)",
                    "Split line",
                    "Difference",
                    "Lane in grey",
                    "Lane in its ink",
                    LINE,
                    "Fit the picture",
                    "Pixel for pixel",
                    "Loupe",
                    "Scopes",
                    "Handles on the picture",
                    "Next surround: black, grey, white",
                    LINE,
                    "Show how it is separated",
                    "Looks...",
                    "Progressives...");

    private static final List<String> LANE =
            List.of(
                    "Solo",
                    "Mute",
                    "Keep still",
                    LINE,
                    "Add a treatment...",
                    "Add or remove a peg here",
                    "Switch the treatment on or off",
                    LINE,
                    "Copy the lane's amounts",
                    "Paste into the lane",
                    "Same in all lanes",
                    "Mirror the lane's amounts",
                    "Oppose the other lane",
                    "Spread from the first lane to the last",
                    LINE,
                    "Set the lane's treatment to its defaults");

    private static final List<String> LAYER =
            List.of(
                    "Show the layer",
                    "Copy the look",
                    "Paste the look",
                    "Keep as a take",
                    "New span over all");

    private static final List<String> SHOT =
            List.of(
                    "Cut the shot here",
                    "The shot begins here",
                    "The shot ends here",
                    "Before the shot before",
                    "After the shot after",
                    "New look for this shot, or those picked",
                    "New span over this shot, or those picked",
                    LINE,
                    "Remove the shot and close up",
                    "Remove the shot and leave a gap");

    private final List<Command> commands;
    private final ContextMenu menu = new ContextMenu();

    RightMenus(List<Command> commands) {
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

    /** The commands that are about what lies there. */
    private static List<String> about(Node node, ContextMenuEvent e) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at instanceof PicturePane) {
                return PICTURE;
            }
            if (at instanceof LayerStrip) {
                return LAYER;
            }
            if (at instanceof Matrix) {
                return LANE;
            }
            if (at instanceof TimeView time) {
                return about(
                        e.isKeyboardTrigger()
                                ? Area.SHOT // lanes have theirs on their cells
                                : time.areaAt(time.screenToLocal(e.getScreenX(), e.getScreenY())));
            }
        }
        return List.of();
    }

    private static List<String> about(Area area) {
        return switch (area) {
            case LANE -> LANE;
            case SHOT -> Stream.of(SHOT, List.of(LINE), LAYER).flatMap(List::stream).toList();
            case LAYER -> LAYER;
            case OTHER -> List.of();
        };
    }

    private MenuItem item(String title) {
        if (title.equals(LINE)) {
            return new SeparatorMenuItem();
        }
        Command command =
                commands.stream().filter(c -> c.id().equals(title)).findFirst().orElseThrow();
        return command.item();
    }
}
