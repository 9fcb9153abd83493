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
 * White balance by something that ought to be grey: the slopes of a {@link SlopeOffsetPower} before everything else
 * are set so that the channels are alike there, and as bright as before.
 */
public final class Balance {
    private static final List<String> SLOPES = List.of("slope-red", "slope-green", "slope-blue");

    /** The colour is the mean of pixels so far around the place that is pressed. */
    private static final int AROUND = 2;

    /** Darker than this nothing can be told. */
    private static final double DARKEST = 0.02;

    private final Session session;
    private final View view;
    private final Function<Point2D, Optional<Ink>> colourAt;

    /**
     * @param colourAt the source's colour at a place of the sequence
     */
    public Balance(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        this.session = session;
        this.view = view;
        this.colourAt = colourAt;
    }

    /** The place that is pressed next is made grey. */
    public void ask() {
        view.notice.set("Press something in the picture that ought to be grey");
        view.picking.set(this::at);
    }

    private void at(Point2D place) {
        double[] rgb = mean(place);
        if (rgb == null || rgb[0] < DARKEST || rgb[1] < DARKEST || rgb[2] < DARKEST) {
            view.notice.set(
                    rgb == null
                            ? "There is no picture there to balance by"
                            : "It is too dark there to tell its colour: press something lighter");
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
            set = set.withLane(0, a -> a.with(slope.name(), to));
        }
        Step made = set;
        session.editLook(
                "Balance by a neutral",
                l ->
                        first.isPresent()
                                ? l.withStep(made.id(), s -> made)
                                : l.withStepAdded(0, made));
        view.face.set(View.Face.TREATMENT);
        session.selectCell(made.id(), session.state().lane());
    }

    private static Step added(Look look) {
        SlopeOffsetPower kind = new SlopeOffsetPower();
        return Step.atRest(look.freeId(kind), kind, Section.PREPARE, look.lanes().size());
    }

    /** Null where there is no picture. */
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
