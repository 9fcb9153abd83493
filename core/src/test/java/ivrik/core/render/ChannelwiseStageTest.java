package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.DialEdits;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Placement;
import ivrik.core.look.Section;
import ivrik.core.look.Shutter;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Context;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.RowTreatment;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Shift;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Channel treatments applied to the whole picture, before separation or after rejoining. */
class ChannelwiseStageTest {
    private static final int W = 40;
    private static final int H = 24;
    private final Frame picture = Pictured.frame(W, H);
    private final Scene scene = new Scene(picture);

    /** A look with one treatment applied to the picture. */
    private static Look whole(
            String model, Section section, Treatment treatment, UnaryOperator<Step> change) {
        Look look = Look.atRest("whole", Separations.named(model));
        return look.withStepAdded(
                change.apply(Step.atRest("it", treatment, section, look.channels().size())));
    }

    private static UnaryOperator<Step> shifted(double x, EdgeFill fill) {
        return s -> s.withEdgeFill(fill).withChannel(0, a -> a.with("x", Value.of(x)));
    }

    private static void assertShifted(Frame made, Frame from, int x, int first) {
        for (int c = 0; c < 3; c++) {
            for (int i = first; i < W; i++) {
                assertThat(made.colour().get(c).at(i, 7))
                        .isEqualTo(from.colour().get(c).at(i - x, 7));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"PREPARE", "FINISH"})
    void aShiftMovesTheWholePicture(Section section) {
        Look look = whole("rgb", section, new Shift(), shifted(5, EdgeFill.REPEAT));
        Frame made = scene.render(scene.project(look), 0);
        assertThat(made.isOpaque()).isTrue();
        assertShifted(made, picture, 5, 5);
    }

    @Test
    void withoutAnEdgeFillThePictureEnds() {
        Look look = whole("rgb", Section.FINISH, new Shift(), shifted(5, EdgeFill.EMPTY));
        Frame made = scene.render(scene.project(look), 0);
        for (int x = 0; x < W; x++) {
            assertThat(made.coverage().get(0).at(x, 9)).isEqualTo(x < 5 ? 0 : 1);
        }
        assertShifted(made.premultiplied(Workers.shared()), picture, 5, 5);
    }

    @Test
    void channelsAndPictureMoveIndependently() {
        Look look =
                whole("rgb", Section.FINISH, new Shift(), shifted(-3, EdgeFill.REPEAT))
                        .withStepAdded(Step.atRest("shift-channels", new Shift(), 3));
        Look both = look.withSettings("shift-channels", 0, a -> a.with("x", Value.of(5)));
        Frame made = scene.render(scene.project(both), 0);
        assertThat(made.colour().get(0).at(20, 7)).isEqualTo(picture.colour().get(0).at(18, 7));
        assertThat(made.colour().get(1).at(20, 7)).isEqualTo(picture.colour().get(1).at(23, 7));
    }

    @Test
    void consecutiveMovesAreOneMapping() {
        UnaryOperator<Step> half =
                s -> s.withSampler(Sampler.LINEAR).withChannel(0, a -> a.with("x", Value.of(0.5)));
        Look look = whole("rgb", Section.FINISH, new Shift(), half);
        Step second = Step.atRest("second", new Shift(), Section.FINISH, 3);
        Frame made = scene.render(scene.project(look.withStepAdded(half.apply(second))), 0);
        assertShifted(made, picture, 1, 1);
    }

    @Test
    void aPictureBlurEqualsTheBlurOfAllChannels() {
        Look whole =
                whole(
                        "rgb",
                        Section.PREPARE,
                        new GaussianBlur(),
                        s -> s.withChannel(0, a -> a.with("radius", Value.of(3))));
        Look each = Look.atRest("each", Separations.named("rgb"), new GaussianBlur());
        for (int channel = 0; channel < 3; channel++) {
            each = each.withSettings(0, channel, a -> a.with("radius", Value.of(3)));
        }
        Frame made = scene.render(scene.project(whole), 0);
        Frame expected = scene.render(scene.project(each), 0);
        for (int c = 0; c < 3; c++) {
            assertThat(made.colour().get(c).sameSamples(expected.colour().get(c))).isTrue();
        }
    }

    /** White inside the channels of a title, zero outside. */
    private static Frame title() {
        Plane disc = Plane.of(W, H);
        for (int y = 8; y < 16; y++) {
            for (int x = 10; x < 20; x++) {
                disc.data()[disc.row(y) + x] = 1;
            }
        }
        return Frame.straight(disc, disc, disc, disc);
    }

    @Test
    void separatedChannelsMoveWithTheirPicture() {
        Look look =
                whole("cmy", Section.FINISH, new Shift(), shifted(4, EdgeFill.EMPTY))
                        .withStepAdded(Step.atRest("shift-channels", new Shift(), 3));
        Look apart = look.withSettings("shift-channels", 0, a -> a.with("x", Value.of(6)));
        Renderer renderer =
                new Renderer(
                        (p, s) -> p.source().id().equals("b") ? title() : picture,
                        Workers.shared(),
                        new FrameCache(1 << 24));
        Layer over = Layer.of("title", "title", apart, new Clip("b", 0, 10, 0));
        Project background = scene.project(Look.atRest("none", Separations.named("rgb")));
        Frame moved =
                renderer.render(
                        background.withLayers(ListEdits.plus(background.layers(), over)), 0);
        Layer placed =
                over.withLook(0, l -> l.withoutStep("it"))
                        .withPlacement(Placement.FITTED.withX(Value.of(4)));
        Frame expected =
                renderer.render(
                        background.withLayers(ListEdits.plus(background.layers(), placed)), 0);
        for (int c = 0; c < 3; c++) {
            for (int y = 0; y < H; y++) {
                for (int x = 0; x < W; x++) {
                    assertThat(moved.colour().get(c).at(x, y))
                            .as("%d, %d", x, y)
                            .isCloseTo(expected.colour().get(c).at(x, y), within(1e-6f));
                }
            }
        }
        assertThat(moved.colour().get(0).at(16, 10))
                .as("cyan has moved away: red comes from below, green from the title")
                .isCloseTo(picture.colour().get(0).at(16, 10), within(1e-6f));
        assertThat(moved.colour().get(1).at(16, 10)).isEqualTo(1f);
    }

    static Stream<Treatment> rowTreatments() {
        return Treatments.all().stream().filter(t -> t instanceof RowTreatment);
    }

    @ParameterizedTest
    @MethodSource("rowTreatments")
    void treatedRowsEqualTreatedPlanes(Treatment treatment) {
        Look moved =
                Look.atRest("rows", Separations.named("rgb"), new Shift())
                        .withSettings("shift-1", 0, a -> a.with("x", Value.of(2.5)));
        Look look =
                moved.withStepAdded(
                        Step.withExampleSettings("it", treatment, 3).withSection(Section.FINISH));
        long frame = 7;
        Frame made = scene.render(scene.project(look), frame);
        Frame before = scene.render(scene.project(moved), frame);
        LookPlan plan =
                Planner.plan(scene.project(look), frame).layers().getFirst().looks().getFirst();
        boolean changed = false;
        for (int c = 0; c < 3; c++) {
            Plane plane = before.colour().get(c);
            Settings settings = plan.finish().getFirst().byChannel().channels().get(c);
            Context context =
                    new Context(1, new Rgb().channels().get(c), Optional.empty(), Workers.shared());
            Plane alone =
                    ((RowTreatment) treatment)
                            .apply(plane, settings, context)
                            .toPlane(Workers.shared());
            assertThat(made.colour().get(c).data()).isEqualTo(alone.data());
            changed |= !Arrays.equals(alone.data(), plane.data());
        }
        assertThat(changed).isTrue();
    }

    @Test
    void aPictureShakeMovesAllChannelsAlike() {
        Jitter jitter = new Jitter(Value.of(6), 24, Jitter.Kind.STEPPED, 3);
        Look look =
                whole(
                        "rgb",
                        Section.FINISH,
                        new Shift(),
                        s ->
                                s.withSampler(Sampler.LINEAR)
                                        .withChannel(0, a -> a.withJitter(jitter)));
        Frame made = scene.render(scene.project(look), 7);
        LookPlan plan = Planner.plan(scene.project(look), 7).layers().getFirst().looks().getFirst();
        double x = plan.finish().getFirst().settings().number("x");
        assertThat(x).isNotZero();
        int at = 20;
        int whole = (int) Math.floor(at - x);
        double part = at - x - whole;
        double y = plan.finish().getFirst().settings().number("y");
        int row = (int) Math.floor(10 - y);
        double down = 10 - y - row;
        for (int c = 0; c < 3; c++) {
            Plane in = picture.colour().get(c);
            double above = in.at(whole, row) * (1 - part) + in.at(whole + 1, row) * part;
            double below = in.at(whole, row + 1) * (1 - part) + in.at(whole + 1, row + 1) * part;
            assertThat((double) made.colour().get(c).at(at, 10))
                    .isCloseTo(above * (1 - down) + below * down, within(1e-5));
        }
    }

    @Test
    void motionBlurIncludesPictureMoves() {
        Value moving =
                new Value(
                        0,
                        List.of(
                                new Keyframe(0, 0, Ease.LINEAR),
                                new Keyframe(10, 80, Ease.LINEAR)));
        Look look =
                whole(
                                "rgb",
                                Section.FINISH,
                                new Shift(),
                                s ->
                                        s.withSampler(Sampler.LINEAR)
                                                .withChannel(0, a -> a.with("x", moving)))
                        .withShutter(new Shutter(Value.of(180), 0, 4));
        Frame made = scene.render(scene.project(look), 1);
        // 8 px per frame, open for half a frame, 4 moments: 8.5, 9.5, 10.5 and 11.5 px to the
        // right.
        Plane in = picture.colour().get(1);
        double mean = 0;
        for (int moment = 8; moment < 12; moment++) {
            mean += (in.at(30 - moment, 5) + in.at(29 - moment, 5)) / 8.0;
        }
        assertThat((double) made.colour().get(1).at(30, 5)).isCloseTo(mean, within(1e-5));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 2})
    void aMovedStepKeepsItsAmountsAndDials(int channel) {
        Target of = new Target.OfChannel("shift-1", channel, "x");
        Look look =
                DialEdits.onNew(
                        BuiltInLooks.named("neutral")
                                .withSettings(
                                        "shift-1",
                                        channel,
                                        a -> a.with("y", Value.of(channel + 3))),
                        List.of(of),
                        "Across");
        Look whole = look.withStepIn(Section.FINISH, "shift-1", channel);
        assertThat(whole.steps().getFirst().channels()).hasSize(1);
        assertThat(whole.steps().getFirst().settings(0).value("y").rest()).isEqualTo(channel + 3);
        assertThat(targets(whole)).containsExactly(new Target.OfStep("shift-1", "x"));
        assertThat(LookJson.read(LookJson.write(whole)).look()).isEqualTo(whole);
        Look again = whole.withStepIn(Section.CHANNELS, "shift-1", 0);
        assertThat(again.steps().getFirst().channels()).hasSize(3);
        assertThat(targets(again)).hasSize(3).contains(of);
    }

    private static List<Target> targets(Look look) {
        return look.dials().getFirst().links().stream().map(Dial.Link::target).toList();
    }
}
