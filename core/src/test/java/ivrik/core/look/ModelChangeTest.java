package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.LookJson;
import ivrik.core.motion.Value;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separations;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;

class ModelChangeTest {
    private static final Look SPLIT =
            BuiltInLooks.named("rgb-split")
                    .withSettings(0, 0, a -> a.with("x", Value.of(5)))
                    .withSettings(0, 2, a -> a.with("y", Value.of(-3)))
                    .withChannel(2, s -> s.withMute(true).withInk(Optional.of(Ink.YELLOW)));

    private static double amount(Look look, int channel, String parameter) {
        return look.steps().getFirst().channels().get(channel).value(parameter).rest();
    }

    @Test
    void redBecomesCyanWithAllItsSettings() {
        ModelChange change = ModelChange.of(SPLIT, Separations.named("cmyk"));
        Look look = change.look();
        assertThat(change.kept()).isEmpty();
        assertThat(look.separation()).isEqualTo("cmyk");
        assertThat(look.channels()).hasSize(4);
        assertThat(amount(look, 0, "x")).isEqualTo(5);
        assertThat(amount(look, 2, "y")).isEqualTo(-3);
        assertThat(amount(look, 3, "x")).isZero();
        assertThat(look.channels().get(2).mute()).isTrue();
        assertThat(look.channels().get(2).ink()).isEmpty();
        assertThat(look.order()).containsExactly(0, 1, 2, 3);
        assertThat(look.dials()).hasSameSizeAs(SPLIT.dials());
    }

    @Test
    void settingsWithoutCounterpartRestAndAreNamed() {
        ModelChange change = ModelChange.of(SPLIT, Separations.named("oklab"));
        assertThat(change.kept())
                .startsWith("Red", "Blue")
                .doesNotContain("Green")
                .contains("the dial Red x");
        for (int channel = 0; channel < 3; channel++) {
            assertThat(amount(change.look(), channel, "x")).isZero();
        }
        assertThat(change.look().steps()).hasSize(1);
    }

    @Test
    void lightnessAndOpponentChannelsAreCounterparts() {
        Look lab =
                ModelChange.of(SPLIT, Separations.named("ycbcr-709"))
                        .look()
                        .withSettings(0, 0, a -> a.with("x", Value.of(1)))
                        .withSettings(0, 1, a -> a.with("x", Value.of(2)))
                        .withSettings(0, 2, a -> a.with("x", Value.of(3)));
        Look there = ModelChange.of(lab, Separations.named("lab")).look();
        assertThat(amount(there, 0, "x")).isEqualTo(1);
        assertThat(there.model().channels().get(1).id()).isEqualTo("a");
        assertThat(amount(there, 1, "x")).as("red against green").isEqualTo(3);
        assertThat(amount(there, 2, "x")).as("blue against yellow").isEqualTo(2);
    }

    @Test
    void everyLookIsReadAsItWasWrittenAfterAChangeOfItsModel() {
        for (BuiltInLook builtIn : BuiltInLooks.shelf()) {
            Look look = builtIn.withExampleSettings();
            Look lab = ModelChange.of(look, Separations.named("lab")).look();
            Look cmyk = ModelChange.of(lab, Separations.named("cmyk")).look();
            assertThat(LookJson.read(LookJson.write(cmyk)).look()).as(look.name()).isEqualTo(cmyk);
        }
    }

    @Test
    void settingsWithoutCounterpartReturnWithTheirModel() {
        Look edited = SPLIT.withDials(List.of(SPLIT.dials().getFirst()));
        Look there = ModelChange.of(edited, Separations.named("oklab")).look();
        Look back =
                ModelChange.of(
                                there.withSettings(0, 0, a -> a.with("x", Value.of(7))),
                                Separations.named("rgb"))
                        .look();
        assertThat(back.withOtherModels(List.of())).isEqualTo(edited);
        Look again = ModelChange.of(back, Separations.named("oklab")).look();
        assertThat(amount(again, 0, "x")).isEqualTo(7);
    }

    @Test
    void settingsOfRemovedTreatmentsStayAway() {
        Look there = ModelChange.of(SPLIT, Separations.named("oklab")).look();
        Look without = there.withoutStep(there.steps().getFirst().id());
        Look back = ModelChange.of(without, Separations.named("rgb")).look();
        assertThat(back.steps()).isEmpty();
        assertThat(back.dials()).hasSameSizeAs(without.dials());
    }

    @Test
    void anotherBlackGenerationKeepsNothingForItsOwnModel() {
        Look cmyk =
                ModelChange.of(SPLIT, Separations.named("cmyk"))
                        .look()
                        .withChannel(0, s -> s.withInk(Optional.of(Ink.YELLOW)));
        Look half = ModelChange.of(cmyk, Separations.named("cmyk:0.5")).look();
        assertThat(half.otherModels()).noneMatch(l -> l.separation().startsWith("cmyk"));
    }

    @Test
    void keptSettingsAreInTheFile() {
        Look there = ModelChange.of(SPLIT, Separations.named("oklab")).look();
        assertThat(LookJson.read(LookJson.write(there)).look()).isEqualTo(there);
    }

    @Test
    void modelsWithCounterpartsRoundTrip() {
        Look plain = SPLIT.withChannel(2, s -> s.withInk(Optional.empty()));
        Look back =
                ModelChange.of(
                                ModelChange.of(plain, Separations.named("lms")).look(),
                                Separations.named("rgb"))
                        .look();
        assertThat(back).isEqualTo(plain);
    }
}
