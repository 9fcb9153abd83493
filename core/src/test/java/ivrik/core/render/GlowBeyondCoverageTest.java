package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;

/** Halation of a title extends beyond its coverage, as on black. */
class GlowBeyondCoverageTest {
    private static final int W = 96;
    private static final int H = 54;
    private static final Workers WORKERS = Workers.shared();

    private static final Look HALATED = halation(20, 60);

    private static Look halation(double radius, double tail) {
        return Look.atRest("h", new Rgb(), new Halation())
                .withSettings(
                        "halation-1",
                        0,
                        a ->
                                a.with("strength", Value.of(150))
                                        .with("radius", Value.of(radius))
                                        .with("tail", Value.of(tail)));
    }

    /** The coverage, and the brightness on black. */
    private static final Plane DISC = Pictured.disc(W, H, 9);

    private static Frame title(float brightness) {
        Plane flat = Plane.flat(W, H, brightness);
        return Frame.straight(flat, flat, flat, DISC);
    }

    private static Frame rendered(Frame picture, Look look) {
        Scene scene = new Scene(picture);
        return scene.render(scene.project(look), 0);
    }

    @Test
    void overTransparencyHalationIsAsOnBlack() {
        Frame lit = rendered(title(1), HALATED).premultiplied(WORKERS);
        Frame onBlack = rendered(Frame.opaque(DISC, DISC, DISC), HALATED);
        int glowing = 0;
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < W * H; i++) {
                float light = onBlack.colour().get(c).data()[i];
                assertThat(lit.colour().get(c).data()[i]).isCloseTo(light, within(1e-6f));
                if (DISC.data()[i] == 0) {
                    assertThat(lit.coverage().get(c).data()[i])
                            .as("coverage equals brightness")
                            .isCloseTo(light, within(1e-6f));
                    glowing += light > 0.05f ? 1 : 0;
                }
            }
        }
        assertThat(glowing).isGreaterThan(300);
    }

    @Test
    void overAPictureHalationAddsLight() {
        float background = 0.3f;
        Plane grey = Plane.flat(W, H, background);
        Scene both = new Scene(Frame.opaque(grey, grey, grey));
        Project under = both.project(Look.atRest("n", new Rgb(), new Shift()));
        Layer upper = Layer.of("t", "t", HALATED, new Clip("b", 0, Scene.FRAMES, 0));
        Project project =
                new Project(
                        "both",
                        under.sequence(),
                        under.sources(),
                        List.of(under.layers().getFirst(), upper),
                        List.of(),
                        Optional.empty());
        Frame title = title(1);
        Renderer renderer =
                new Renderer(
                        (p, shown) ->
                                p.source().id().equals("b")
                                        ? title
                                        : Frame.opaque(grey, grey, grey),
                        WORKERS,
                        new FrameCache(1 << 28));
        Frame seen = renderer.render(project, 0);
        Frame onBlack = rendered(Frame.opaque(DISC, DISC, DISC), HALATED);
        int brighter = 0;
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < W * H; i++) {
                float of = seen.colour().get(c).data()[i];
                assertThat(of).isGreaterThanOrEqualTo(background - 1e-6f);
                if (DISC.data()[i] == 0) {
                    double light = onBlack.colour().get(c).data()[i];
                    assertThat((double) of)
                            .isCloseTo(1 - (1 - light) * (1 - background), within(1e-5));
                    brighter += of > background + 0.02f ? 1 : 0;
                }
            }
        }
        assertThat(brighter).isGreaterThan(300);
    }

    @Test
    void aDarkTitleStaysBitExact() {
        Frame dark = title(0.2f);
        Frame out = rendered(dark, HALATED);
        Frame untouched = rendered(dark, Look.atRest("n", new Rgb(), new Shift()));
        for (int c = 0; c < 3; c++) {
            assertThat(out.premultiplied(WORKERS).colour().get(c).data())
                    .isEqualTo(untouched.premultiplied(WORKERS).colour().get(c).data());
            assertThat(out.coverage().get(c).data()).isEqualTo(untouched.coverage().get(c).data());
        }
    }

    @Test
    void separatedChannelsGlowAtTheirPositions() {
        Look near = halation(10, 0);
        Look apart =
                Look.atRest("a", new Rgb(), new Shift())
                        .withSettings("shift-1", 0, a -> a.with("x", Value.of(-8)))
                        .withStepAdded(near.steps().getFirst());
        Frame lit = rendered(title(1), apart).premultiplied(WORKERS);
        Frame still = rendered(title(1), near).premultiplied(WORKERS);
        for (int x = 12; x < W - 12; x++) {
            int i = H / 2 * W + x;
            assertThat(lit.colour().get(0).data()[i - 8])
                    .as("red")
                    .isCloseTo(still.colour().get(0).data()[i], within(1e-4f));
            assertThat(lit.coverage().get(1).data()[i])
                    .as("green is not covered by red")
                    .isEqualTo(still.coverage().get(1).data()[i]);
        }
    }
}
