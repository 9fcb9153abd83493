package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.SeparationChange;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Step;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Levels;
import ivrik.core.treatment.Rotate;
import ivrik.core.treatment.Treatments;

import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;

/** A new treatment acts on the selected channel only; grading treatments start without effect. */
class NewTreatmentTest extends OneFrame {
    private List<Double> radii() {
        return look().steps().get(1).channels().stream()
                .map(c -> c.value("radius").rest())
                .toList();
    }

    private void fromTheSheet(String words, KeyCode... add) {
        d.key(KeyCode.INSERT);
        d.type(words);
        d.settle();
        d.key(add);
        d.settle();
    }

    @Test
    void theSelectedChannelShowsAnEffectAndTheOthersAreAtRest() {
        d.key(KeyCode.DIGIT2);
        fromTheSheet("gaussian", KeyCode.ENTER);
        assertThat(columns()).containsExactly("shift", "gaussian");
        assertThat(radii()).containsExactly(0.0, 16.0, 0.0);
    }

    @Test
    void shiftEnterAndTheToggleTreatAllChannelsAlike() {
        fromTheSheet("gaussian", KeyCode.SHIFT, KeyCode.ENTER);
        assertThat(radii()).containsExactly(16.0, 16.0, 16.0);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.key(KeyCode.INSERT);
        d.click("#treat-all-channels");
        d.type("gaussian");
        d.settle();
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(radii()).containsExactly(16.0, 16.0, 16.0);
    }

    @Test
    void anOpponentChannelIsTreatedAlone() {
        Driver.run(
                () ->
                        SeparationChange.change(
                                d.window.session(), d.window.view(), Separations.named("lab")));
        d.key(KeyCode.DIGIT2);
        add(new Rotate());
        assertThat(look().steps().get(1).channels())
                .extracting(c -> c.value("angle").rest())
                .containsExactly(0.0, 1.2, 0.0);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "levels",
                "gain",
                "slope-offset-power",
                "curve",
                "rgb-curves",
                "luma-curve",
                "hue-curve",
                "saturation",
                "exposure",
                "contrast"
            })
    void aGradingTreatmentStartsWithoutEffect(String id) {
        add(Treatments.named(id));
        Step added =
                look().steps().stream()
                        .filter(s -> s.treatment().equals(id))
                        .findFirst()
                        .orElseThrow();
        assertThat(added.channels())
                .containsOnly(ChannelSettings.atRest(added.kind().description()));
        assertThat(d.text("#register")).isEqualTo("exact");
    }

    @Test
    void exampleSettingsAreOfferedInTheControls() {
        add(new Levels());
        Driver.run(() -> ((ButtonBase) d.find("#settings-example")).fire());
        assertThat(settings(1, 0).value("in-low").rest()).isEqualTo(12);
        assertThat(settings(1, 2).value("in-low").rest()).isZero();
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(settings(1, 0).value("in-low").rest()).isZero();
    }
}
