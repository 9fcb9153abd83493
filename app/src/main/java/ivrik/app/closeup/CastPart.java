package ivrik.app.closeup;

import static ivrik.app.control.Controls.hint;
import static ivrik.app.control.Controls.quiet;

import ivrik.app.control.WhileShown;
import ivrik.app.session.Casts;
import ivrik.app.session.State;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.measure.Cast;

import javafx.geometry.HPos;
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
    private final GridPane averages = new GridPane(14, 2);
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
        averages.addRow(0, quiet("in per cent"), head("red"), head("green"), head("blue"));
        for (int zone = 0; zone < Cast.ZONES; zone++) {
            row(2 * zone + 1, ZONES.get(zone), cast.before(zone));
            row(2 * zone + 2, "as treated", cast.after(zone));
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
