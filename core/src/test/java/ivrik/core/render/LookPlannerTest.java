package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;

/** The parameters of a step, together and one by one. */
class LookPlannerTest {
    private static final Instant LATER = Instant.of(7, Rational.of(24));

    private static void assertSameOneByOne(Look look) {
        LookPlanner planner = new LookPlanner(look, LATER, "here");
        for (Step step : look.steps()) {
            for (int channel = 0; channel < step.channels().size(); channel++) {
                Settings all = planner.settings(step, channel);
                for (String name : all.numbers().keySet()) {
                    assertThat(planner.setting(step, channel, name))
                            .as(look.name() + ", " + step.id() + ", " + name)
                            .isEqualTo(all.number(name));
                }
            }
        }
    }

    @Test
    void aSingleParameterEqualsTheFullPlan() {
        assertThat(BuiltInLooks.all()).isNotEmpty().allSatisfy(LookPlannerTest::assertSameOneByOne);
    }

    @Test
    void aPartialAmountScalesAMove() {
        Look look =
                Look.atRest("shifted", new Rgb(), new Shift())
                        .withSettings(
                                "shift-1",
                                0,
                                a ->
                                        a.with("x", Value.of(8))
                                                .withJitter(Jitter.NONE.withAmount(Value.of(3)))
                                                .with(Parameter.AMOUNT, Value.of(25)));
        Step step = look.steps().getFirst();
        LookPlanner planner = new LookPlanner(look, LATER, "here");
        double jitter = planner.ownJitter(step, 0, step.kind().description().parameter("x"));
        assertThat(jitter).isNotZero();
        assertThat(planner.setting(step, 0, "x")).isEqualTo((8 + jitter) / 4);
        assertThat(planner.setting(step, 0, Parameter.AMOUNT)).isEqualTo(100);
        assertSameOneByOne(look);
    }
}
