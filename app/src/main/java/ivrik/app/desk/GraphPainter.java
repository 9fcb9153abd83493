package ivrik.app.desk;

import ivrik.app.session.ChannelEdits;
import ivrik.app.theme.Palette;
import ivrik.app.widget.CanvasLines;
import ivrik.core.look.Look;
import ivrik.core.motion.Keyframe;
import ivrik.core.separation.ChannelKind;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.Arrays;
import java.util.Locale;

/** Draws the graph of a channel's number over time and its keyframes. */
record GraphPainter(
        GraphicsContext g,
        Palette p,
        TimeScale scale,
        Look look,
        Graph.Results results,
        KeyframeActions hands) {
    /** Smallest distance of separate keyframes in pixels. */
    private static final double MIN_APART = 3;

    /** Line width in pixels. */
    private static final double THICK = 1.6;

    /**
     * @param middle vertical position of the middle of its row
     */
    void paint(Graph graph, double middle) {
        int channel = graph.target().channel();
        g.setFill(p.colour("faint"));
        double rest = Math.rint(graph.y(graph.rest(), middle));
        CanvasLines.level(g, scale.left(), rest, scale.left() + scale.width(), 1);
        if (results.has(graph.row(), scale.frames())) {
            ChannelKind kind =
                    channel < 0 ? ChannelEdits.PICTURE : look.model().channels().get(channel);
            results(graph, middle, p.ink(kind), channel < 0 || look.isShown(channel));
        }
        if (channel < 0 || !look.channels().get(channel).fixed()) {
            keyframes(graph, middle);
        }
    }

    /** Labels of a tall plot's scale, at its left. */
    void heights(Graph graph, double middle) {
        g.setFont(p.numberFont(11));
        g.setFill(p.colour("quiet"));
        for (int part = -2; part <= 2; part++) {
            double value = graph.middle() + part * 0.45 * graph.range();
            String text = String.format(Locale.ROOT, "%+.1f", value == 0 ? 0.0 : value);
            g.fillText(text, 14, graph.y(value, middle) + 4);
        }
    }

    /** The total as a line, and the keyframed value as a thin line if they differ. */
    private void results(Graph graph, double middle, Color ink, boolean shown) {
        double[] set = results.set()[graph.row()];
        double[] total = results.total()[graph.row()];
        if (!Arrays.equals(set, total)) {
            faint(graph, set, middle, ink.interpolate(p.colour("type"), 0.5), 1);
        }
        if (shown) {
            bars(graph, total, middle, ink);
        } else {
            faint(graph, total, middle, ink, THICK);
        }
    }

    private void bars(Graph graph, double[] values, double middle, Color ink) {
        g.setFill(ink);
        int every = framesAPixel();
        long begun = scale.first() / every * every;
        for (long f = begun; f < scale.end(); f += every) {
            long next = f + every;
            double y = graph.y(values[(int) f], middle);
            double then = next < scale.end() ? graph.y(values[(int) next], middle) : Double.NaN;
            if (then != y) {
                double end = Math.rint(scale.x(next));
                CanvasLines.level(g, Math.rint(scale.x(begun)), y - THICK / 2, end, THICK);
                if (Math.abs(then - y) > THICK / 2) { // smaller steps leave no gap
                    double top = Math.min(y, then) - THICK / 2;
                    double bottom = Math.max(y, then) + THICK / 2;
                    CanvasLines.vertical(g, end - THICK / 2, top, bottom, THICK);
                }
                begun = next;
            }
        }
    }

    /** Drawn as a single path because it is translucent. */
    private void faint(Graph graph, double[] values, double middle, Color ink, double thick) {
        g.setGlobalAlpha(0.4);
        g.setStroke(ink);
        g.setLineWidth(thick);
        g.beginPath();
        int every = framesAPixel();
        long first = scale.first() / every * every;
        for (long f = first; f < scale.end(); f += every) {
            double y = graph.y(values[(int) f], middle);
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

    /**
     * Keyframes as vertical strokes with a foot, and the two easing handles of the selected one.
     */
    private void keyframes(Graph graph, double middle) {
        double before = Double.NEGATIVE_INFINITY;
        for (Keyframe keyframe : graph.value().keyframes()) {
            if (keyframe.frame() < scale.first() - 1 || keyframe.frame() > scale.end()) {
                continue;
            }
            boolean on = hands.isSelected(graph.row(), keyframe.frame());
            double x = Math.rint(scale.x(keyframe.frame() + 0.5)) + 0.5;
            if (!on && x - before < MIN_APART) {
                continue; // it would only darken the previous one
            }
            before = x;
            double y = graph.y(keyframe.value(), middle);
            double thick = on ? 2.2 : 1.2;
            g.setFill(p.colour(on ? "paper" : "type"));
            CanvasLines.vertical(g, x - thick / 2, y - 6.5, y + 6.5, thick);
            CanvasLines.level(g, x - 3.5, y + 6 - thick / 2, x + 3.5, thick);
            if (on && hands.only().isPresent()) {
                handles(graph, middle, keyframe);
            }
        }
    }

    private void handles(Graph graph, double middle, Keyframe keyframe) {
        var knobs = KeyframeHitTest.knobs(graph, scale, middle, keyframe);
        if (knobs.isEmpty()) {
            return;
        }
        Keyframe next = KeyframeHitTest.next(graph.value(), keyframe).orElseThrow();
        g.setLineWidth(1);
        g.setStroke(p.colour("quiet"));
        g.setFill(p.colour("paper"));
        g.strokeLine(
                scale.x(keyframe.frame() + 0.5),
                graph.y(keyframe.value(), middle),
                knobs.get(0).getX(),
                knobs.get(0).getY());
        g.strokeLine(
                scale.x(next.frame() + 0.5),
                graph.y(next.value(), middle),
                knobs.get(1).getX(),
                knobs.get(1).getY());
        for (var knob : knobs) {
            g.fillOval(knob.getX() - 3.5, knob.getY() - 3.5, 7, 7);
        }
    }
}
