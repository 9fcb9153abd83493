package ivrik.app.closeup;

import static ivrik.app.control.Controls.hint;

import ivrik.app.control.WhileShown;
import ivrik.app.session.Casts;
import ivrik.app.session.State;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.measure.Cast;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What was measured of a cast: the averages before and after, whether they still hold, and measuring again. */
final class CastPart extends VBox {
    private static final List<String> ZONES = List.of("shadows", "middle", "lights");

    private final Casts casts;
    private final Label word = hint("");
    private final GridPane averages = new GridPane(10, 2);
    private Look shown;
    private Step step;

    CastPart(Casts casts) {
        this.casts = casts;
        Button measure = new Button("Measure this shot");
        measure.setId("measure-cast");
        measure.setTooltip(
                new Tooltip(
                        "Measures what the lanes do to the average colour of this shot, over some"
                                + " of its frames, and takes it out"));
        measure.setOnAction(e -> casts.takeOut());
        word.setId("cast-word");
        averages.setId("cast-averages");
        setSpacing(6);
        getChildren().addAll(measure, word, averages);
        WhileShown.listen(this, this::showAverages, casts.measured());
    }

    void show(State state) {
        step = state.step().orElseThrow();
        Look look = state.look().orElseThrow();
        if (look != shown) {
            shown = look;
            casts.compare(look, step, this::say);
        }
        showAverages();
    }

    private void say(Optional<Boolean> stale) {
        word.setText(
                stale.isEmpty()
                        ? "Nothing is measured yet."
                        : stale.get()
                                ? "The lanes are others than when it was measured: measure again."
                                : "Measured of the lanes as they are.");
    }

    private void showAverages() {
        averages.getChildren().clear();
        Cast cast = step == null ? null : casts.measured().get().get(step.id());
        if (cast == null) {
            return;
        }
        averages.addRow(0, hint("in per cent"), hint("untouched"), hint("treated"));
        for (int zone = 0; zone < Cast.ZONES; zone++) {
            averages.addRow(
                    zone + 1,
                    hint(ZONES.get(zone)),
                    numbers(cast.before(zone)),
                    numbers(cast.after(zone)));
        }
    }

    private static Label numbers(double[] rgb) {
        Label label =
                new Label(
                        String.format(
                                Locale.ROOT,
                                "%.1f %.1f %.1f",
                                100 * rgb[0],
                                100 * rgb[1],
                                100 * rgb[2]));
        label.getStyleClass().add("number");
        return label;
    }
}
