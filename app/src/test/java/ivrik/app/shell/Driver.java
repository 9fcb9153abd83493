package ivrik.app.shell;

import ivrik.app.InterfaceThread;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.project.Project;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.MediaPictures;

import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javafx.stage.Window;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A real window operated by a robot keyboard and mouse. */
final class Driver extends OnInterface implements AutoCloseable {
    final MainWindow window;
    final ChosenFiles files = new ChosenFiles();
    private final Stage stage;
    private final Robot robot;

    Driver(Path dataFolder) {
        InterfaceThread.start();
        Material.folder(dataFolder);
        List<Object> made =
                on(
                        () -> {
                            Stage s = new Stage();
                            MainWindow w = new MainWindow(s, dataFolder);
                            w.chooseWith(files);
                            s.setX(0);
                            s.setY(0);
                            s.show();
                            s.toFront();
                            s.requestFocus();
                            return List.of(s, w, new Robot());
                        });
        stage = (Stage) made.get(0);
        window = (MainWindow) made.get(1);
        robot = (Robot) made.get(2);
        pulses(3);
    }

    void settle() {
        pulses(2);
        until("the panes show what was asked for", window::isSettled);
        pulses(2);
    }

    /** Presses keys together and releases them. */
    void key(KeyCode... keys) {
        for (KeyCode key : keys) {
            run(() -> robot.keyPress(key));
        }
        for (int i = keys.length - 1; i >= 0; i--) {
            KeyCode key = keys[i];
            run(() -> robot.keyRelease(key));
        }
        pulses(2);
    }

    void press(KeyCode key) {
        run(() -> robot.keyPress(key));
        pulses(1);
    }

    void release(KeyCode key) {
        run(() -> robot.keyRelease(key));
        pulses(1);
    }

    /** Types digits, points and signs. */
    void type(String text) {
        for (char c : text.toCharArray()) {
            if (c == '+') {
                key(KeyCode.SHIFT, KeyCode.EQUALS);
            } else if (c == '*') {
                key(KeyCode.SHIFT, KeyCode.DIGIT8);
            } else {
                key(
                        switch (c) {
                            case '.' -> KeyCode.PERIOD;
                            case '-' -> KeyCode.MINUS;
                            case ',' -> KeyCode.COMMA;
                            case ' ' -> KeyCode.SPACE;
                            default -> KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(c)));
                        });
            }
        }
    }

    /** The root of the scene. Call on the interface thread. */
    Node root() {
        return stage.getScene().getRoot();
    }

    /** Looks up a node. Call on the interface thread. */
    Node look(String selector) {
        return stage.getScene().getRoot().lookup(selector);
    }

    /** Waits for a node that is being built. Call off the interface thread. */
    Node find(String selector) {
        if (!Platform.isFxApplicationThread()) {
            until("its controls are built", () -> !window.unsettled().contains("the controls"));
        }
        Node node = on(() -> stage.getScene().getRoot().lookup(selector));
        if (node == null) {
            throw new AssertionError("there is no " + selector + " in the window");
        }
        return node;
    }

    /** The position of a point of a node on the screen, after layout. */
    private static Point2D at(Node node, double x, double y) {
        pulses(2);
        return on(
                () -> {
                    Bounds b = node.getLayoutBounds();
                    return node.localToScreen(
                            b.getMinX() + x * b.getWidth(), b.getMinY() + y * b.getHeight());
                });
    }

    /** Moves the pointer to a point of a node, given as shares of its width and height. */
    void move(Node node, double x, double y) {
        Point2D to = at(node, x, y);
        run(() -> robot.mouseMove(to));
        pulses(1);
    }

    void click(Node node) {
        click(node, 0.5, 0.5, 1, MouseButton.PRIMARY);
    }

    void click(String selector) {
        click(find(selector));
    }

    void click(Node node, double x, double y, int times, MouseButton button) {
        move(node, x, y);
        for (int i = 0; i < times; i++) {
            run(() -> robot.mousePress(button));
            run(() -> robot.mouseRelease(button));
        }
        pulses(2);
    }

    /** Imports files and waits for the picture. */
    void importFile(Path... files) {
        run(() -> window.take(List.of(files)));
        until("the item appears", () -> on(window::hasPicture));
        settle();
    }

    /** Shows a frame. */
    void go(long frame) {
        run(() -> window.view().frame.set(frame));
        settle();
    }

    /** Chooses an item from the context menu of a node. */
    void fromMenu(String id, String item) {
        Node node =
                on(
                        () ->
                                stage.getScene().getRoot().lookupAll("*").stream()
                                        .filter(n -> id.equals(n.getId()))
                                        .findFirst()
                                        .orElseThrow());
        run(
                () ->
                        node.fireEvent(
                                new ContextMenuEvent(
                                        ContextMenuEvent.CONTEXT_MENU_REQUESTED,
                                        5,
                                        5,
                                        5,
                                        5,
                                        false,
                                        null)));
        run(
                () -> {
                    ContextMenu menu =
                            Window.getWindows().stream()
                                    .filter(ContextMenu.class::isInstance)
                                    .map(ContextMenu.class::cast)
                                    .findFirst()
                                    .orElseThrow();
                    MenuItem found =
                            menu.getItems().stream()
                                    .filter(i -> item.equals(i.getText()))
                                    .findFirst()
                                    .orElseThrow();
                    menu.hide();
                    found.fire();
                });
    }

    /** Chooses an item from a menu button. */
    void choose(String menu, String item) {
        MenuButton button = (MenuButton) find(menu);
        run(
                () -> {
                    button.show();
                    MenuItem found =
                            button.getItems().stream()
                                    .filter(i -> item.equals(i.getText()))
                                    .findFirst()
                                    .orElseThrow();
                    button.hide();
                    found.fire();
                });
        settle();
    }

    /** Looks up an item of the open menu. Call on the interface thread. */
    Node inMenu(String selector) {
        return Window.getWindows().stream()
                .filter(ContextMenu.class::isInstance)
                .map(w -> w.getScene().getRoot().lookup(selector))
                .filter(java.util.Objects::nonNull)
                .findFirst()
                .orElseThrow();
    }

    /** Resizes the window. Call on the interface thread. */
    void resize(double width, double height) {
        stage.setWidth(width);
        stage.setHeight(height);
    }

    /** Types a number into a field. */
    void number(String field, String to) {
        Node found = find(field);
        run(found::requestFocus);
        key(KeyCode.ENTER);
        type(to);
        key(KeyCode.ENTER);
        settle();
    }

    /** Renders the first frame of the project at full quality. */
    Frame rendered() {
        return rendered(window.session().project());
    }

    Frame rendered(Project project) {
        FrameCache cache = new FrameCache(1 << 28);
        try (MediaPictures pictures = new MediaPictures(Workers.shared(), cache)) {
            return new Renderer(pictures, Workers.shared(), cache)
                    .render(Planner.plan(project, 0), 1, Cancellation.NEVER);
        }
    }

    /** The pixels of a node. */
    int[] pixels(Node node) {
        return on(
                () -> {
                    WritableImage image = node.snapshot(null, null);
                    int width = (int) image.getWidth();
                    int height = (int) image.getHeight();
                    int[] pixels = new int[width * height];
                    image.getPixelReader()
                            .getPixels(
                                    0,
                                    0,
                                    width,
                                    height,
                                    PixelFormat.getIntArgbInstance(),
                                    pixels,
                                    0,
                                    width);
                    return pixels;
                });
    }

    /** Drags from a point of a node by a distance in pixels. */
    void drag(Node node, double x, double y, double dx, double dy) {
        Point2D from = at(node, x, y);
        run(() -> robot.mouseMove(from));
        run(() -> robot.mousePress(MouseButton.PRIMARY));
        for (int i = 1; i <= 5; i++) {
            Point2D to = from.add(dx * i / 5, dy * i / 5);
            run(() -> robot.mouseMove(to));
            pulses(1);
        }
        run(() -> robot.mouseRelease(MouseButton.PRIMARY));
        pulses(2);
    }

    String text(String selector) {
        Node node = find(selector);
        return on(
                () ->
                        node instanceof javafx.scene.control.Labeled l
                                ? l.getText()
                                : ((javafx.scene.control.TextInputControl) node).getText());
    }

    /** The selected look. */
    Look selectedLook() {
        return on(() -> window.session().state().look().orElseThrow());
    }

    /** The channel settings of the first step of the selected look. */
    List<ChannelSettings> channels() {
        return selectedLook().steps().getFirst().channels();
    }

    /** All visible texts of the window. */
    List<String> words() {
        return on(
                () -> {
                    List<String> words = new ArrayList<>();
                    collect(stage.getScene().getRoot(), words);
                    return words;
                });
    }

    private static void collect(Node node, List<String> words) {
        if (!node.isVisible()) {
            return;
        }
        if (node instanceof javafx.scene.control.Labeled l && l.getText() != null) {
            words.add(l.getText());
        }
        if (node instanceof javafx.scene.Parent p) {
            p.getChildrenUnmodifiable().forEach(n -> collect(n, words));
        }
    }

    @Override
    public void close() {
        run(window::close);
    }
}
