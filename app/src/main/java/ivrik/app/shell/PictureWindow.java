package ivrik.app.shell;

import ivrik.app.pane.PicturePane;
import ivrik.app.session.View;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.event.Event;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Screen;
import javafx.stage.Stage;

import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * The picture in a separate window, on a second screen if there is one; a double click fills that screen.
 * Keys work as in the main window.
 */
final class PictureWindow {
    private final Stage main;
    private final View view;
    private final PanePictures pictures;
    private final Supplier<PicturePane> makePane;
    private final ObjectProperty<View.Show> show = new SimpleObjectProperty<>(View.Show.RESULT);
    private Stage stage;
    private PanePictures.Pane pane;

    /**
     * @param main the main window
     * @param makePane creates the pane
     */
    PictureWindow(Stage main, View view, PanePictures pictures, Supplier<PicturePane> makePane) {
        this.main = main;
        this.view = view;
        this.pictures = pictures;
        this.makePane = makePane;
        view.ownWindow.addListener(
                (o, was, is) -> {
                    if (is) {
                        open();
                    } else {
                        close();
                    }
                });
    }

    private void open() {
        PicturePane picture = makePane.get();
        stage = new Stage();
        stage.setTitle("Picture - Ivrik");
        Scene scene = new Scene(picture, 960, 540);
        scene.getStylesheets().setAll(main.getScene().getStylesheets());
        scene.addEventFilter(KeyEvent.ANY, this::toMain);
        picture.setOnMouseClicked(
                e -> {
                    if (e.getClickCount() == 2) {
                        stage.setFullScreen(!stage.isFullScreen());
                    }
                });
        stage.setScene(scene);
        stage.setFullScreenExitHint("");
        onSecondScreen();
        stage.setOnHidden(e -> view.ownWindow.set(false));
        stage.show();
        Consumer<String> title = detail -> stage.setTitle("Ivrik picture: " + detail);
        pane = new PanePictures.Pane(title, picture, show);
        pictures.add(pane);
    }

    private void onSecondScreen() {
        Rectangle2D first =
                new Rectangle2D(main.getX(), main.getY(), main.getWidth(), main.getHeight());
        Screen.getScreens().stream()
                .map(Screen::getVisualBounds)
                .filter(bounds -> !bounds.intersects(first))
                .findFirst()
                .ifPresent(
                        bounds -> {
                            stage.setX(bounds.getMinX());
                            stage.setY(bounds.getMinY());
                            stage.setWidth(bounds.getWidth());
                            stage.setHeight(bounds.getHeight());
                        });
    }

    private void toMain(KeyEvent e) {
        if (e.getCode() == KeyCode.ESCAPE && stage.isFullScreen()) {
            return;
        }
        Scene scene = main.getScene();
        Event.fireEvent(
                scene.getFocusOwner() == null ? scene.getRoot() : scene.getFocusOwner(),
                e.copyFor(scene, scene));
        e.consume();
    }

    /** Closes the window. */
    void close() {
        if (stage != null) {
            Stage shown = stage;
            stage = null;
            pictures.remove(pane);
            shown.setOnHidden(null);
            shown.close();
        }
    }
}
