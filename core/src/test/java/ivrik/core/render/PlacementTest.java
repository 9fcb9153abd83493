package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Placement;
import ivrik.core.look.Placement.Fit;
import ivrik.core.look.Shutter;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Background;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;

import java.util.List;

/** Pictures at their position, in sequences larger than the pictures. */
class PlacementTest {
    private static final Look REST = BuiltInLooks.named("neutral");

    private final Frame picture = Pictured.frame(24, 16);
    private final Scene scene = new Scene(picture);

    private Frame placed(Placement place) {
        return scene.render(scene.project(REST).withLayer("l", l -> l.withPlacement(place)), 0);
    }

    private float red(Frame frame, int x, int y) {
        return frame.premultiplied(Workers.shared()).colour().getFirst().at(x, y);
    }

    @Test
    void aNeutralPlacementIsExact() {
        assertThat(placed(Placement.FITTED)).isSameAs(picture);
    }

    @Test
    void wholePixelShiftsAreExactWithTransparencyBehind() {
        Frame out = placed(Placement.FITTED.withX(Value.of(5)).withY(Value.of(-3)));
        for (int y = 0; y < 13; y++) {
            for (int x = 5; x < 24; x++) {
                assertThat(red(out, x, y)).isEqualTo(red(picture, x - 5, y + 3));
            }
        }
        assertThat(out.coverage().getFirst().at(4, 5)).isZero();
        assertThat(out.coverage().getFirst().at(5, 5)).isEqualTo(1f);
        assertThat(out.coverage().getFirst().at(10, 13)).isZero();
    }

    @Test
    void flipsAndHalfTurnsAreExact() {
        Frame flipped = placed(Placement.FITTED.withFlips(true, false));
        Frame turned = placed(Placement.FITTED.withAngleDegrees(Value.of(180)));
        for (int y = 0; y < 16; y++) {
            for (int x = 0; x < 24; x++) {
                assertThat(red(flipped, x, y)).isEqualTo(red(picture, 23 - x, y));
                assertThat(red(turned, x, y)).isEqualTo(red(picture, 23 - x, 15 - y));
            }
        }
    }

    @Test
    void aQuarterTurnIsClockwise() {
        Size square = new Size(9, 9);
        Plane dot = Plane.of(9, 9);
        dot.data()[0] = 1; // top left
        Scene dots = new Scene(Frame.opaque(dot, dot, dot));
        Frame out =
                dots.render(
                        dots.project(REST)
                                .withLayer(
                                        "l",
                                        l ->
                                                l.withPlacement(
                                                        Placement.FITTED.withAngleDegrees(
                                                                Value.of(90)))),
                        0);
        assertThat(out.size()).isEqualTo(square);
        assertThat(red(out, 8, 0)).as("top right").isEqualTo(1f);
        assertThat(red(out, 0, 0)).isZero();
    }

    @Test
    void thePivotIsFixed() {
        Plane dot = Plane.of(9, 9);
        dot.data()[0] = 1; // top left, 4 px from the middle in both directions
        Scene dots = new Scene(Frame.opaque(dot, dot, dot));
        Placement corner = Placement.FITTED.withPivotX(Value.of(-4)).withPivotY(Value.of(-4));
        Project turned =
                dots.project(REST)
                        .withLayer(
                                "l", l -> l.withPlacement(corner.withAngleDegrees(Value.of(90))));
        Frame out = dots.render(turned, 0);
        assertThat(red(out, 0, 0)).isEqualTo(1f);
        assertThat(red(out, 8, 0)).isZero();
        // At scale 2 the dot's centre is fixed; 3 px right of it is 1.5 px before scaling.
        Project larger =
                dots.project(REST)
                        .withLayer("l", l -> l.withPlacement(corner.withScale(Value.of(2))));
        Frame twice = dots.render(larger, 0);
        assertThat(red(twice, 0, 0)).isGreaterThan(0.7f);
        assertThat(red(twice, 3, 3)).isCloseTo(0, within(1e-3f));
        Project about =
                dots.project(REST)
                        .withLayer(
                                "l", l -> l.withPlacement(Placement.FITTED.withScale(Value.of(2))));
        assertThat(red(dots.render(about, 0), 0, 0)).as("around the middle").isZero();
    }

    @Test
    void layerMovesUseTheShutterOfTheFirstLook() {
        Value moving =
                new Value(
                        0,
                        List.of(
                                new Keyframe(0, 0, Ease.LINEAR),
                                new Keyframe(10, 80, Ease.LINEAR)));
        // 8 px per frame, open for half a frame, starting a sixteenth late: moments at 1, 2, 3 and
        // 4 px.
        Look open = REST.withShutter(new Shutter(Value.of(180), 22.5, 4));
        Project project =
                scene.project(open)
                        .withLayer("l", l -> l.withPlacement(Placement.FITTED.withX(moving)));
        Frame out = scene.render(project, 0).premultiplied(Workers.shared());
        for (int x = 0; x < 24; x++) {
            double colour = 0;
            double coverage = 0;
            for (int right = 1; right <= 4; right++) {
                if (x >= right) {
                    colour += picture.colour().get(0).at(x - right, 5) / 4.0;
                    coverage += 0.25;
                }
            }
            assertThat((double) red(out, x, 5)).isCloseTo(colour, within(1e-6));
            assertThat((double) out.coverage().getFirst().at(x, 5))
                    .isCloseTo(coverage, within(1e-6));
        }
        Frame sharp = scene.render(project.withLayer("l", l -> l.withLook(0, k -> REST)), 0);
        assertThat(sharp.coverage().isEmpty() || red(sharp, 0, 5) == red(picture, 0, 5)).isTrue();
    }

    @Test
    void aSequenceOfAnotherShapeIsFittedFilledOrExact() {
        Project wide =
                scene.project(REST).withSequence(scene.sequence().withSize(new Size(48, 16)));
        Frame fit = scene.render(wide, 0);
        assertThat(fit.coverage().getFirst().at(11, 8)).isZero();
        assertThat(red(fit, 12, 8)).isEqualTo(red(picture, 0, 8));
        Frame fill =
                scene.render(
                        wide.withLayer(
                                "l", l -> l.withPlacement(Placement.FITTED.withFit(Fit.FILL))),
                        0);
        assertThat(fill.coverage().getFirst().at(1, 8)).isCloseTo(1f, within(1e-6f));
        Project larger =
                scene.project(REST)
                        .withSequence(scene.sequence().withSize(new Size(48, 32)))
                        .withLayer(
                                "l",
                                l -> l.withPlacement(Placement.FITTED.withFit(Fit.ORIGINAL_SIZE)));
        assertThat(red(scene.render(larger, 0), 12, 8)).isEqualTo(red(picture, 0, 0));
    }

    @Test
    void separatedLightAddsOnBlack() {
        Look apart = BuiltInLooks.named("rgb-split").withDial("red-x", -8).withDial("blue-x", 8);
        Frame out = scene.render(larger(apart, Background.BLACK), 0);
        assertThat(out.isOpaque()).isTrue();
        assertThat(out.colour().get(0).at(4, 10)).isEqualTo(picture.colour().get(0).at(0, 2));
        assertThat(out.colour().get(1).at(4, 10)).isZero();
        assertThat(out.colour().get(2).at(4, 10)).isZero();
    }

    @Test
    void separatedInkMultipliesOnPaper() {
        Look apart =
                Look.atRest("inks", Separations.named("cmy"), new Shift())
                        .withSettings(0, 0, a -> a.with("x", Value.of(-8)))
                        .withSettings(0, 2, a -> a.with("x", Value.of(8)));
        Frame out = scene.render(larger(apart, Background.PAPER), 0);
        // only cyan covers the left edge: it absorbs red; green and blue stay paper white
        assertThat(out.colour().get(0).at(4, 10))
                .isCloseTo(picture.colour().get(0).at(0, 2), within(1e-6f));
        assertThat(out.colour().get(1).at(4, 10)).isCloseTo(1f, within(1e-6f));
        assertThat(out.colour().get(2).at(4, 10)).isCloseTo(1f, within(1e-6f));
        assertThat(out.colour().get(0).at(0, 0)).as("bare paper").isEqualTo(1f);
        // in the middle all three inks overlap and multiply
        assertThat(out.colour().get(1).at(24, 14))
                .isCloseTo(picture.colour().get(1).at(12, 6), within(1e-6f));
    }

    private Project larger(Look look, Background background) {
        return scene.project(look)
                .withSequence(
                        scene.sequence().withSize(new Size(48, 32)).withBackground(background))
                .withLayer("l", l -> l.withPlacement(Placement.FITTED.withFit(Fit.ORIGINAL_SIZE)));
    }

    @Test
    void opacityAndBlendOfALayerApplyToLayersBelow() {
        Project two =
                scene.project(REST)
                        .withLayers(
                                ivrik.core.look.ListEdits.plus(
                                        scene.project(REST).layers(),
                                        ivrik.core.project.Layer.of(
                                                        "m",
                                                        "m",
                                                        REST,
                                                        new ivrik.core.project.Clip(
                                                                "b", 0, Scene.FRAMES, 0))
                                                .withBlend(Blend.MULTIPLY)
                                                .withOpacity(Value.of(0.5))));
        Frame out = scene.render(two, 0);
        float v = red(picture, 7, 7);
        assertThat(red(out, 7, 7)).isCloseTo(v + 0.5f * (v * v - v), within(1e-6f));
    }
}
