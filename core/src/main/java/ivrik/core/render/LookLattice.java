package ivrik.core.render;

import ivrik.core.cache.FrameCache;
import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.ColourTable;
import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The result of a look for a lattice of colours from 0 to 1 in each channel, with red varying fastest.
 */
public final class LookLattice {
    private static final Rational RATE = Rational.of(24);
    private static final long ROOM_BYTES = 1 << 26;

    private final int points;
    private final Frame colours;

    private LookLattice(int points, Frame colours) {
        this.points = points;
        this.colours = colours;
    }

    /**
     * The lattice of a look at a frame.
     *
     * @param points per side, from 2 to 256
     * @param colour colour space
     * @throws NotByColourException if the result for a colour depends on more than the colour
     */
    public static LookLattice of(
            Look look, int points, long frame, ColourSpace colour, Workers workers) {
        Plan plan = plan(look, points, frame, colour);
        obstacle(plan.layers().getFirst().looks().getFirst())
                .ifPresent(
                        what -> {
                            throw new NotByColourException(look.displayName(), what);
                        });
        Frame every = every(points);
        Renderer renderer = new Renderer((p, shown) -> every, workers, new FrameCache(ROOM_BYTES));
        return new LookLattice(points, renderer.render(plan, 1, Cancellation.NEVER));
    }

    /** The plan of a look at a frame, on its own. */
    public static LookPlan planned(Look look, long frame) {
        return plan(look, 2, frame, ColourSpace.SRGB).layers().getFirst().looks().getFirst();
    }

    private static Plan plan(Look look, int points, long frame, ColourSpace colour) {
        Size size = new Size(points, points * points);
        Source source =
                new Source(
                        "lattice", "lattice", "", Source.Kind.MOVIE, size, RATE, frame + 1, false);
        Project project =
                Project.empty("lattice")
                        .withSequence(new Sequence(size, RATE).withColour(colour))
                        .withSources(List.of(source))
                        .withLayers(
                                List.of(
                                        Layer.of(
                                                "lattice",
                                                "lattice",
                                                look,
                                                new Clip("lattice", 0, frame + 1, 0))));
        return Planner.plan(project, frame);
    }

    /** All colours of the lattice, as squares in a column. */
    private static Frame every(int points) {
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            planes[c] = Plane.of(points, points * points);
        }
        for (int i = 0; i < points * points * points; i++) {
            int[] at = {i % points, i / points % points, i / (points * points)};
            for (int c = 0; c < 3; c++) {
                planes[c].data()[planes[c].row(i / points) + i % points] = at[c] / (points - 1f);
            }
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }

    /** A part of the look that depends on more than the colour, if any has an effect. */
    private static Optional<String> obstacle(LookPlan look) {
        Optional<String> treatment =
                Stream.concat(
                                Stream.concat(look.prepare().stream(), look.finish().stream())
                                        .map(PictureStepPlan::kind),
                                look.steps().stream().map(StepPlan::kind))
                        .map(Treatment::description)
                        .filter(d -> !isByColour(d))
                        .map(Description::title)
                        .findFirst();
        if (treatment.isPresent()) {
            return treatment;
        }
        if (look.mask().isPresent()) {
            return Optional.of("its mask");
        }
        return look.channelSources().stream().allMatch(Objects::isNull) && look.moments().isEmpty()
                ? Optional.empty()
                : Optional.of("time");
    }

    private static boolean isByColour(Description d) {
        return d.is(Trait.POINTWISE)
                && !d.is(Trait.PLACED)
                && !d.is(Trait.LIVE)
                && !d.is(Trait.PICTURE);
    }

    /** As a table with a name. */
    public ColourTable table(String name) {
        float[] values = new float[3 * points * points * points];
        for (int c = 0; c < 3; c++) {
            Plane plane = colours.colour().get(c);
            for (int i = 0; i < values.length / 3; i++) {
                values[3 * i + c] = plane.at(i % points, i / points);
            }
        }
        return ColourTable.lattice(name, points, new float[3], new float[] {1, 1, 1}, values);
    }
}
