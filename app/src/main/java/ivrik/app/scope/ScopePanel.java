package ivrik.app.scope;

import ivrik.app.picture.ShownFrame;
import ivrik.app.session.LatestTask;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.core.measure.Scope;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/**
 * A scope beside the picture, of the whole shown picture or a region, with the untouched picture behind.
 * Updates during drags and playback; the latest picture wins.
 */
public final class ScopePanel extends VBox {
    private static final double WIDE = 264;

    private final View view;
    private final ObjectProperty<Palette> palette;
    private final ScopeDrawing drawing;
    private final MenuButton choice;
    private final ToggleButton part =
            Controls.toggle(
                    "scope-part",
                    "region",
                    "Measures a region only: click two opposite corners in the picture");
    private final Label hint = Controls.hint("");
    private final LatestTask counting = new LatestTask();
    private ScopeKind kind = ScopeKind.WAVEFORM;
    private ShownFrame result;
    private ShownFrame source;

    public ScopePanel(View view, ObjectProperty<Palette> palette) {
        this.view = view;
        this.palette = palette;
        drawing = new ScopeDrawing(palette);
        choice = Controls.menu("scope-kind", "Choose a scope");
        for (ScopeKind each : ScopeKind.values()) {
            choice.getItems().add(Controls.item(each, each.title(), () -> choose(each)));
        }
        part.setOnAction(e -> part());
        HBox head = new HBox(8, choice, part);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().addAll("strip", "pane-head");
        VBox.setVgrow(drawing, Priority.ALWAYS);
        hint.getStyleClass().add("scope-hint");
        hint.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(head, drawing, hint);
        getStyleClass().add("scopes");
        setPrefWidth(WIDE);
        setMinWidth(WIDE);
        view.measured.addListener((o, a, b) -> count());
        palette.addListener((o, a, b) -> count());
        view.scopes.addListener((o, a, b) -> count());
        choose(kind);
    }

    private void choose(ScopeKind chosen) {
        kind = chosen;
        Controls.show(choice, kind, kind.title());
        hint.setText(kind.help());
        count();
    }

    /** Returns to the whole picture, or selects the region between the next two clicks. */
    private void part() {
        if (!part.isSelected()) {
            view.measured.set(null);
            hint.setText(kind.help());
            return;
        }
        hint.setText("Click one corner of the region in the picture");
        view.sampling.set(
                from -> {
                    hint.setText("Click the opposite corner");
                    view.sampling.set(
                            to -> {
                                view.measured.set(between(from, to));
                                hint.setText(kind.help());
                            });
                });
    }

    private static Rectangle2D between(Point2D a, Point2D b) {
        return new Rectangle2D(
                Math.max(0, Math.min(a.getX(), b.getX())),
                Math.max(0, Math.min(a.getY(), b.getY())),
                Math.abs(a.getX() - b.getX()),
                Math.abs(a.getY() - b.getY()));
    }

    /**
     * Shows the scope of another picture.
     *
     * @param untouched null if there is none
     */
    public void show(ShownFrame picture, ShownFrame untouched) {
        result = picture;
        source = untouched;
        count();
    }

    private void count() {
        if (!view.scopes.get()) {
            return;
        }
        ShownFrame now = result;
        ShownFrame before = source;
        if (now == null) {
            drawing.show(kind, null);
            return;
        }
        ScopeKind asked = kind;
        Rectangle2D within = view.measured.get();
        int[] inks = inks(palette.get());
        counting.ask(
                cancel ->
                        ScopeImage.of(
                                asked,
                                scope(now, within),
                                before == null ? null : scope(before, within),
                                inks),
                pixels -> drawing.show(asked, pixels));
    }

    private static Scope scope(ShownFrame shown, Rectangle2D within) {
        Size size = shown.size();
        return new Scope(
                shown.pixels(),
                size,
                within == null ? Region.all(size) : region(within, shown.scale()));
    }

    /** The region of a picture at a scale. */
    private static Region region(Rectangle2D within, double scale) {
        return new Region(
                (int) Math.floor(within.getMinX() * scale),
                (int) Math.floor(within.getMinY() * scale),
                (int) Math.ceil(within.getWidth() * scale),
                (int) Math.ceil(within.getHeight() * scale));
    }

    private static int[] inks(Palette p) {
        return new int[] {
            word(p.colour("ink-red")),
            word(p.colour("ink-green")),
            word(p.colour("ink-blue")),
            0xe6e2da
        };
    }

    private static int word(Color c) {
        return (int) Math.round(c.getRed() * 255) << 16
                | (int) Math.round(c.getGreen() * 255) << 8
                | (int) Math.round(c.getBlue() * 255);
    }

    /** Whether the latest picture is shown. */
    public boolean isSettled() {
        return !counting.isBusy();
    }
}
