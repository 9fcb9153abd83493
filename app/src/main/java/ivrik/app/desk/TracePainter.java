package ivrik.app.desk;

import ivrik.app.control.Bars;
import ivrik.app.session.LaneEdits;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.motion.Peg;
import ivrik.core.separation.LaneKind;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.Arrays;
import java.util.Locale;

/** Draws what a number of a lane comes to over time, and the pegs that make it. */
record TracePainter(
        GraphicsContext g,
        Palette p,
        TimeScale scale,
        Look look,
        Trace.Results results,
        PegHands hands) {
    /** Pegs that lie closer are not told apart, in pixels. */
    private static final double LEAST_APART = 3;

    /** Of a trace, in pixels. */
    private static final double THICK = 1.6;

    /**
     * @param middle where the middle of its row is, in pixels from the top
     */
    void paint(Trace trace, double middle) {
        int lane = trace.target().lane();
        g.setFill(p.colour("faint"));
        double rest = Math.rint(trace.y(trace.rest(), middle));
        Bars.level(g, scale.left(), rest, scale.left() + scale.width(), 1);
        if (results.has(trace.row(), scale.frames())) {
            LaneKind kind = lane < 0 ? LaneEdits.PICTURE : look.model().lanes().get(lane);
            results(trace, middle, p.ink(kind), lane < 0 || look.isShown(lane));
        }
        if (lane < 0 || !look.lanes().get(lane).hold()) {
            pegs(trace, middle);
        }
    }

    /** What the heights of a tall plot are, at its left. */
    void heights(Trace trace, double middle) {
        g.setFont(p.numbers(11));
        g.setFill(p.colour("quiet"));
        for (int part = -2; part <= 2; part++) {
            double value = trace.middle() + part * 0.45 * trace.range();
            String text = String.format(Locale.ROOT, "%+.1f", value == 0 ? 0.0 : value);
            g.fillText(text, 14, trace.y(value, middle) + 4);
        }
    }

    /** What it comes to; under that as a thin line what the pegs say, where dials, bursts or jitter make something else of it. */
    private void results(Trace trace, double middle, Color ink, boolean shown) {
        double[] set = results.set()[trace.row()];
        double[] total = results.total()[trace.row()];
        if (!Arrays.equals(set, total)) {
            faint(trace, set, middle, ink.interpolate(p.colour("type"), 0.5), 1);
        }
        if (shown) {
            bars(trace, total, middle, ink);
        } else {
            faint(trace, total, middle, ink, THICK);
        }
    }

    private void bars(Trace trace, double[] values, double middle, Color ink) {
        g.setFill(ink);
        int every = framesAPixel();
        long begun = scale.first() / every * every;
        for (long f = begun; f < scale.end(); f += every) {
            long next = f + every;
            double y = trace.y(values[(int) f], middle);
            double then = next < scale.end() ? trace.y(values[(int) next], middle) : Double.NaN;
            if (then != y) {
                double end = Math.rint(scale.x(next));
                Bars.level(g, Math.rint(scale.x(begun)), y - THICK / 2, end, THICK);
                if (Math.abs(then - y) > THICK / 2) { // less is no gap
                    double top = Math.min(y, then) - THICK / 2;
                    double bottom = Math.max(y, then) + THICK / 2;
                    Bars.upright(g, end - THICK / 2, top, bottom, THICK);
                }
                begun = next;
            }
        }
    }

    /** What lies beneath shines through, so it is one line. */
    private void faint(Trace trace, double[] values, double middle, Color ink, double thick) {
        g.setGlobalAlpha(0.4);
        g.setStroke(ink);
        g.setLineWidth(thick);
        g.beginPath();
        int every = framesAPixel();
        long first = scale.first() / every * every;
        for (long f = first; f < scale.end(); f += every) {
            double y = trace.y(values[(int) f], middle);
            double x = scale.x(f);
            if (f == first) {
                g.moveTo(x, y);
            } else {
                g.lineTo(x, y);
            }
            g.lineTo(scale.x(f + 1), y);
        }
        g.stroke();
        g.setGlobalAlpha(1);
    }

    private int framesAPixel() {
        return (int) Math.max(1, Math.floor(1 / scale.frameWidth()));
    }

    /** Pegs: upright strokes with a foot, and the two handles of the ease that leaves the picked one. */
    private void pegs(Trace trace, double middle) {
        double before = Double.NEGATIVE_INFINITY;
        for (Peg peg : trace.value().pegs()) {
            if (peg.frame() < scale.first() - 1 || peg.frame() > scale.end()) {
                continue;
            }
            boolean on = hands.isPicked(trace.row(), peg.frame());
            double x = Math.rint(scale.x(peg.frame() + 0.5)) + 0.5;
            if (!on && x - before < LEAST_APART) {
                continue; // it would only darken the one before
            }
            before = x;
            double y = trace.y(peg.value(), middle);
            double thick = on ? 2.2 : 1.2;
            g.setFill(p.colour(on ? "paper" : "type"));
            Bars.upright(g, x - thick / 2, y - 6.5, y + 6.5, thick);
            Bars.level(g, x - 3.5, y + 6 - thick / 2, x + 3.5, thick);
            if (on && hands.only().isPresent()) {
                handles(trace, middle, peg);
            }
        }
    }

    private void handles(Trace trace, double middle, Peg peg) {
        var knobs = PegPicker.knobs(trace, scale, middle, peg);
        if (knobs.isEmpty()) {
            return;
        }
        Peg next = PegPicker.next(trace.value(), peg).orElseThrow();
        g.setLineWidth(1);
        g.setStroke(p.colour("quiet"));
        g.setFill(p.colour("paper"));
        g.strokeLine(
                scale.x(peg.frame() + 0.5),
                trace.y(peg.value(), middle),
                knobs.get(0).getX(),
                knobs.get(0).getY());
        g.strokeLine(
                scale.x(next.frame() + 0.5),
                trace.y(next.value(), middle),
                knobs.get(1).getX(),
                knobs.get(1).getY());
        for (var knob : knobs) {
            g.fillOval(knob.getX() - 3.5, knob.getY() - 3.5, 7, 7);
        }
    }
}
