package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.Step;
import ivrik.core.treatment.CastCorrection;
import ivrik.core.treatment.Gain;

import org.junit.jupiter.api.Test;

import java.util.List;

/**
 * The colour cast of the channels is corrected by one press, and marked as outdated after an edit.
 */
class ColourCastWindowTest extends OneFrame {
    private Step colourCast() {
        return look().steps().stream()
                .filter(s -> s.kind() instanceof CastCorrection)
                .findFirst()
                .orElseThrow();
    }

    private double of(String name) {
        return colourCast().settings(0).value(name).at(0);
    }

    @Test
    void onePressCorrectsTheCastAndChangesMarkItOutdated() {
        add(new Gain());
        set(1, 0, "gain", 130);
        set(1, 2, "gain", 70);
        d.settle();
        add(new CastCorrection());
        assertThat(columns()).endsWith("cast-correction");
        assertThat(of("amount")).isEqualTo(100);
        assertThat(of("midtones-red")).as("red was raised").isLessThan(-3);
        assertThat(of("midtones-blue")).as("blue was lowered").isGreaterThan(3);
        assertThat(d.text("#colour-cast-text")).startsWith("Measurement is up to date");
        assertThat(d.words()).contains("treated", "shadows", "midtones", "highlights");

        set(1, 2, "gain", 100);
        d.settle();
        assertThat(d.text("#colour-cast-text")).contains("Measure again");
        double before = of("midtones-blue");
        d.click("#measure-colour-cast");
        d.settle();
        assertThat(d.text("#colour-cast-text")).startsWith("Measurement is up to date");
        assertThat(of("midtones-blue")).isLessThan(before);
        assertThat(columns()).as("no second file").containsOnlyOnce("cast-correction");

        Driver.run(() -> d.window.session().undo());
        d.settle();
        assertThat(of("midtones-blue")).isEqualTo(before);
    }

    @Test
    void anUnmeasuredStepSaysSo() {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "by hand",
                                        l ->
                                                l.withStepAdded(
                                                        Step.atRest(
                                                                "cast-1",
                                                                new CastCorrection(),
                                                                3))));
        Driver.run(() -> d.window.session().selectCell("cast-1", 0));
        d.settle();
        assertThat(d.text("#colour-cast-text")).isEqualTo("Not measured yet.");
        assertThat(List.of(of("shadows-red"), of("highlights-blue"))).containsOnly(0.0);
    }
}
