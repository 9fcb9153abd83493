package ivrik.app.shell;

import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.theme.Palette;

import javafx.beans.property.ObjectProperty;

/** Colour scheme and text size of the window; both persist. */
final class Appearance {
    private static final double TEXT_PX = 13;

    private final View view;
    private final SavedPreferences remembered;
    private final Sheets window;
    private final ObjectProperty<Palette> palette;

    /**
     * @param window the scene's content
     * @param palette set to the palette of the scheme
     */
    Appearance(
            View view,
            SavedPreferences remembered,
            Sheets window,
            ObjectProperty<Palette> palette) {
        this.view = view;
        this.remembered = remembered;
        this.window = window;
        this.palette = palette;
    }

    /** Applies the saved appearance and follows the view. */
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
