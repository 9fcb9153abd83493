package ivrik.app.shell;

import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.theme.Palette;

import javafx.beans.property.ObjectProperty;

/** How the window looks: bright or as a darkroom, and how large its text is; both are remembered. */
final class Appearance {
    private static final double TEXT_PX = 13;

    private final View view;
    private final Remembered remembered;
    private final Sheets window;
    private final ObjectProperty<Palette> palette;

    /**
     * @param window all that is in it, on its scene
     * @param palette set to what goes with it
     */
    Appearance(View view, Remembered remembered, Sheets window, ObjectProperty<Palette> palette) {
        this.view = view;
        this.remembered = remembered;
        this.window = window;
        this.palette = palette;
    }

    /** As it was left, and from now on as the view says. */
    void follow() {
        view.darkroom.set(remembered.get().darkroom());
        view.textScale.set(remembered.get().textScale());
        view.darkroom.addListener((o, a, b) -> show());
        view.textScale.addListener((o, a, b) -> show());
        show();
    }

    private void show() {
        double text = view.textScale.get();
        Palette next = Palette.of(view.darkroom.get(), text);
        window.getScene().getStylesheets().setAll(next.sheets());
        window.setStyle("-fx-font-size: " + TEXT_PX * text + "px");
        palette.set(next);
        remembered.change(s -> s.withDarkroom(view.darkroom.get()).withTextScale(text));
    }
}
