package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.Step;
import ivrik.core.treatment.CastOff;
import ivrik.core.treatment.Gain;

import org.junit.jupiter.api.Test;

import java.util.List;

/** The cast of lanes taken out in one press, measured again, and stale when the lanes change. */
class CastWindowTest extends OneFrame {
    private Step cast() {
        return look().steps().stream()
                .filter(s -> s.kind() instanceof CastOff)
                .findFirst()
                .orElseThrow();
    }

    private double of(String name) {
        return cast().amounts(0).value(name).at(0);
    }

    @Test
    void isTakenOutInOnePressAndSaysWhenTheLanesAreOthers() {
        add(new Gain());
        set(1, 0, "gain", 130);
        set(1, 2, "gain", 70);
        d.settle();
        add(new CastOff());
        assertThat(columns()).endsWith("cast-off");
        assertThat(of("amount")).isEqualTo(100);
        assertThat(of("middle-red")).as("red was lifted").isLessThan(-3);
        assertThat(of("middle-blue")).as("blue was lowered").isGreaterThan(3);
        assertThat(d.text("#cast-word")).startsWith("Measured of the lanes as they are");
        assertThat(d.words()).contains("as treated", "shadows", "middle", "lights");

        set(1, 2, "gain", 100);
        d.settle();
        assertThat(d.text("#cast-word")).contains("measure again");
        double before = of("middle-blue");
        d.click("#measure-cast");
        d.settle();
        assertThat(d.text("#cast-word")).startsWith("Measured of the lanes as they are");
        assertThat(of("middle-blue")).isLessThan(before);
        assertThat(columns()).as("no second one").containsOnlyOnce("cast-off");

        Driver.run(() -> d.window.session().undo());
        d.settle();
        assertThat(of("middle-blue")).isEqualTo(before);
    }

    @Test
    void aStepThatWasNeverMeasuredSaysSo() {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "by hand",
                                        l ->
                                                l.withStepAdded(
                                                        Step.atRest("cast-1", new CastOff(), 3))));
        Driver.run(() -> d.window.session().selectCell("cast-1", 0));
        d.settle();
        assertThat(d.text("#cast-word")).isEqualTo("Nothing is measured yet.");
        assertThat(List.of(of("shadows-red"), of("lights-blue"))).containsOnly(0.0);
    }
}
