package ivrik.app.session;

import ivrik.core.colour.Luma;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.separation.Ink;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.SlopeOffsetPower;

import javafx.geometry.Point2D;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * White balance from a neutral object: sets the slopes of a {@link SlopeOffsetPower} before all other
 * treatments so that the channels are equal there at the same brightness.
 */
public final class WhiteBalance {
    private static final List<String> SLOPES = List.of("slope-red", "slope-green", "slope-blue");

    /** Radius in pixels of the averaged area around the click. */
    private static final int AROUND = 2;

    /** Smallest value that can be balanced. */
    private static final double DARKEST = 0.02;

    private final Session session;
    private final View view;
    private final Function<Point2D, Optional<Ink>> colourAt;

    /**
     * @param colourAt colour of the source at a position of the sequence
     */
    public WhiteBalance(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        this.session = session;
        this.view = view;
        this.colourAt = colourAt;
    }

    /** Balances at the next clicked position. */
    public void ask() {
        view.notice.set("Click an area of the picture that should be neutral grey");
        view.sampling.set(this::at);
    }

    private void at(Point2D place) {
        double[] rgb = mean(place);
        if (rgb == null || rgb[0] < DARKEST || rgb[1] < DARKEST || rgb[2] < DARKEST) {
            view.notice.set(
                    rgb == null
                            ? "No picture at this point. Click inside the picture"
                            : "Too dark to measure. Click a lighter area");
            return;
        }
        view.notice.set("");
        double luma = Luma.RED * rgb[0] + Luma.GREEN * rgb[1] + Luma.BLUE * rgb[2];
        Look look = session.state().look().orElseThrow();
        Optional<Step> first =
                look.steps(Section.PREPARE).stream()
                        .findFirst()
                        .filter(s -> s.kind() instanceof SlopeOffsetPower);
        Step set = first.orElseGet(() -> added(look));
        for (int c = 0; c < SLOPES.size(); c++) {
            Parameter slope = set.kind().description().parameter(SLOPES.get(c));
            Value to = Value.of(slope.clamp(luma / rgb[c]));
            set = set.withChannel(0, a -> a.with(slope.name(), to));
        }
        Step made = set;
        session.editLook(
                "White balance",
                l ->
                        first.isPresent()
                                ? l.withStep(made.id(), s -> made)
                                : l.withStepAdded(0, made));
        view.face.set(View.Face.TREATMENT);
        session.selectCell(made.id(), session.state().channel());
    }

    private static Step added(Look look) {
        SlopeOffsetPower kind = new SlopeOffsetPower();
        return Step.atRest(look.freeId(kind), kind, Section.PREPARE, look.channels().size());
    }

    /** Null outside the picture. */
    private double[] mean(Point2D place) {
        List<Ink> inks = new ArrayList<>();
        for (int y = -AROUND; y <= AROUND; y++) {
            for (int x = -AROUND; x <= AROUND; x++) {
                colourAt.apply(place.add(x, y)).ifPresent(inks::add);
            }
        }
        if (inks.isEmpty()) {
            return null;
        }
        double[] mean = new double[3];
        for (int c = 0; c < 3; c++) {
            for (Ink ink : inks) {
                mean[c] += ink.part(c) / inks.size();
            }
        }
        return mean;
    }
}
