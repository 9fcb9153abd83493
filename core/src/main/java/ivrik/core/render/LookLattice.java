package ivrik.core.render;

import ivrik.core.cache.Store;
import ivrik.core.colour.ColourSpace;
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
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a look makes of every colour by itself: the colours of a lattice of so many points a side, red changing
 * fastest, from 0 to 1 in each channel.
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
     * The lattice of a look as it is at a frame.
     *
     * @param points along each side, from 2 to 256
     * @param colour what the numbers of its colours mean
     * @throws NotByColourException if what it makes of a colour depends on more than that colour
     */
    public static LookLattice of(
            Look look, int points, long frame, ColourSpace colour, Workers workers) {
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
        Plan plan = Planner.plan(project, frame);
        obstacle(plan.layers().getFirst().looks().getFirst())
                .ifPresent(
                        what -> {
                            throw new NotByColourException(look.shownName(), what);
                        });
        Frame every = every(points);
        Renderer renderer = new Renderer((p, shown) -> every, workers, new Store(ROOM_BYTES));
        return new LookLattice(points, renderer.render(plan, 1, Cancel.NEVER));
    }

    /** All colours of the lattice, in a column of squares. */
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

    /** What of a look, where it changes anything, depends on more than the colour itself. */
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
        if (look.reach().isPresent()) {
            return Optional.of("its reach");
        }
        return look.feeds().stream().allMatch(Objects::isNull) && look.moments().isEmpty()
                ? Optional.empty()
                : Optional.of("time");
    }

    private static boolean isByColour(Description d) {
        return d.is(Trait.POINTWISE)
                && !d.is(Trait.PLACED)
                && !d.is(Trait.LIVE)
                && !d.is(Trait.PICTURE);
    }

    /** A colour of the lattice, by the numbers of its points. */
    private float[] at(int red, int green, int blue) {
        float[] rgb = new float[3];
        for (int c = 0; c < 3; c++) {
            rgb[c] = colours.colour().get(c).at(red, green + blue * points);
        }
        return rgb;
    }

    /** As a text of the {@code .cube} form, for use elsewhere. */
    public String cube(String title) {
        StringBuilder text = new StringBuilder();
        text.append("TITLE \"").append(title.replaceAll("[\"\\p{Cntrl}]", " ")).append("\"\n");
        text.append("LUT_3D_SIZE ").append(points).append('\n');
        text.append("DOMAIN_MIN 0 0 0\nDOMAIN_MAX 1 1 1\n");
        for (int blue = 0; blue < points; blue++) {
            for (int green = 0; green < points; green++) {
                for (int red = 0; red < points; red++) {
                    float[] rgb = at(red, green, blue);
                    text.append(
                            String.format(Locale.ROOT, "%.7f %.7f %.7f\n", rgb[0], rgb[1], rgb[2]));
                }
            }
        }
        return text.toString();
    }
}
