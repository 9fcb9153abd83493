package ivrik.app.controls;

import static ivrik.app.widget.Controls.hint;
import static ivrik.app.widget.Controls.quiet;

import ivrik.app.session.ColourCastMeasurement;
import ivrik.app.session.State;
import ivrik.app.widget.ListenWhileShown;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.measure.ColourCast;

import javafx.geometry.HPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Measured colour cast: averages before and after, whether the measurement is up to date, and a button to
 * measure again.
 */
final class ColourCastPart extends VBox {
    private static final List<String> ZONES = List.of("shadows", "midtones", "highlights");

    private final ColourCastMeasurement colourCasts;
    private final Label status = hint("");
    private final GridPane averages = new GridPane(14, 2);
    private Look shown;
    private Step step;

    ColourCastPart(ColourCastMeasurement colourCasts) {
        this.colourCasts = colourCasts;
        Button measure = new Button("Measure shot");
        measure.setId("measure-colour-cast");
        measure.setTooltip(
                new Tooltip(
                        "Measures how the treated channels change the average colour of this shot,"
                                + " using several frames, and corrects it"));
        measure.setOnAction(e -> colourCasts.correct());
        status.setId("colour-cast-text");
        averages.setId("colour-cast-averages");
        setSpacing(6);
        getChildren().addAll(measure, status, averages);
        ListenWhileShown.listen(this, this::showAverages, colourCasts.measured());
    }

    void show(State state) {
        step = state.step().orElseThrow();
        Look look = state.look().orElseThrow();
        if (look != shown) {
            shown = look;
            colourCasts.compare(look, step, this::say);
        }
        showAverages();
    }

    private void say(Optional<Boolean> stale) {
        status.setText(
                stale.isEmpty()
                        ? "Not measured yet."
                        : stale.get()
                                ? "The channels have changed since the measurement. Measure again."
                                : "Measurement is up to date.");
    }

    private void showAverages() {
        averages.getChildren().clear();
        ColourCast colourCast = step == null ? null : colourCasts.measured().get().get(step.id());
        if (colourCast == null) {
            return;
        }
        averages.addRow(0, quiet("average, %"), head("red"), head("green"), head("blue"));
        for (int zone = 0; zone < ColourCast.ZONES; zone++) {
            row(2 * zone + 1, ZONES.get(zone), colourCast.before(zone));
            row(2 * zone + 2, "treated", colourCast.after(zone));
        }
    }

    private void row(int at, String what, double[] rgb) {
        averages.add(quiet(what), 0, at);
        for (int c = 0; c < rgb.length; c++) {
            Label number = new Label(String.format(Locale.ROOT, "%.1f", 100 * rgb[c]));
            number.getStyleClass().add("number");
            GridPane.setHalignment(number, HPos.RIGHT);
            averages.add(number, c + 1, at);
        }
    }

    private static Label head(String channel) {
        Label head = quiet(channel);
        GridPane.setHalignment(head, HPos.RIGHT);
        return head;
    }
}
