package ivrik.app.pane;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.Arithmetic;
import ivrik.app.widget.Controls;
import ivrik.core.picture.Size;

import javafx.application.Platform;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;

/** Zoom of the picture: a menu of common magnifications, and a field for any other. */
public final class ZoomMenu extends MenuButton {
    private final View view;
    private final PicturePane pane;
    private final TextField field = new TextField();

    public ZoomMenu(Session session, View view, PicturePane pane) {
        this.view = view;
        this.pane = pane;
        setId("zoom");
        setMinWidth(USE_PREF_SIZE);
        getStyleClass().addAll("plain", "bare", "number", "quiet");
        setTooltip(
                new Tooltip(
                        "Zoom of the picture; 100 % shows one image pixel per pixel of the screen."
                            + " Keys: 0 fits the pane, Shift+0 is 100 %, + and - zoom in and out"));
        getItems().add(Controls.item("Fit", view.zoom.get() == 0, () -> view.zoom.set(0)));
        for (double stop : PicturePane.STOPS) {
            getItems().add(Controls.item(percent(stop), () -> to(stop)));
        }
        field.setId("zoom-field");
        field.setPromptText("custom, %");
        field.setPrefColumnCount(7);
        field.setOnAction(e -> typed());
        getItems().add(new CustomMenuItem(field, false));
        Runnable show = () -> setText(percent(pane.zoom()));
        view.zoom.addListener((o, a, b) -> show.run());
        view.deviceScale.addListener((o, a, b) -> show.run());
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!size(was).equals(size(is))) {
                                show.run();
                            }
                        });
        pane.layoutBoundsProperty().addListener((o, a, b) -> Platform.runLater(show));
        setOnShowing(e -> field.clear());
    }

    private static Size size(State state) {
        return state.project().sequence().size();
    }

    private void typed() {
        Arithmetic.of(field.getText().replace("%", ""))
                .ifPresent(
                        percent -> {
                            to(percent / 100);
                            hide();
                        });
    }

    private void to(double zoom) {
        pane.zoomAt(pane.getWidth() / 2, pane.getHeight() / 2, zoom / pane.zoom());
    }

    private static String percent(double zoom) {
        return Math.round(100 * zoom) + " %";
    }
}
