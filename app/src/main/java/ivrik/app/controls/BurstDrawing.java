package ivrik.app.controls;

import ivrik.app.session.Session;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.app.widget.Drawing;
import ivrik.app.widget.TooltipText;
import ivrik.core.look.Burst;
import ivrik.core.look.BurstEdits;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.AnchorTime;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Rational;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Draws a burst frame by frame. A phase of a peak envelope has two handles: its top for the strength, its
 * outer side for the length. The handle under the pointer is marked, and a drag shows its number.
 */
final class BurstDrawing extends Drawing {
    private static final double SIDE = 6;
    private static final double GRIP = 6;
    private static final double HANDLE = 4;

    /** Free frames on each side. */
    private static final int AROUND = 2;

    private final Session session;
    private Burst burst;
    private Session.Gesture gesture;
    private Handle held;
    private Handle hovered;
    private PeakEnvelope before;

    /**
     * One phase in the drawing.
     *
     * @param number index among the phases of its side, in time order
     * @param from first frame relative to the anchor
     * @param to frame after the last
     */
    private record Bar(boolean later, int number, double from, double to, double strength) {
        /** The side away from the peak. */
        double outer() {
            return later ? to : from;
        }
    }

    /** A part of the drawing that is dragged. */
    private record Handle(Bar bar, boolean isSide) {}

    BurstDrawing(Session session, ObjectProperty<Palette> palette) {
        super(palette);
        this.session = session;
        setId("burst-drawing");
        setMinSize(120, 110);
        setPrefHeight(124);
        setAccessibleText("Burst strength, frame by frame");
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(
                e -> {
                    gesture = null;
                    hover(e.getX(), e.getY());
                });
        setOnMouseMoved(e -> hover(e.getX(), e.getY()));
        setOnMouseExited(e -> hover(-1, -1));
        TooltipText.install(
                this,
                () ->
                        "Drag the top of a phase to change its strength; with Alt in steps of 1 %\n"
                                + "Drag its outer side to change its length\n"
                                + "Double-click splits a phase, right-click deletes it");
    }

    void show(Burst shown) {
        burst = shown;
        redraw();
    }

    /** Frames to the left and right of the anchor. */
    private record Room(double left, double right) {
        double frames() {
            return left + right;
        }
    }

    private boolean between() {
        return burst.anchor() instanceof Anchor.AtCut;
    }

    private Room room() {
        Envelope envelope = gesture == null ? burst.envelope() : before;
        double more = envelope instanceof PeakEnvelope peakEnvelope ? peakEnvelope.peak() : 1;
        return new Room(
                Math.ceil(envelope.before() + more) + AROUND,
                Math.ceil(envelope.after() + more) + AROUND);
    }

    private double x(double frame) {
        return SIDE + (frame + room().left) / room().frames() * (getWidth() - 2 * SIDE);
    }

    private double frame(double x) {
        return (x - SIDE) / (getWidth() - 2 * SIDE) * room().frames() - room().left;
    }

    /** Position of strength 0; lower if no phase is negative. */
    private double base() {
        boolean any = bars().stream().anyMatch(b -> b.strength < 0);
        return getHeight() * (any ? 0.55 : 0.84);
    }

    private double y(double strength) {
        return base() - strength * (base() - 14);
    }

    private List<Bar> bars() {
        List<Bar> bars = new ArrayList<>();
        if (!(burst.envelope() instanceof PeakEnvelope peakEnvelope)) {
            return bars;
        }
        double at = between() ? -peakEnvelope.peak() : 1 - peakEnvelope.peak();
        for (int i = peakEnvelope.in().size() - 1; i >= 0; i--) {
            Phase phase = peakEnvelope.in().get(i);
            bars.add(new Bar(false, i, at - phase.frames(), at, phase.strength()));
            at -= phase.frames();
        }
        at = peakEnvelope.peak();
        for (int i = 0; i < peakEnvelope.down().size(); i++) {
            Phase phase = peakEnvelope.down().get(i);
            bars.add(new Bar(true, i, at, at + phase.frames(), phase.strength()));
            at += phase.frames();
        }
        return bars;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        g.setFill(p.colour("background"));
        g.fillRect(0, 0, w, h);
        if (burst == null) {
            return;
        }
        AnchorTime anchorTime = new AnchorTime(0, between());
        g.setFill(p.colour(burst.on() ? "paper" : "quiet"));
        for (long f = (long) -room().left; f < room().right; f++) {
            double share = burst.envelope().at(anchorTime, Rational.of(f));
            double top = Math.min(y(share), base());
            double high = Math.abs(y(share) - base());
            if (high > 0) {
                g.fillRect(x(f), top, x(f + 1) - x(f) - 0.6, high);
            }
        }
        drawHandle(g, p);
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeLine(0, Math.rint(base()) + 0.5, w, Math.rint(base()) + 0.5);
        double foot = Math.rint(x(between() ? 0 : 0.5)) + 0.5;
        g.setStroke(p.colour("type"));
        g.strokeLine(foot, base(), foot, base() + 7);
        g.strokeLine(foot - 4, base() + 7, foot + 4, base() + 7);
        g.setFill(p.colour("quiet"));
        g.setFont(p.numberFont(11));
        g.fillText("-" + Controls.plain(burst.framesBefore()), 4, h - 5);
        String after = "+" + Controls.plain(burst.framesAfter()) + " frames";
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(after, w - 4, h - 5);
        g.setTextAlign(TextAlignment.LEFT);
    }

    /** The handle under a point; null outside all phases. */
    private Handle at(double x, double y) {
        for (Bar bar : bars()) {
            boolean isBelowTop = Math.abs(y - base()) < Math.abs(y(bar.strength) - base()) - GRIP;
            if (Math.abs(x - x(bar.outer())) < GRIP && (isBelowTop || y > base())) {
                return new Handle(bar, true);
            }
        }
        for (Bar bar : bars()) {
            if (x >= x(bar.from) && x < x(bar.to) && y <= base() + GRIP) {
                return new Handle(bar, false);
            }
        }
        return null;
    }

    private void hover(double x, double y) {
        hovered = burst == null ? null : at(x, y);
        setCursor(
                hovered == null
                        ? Cursor.DEFAULT
                        : hovered.isSide ? Cursor.H_RESIZE : Cursor.V_RESIZE);
        redraw();
    }

    /** Marks the dragged or hovered handle, with its number. */
    private void drawHandle(GraphicsContext g, Palette p) {
        Handle handle = gesture == null ? hovered : held;
        if (handle == null) {
            return;
        }
        Bar bar =
                bars().stream()
                        .filter(b -> b.later == handle.bar.later && b.number == handle.bar.number)
                        .findFirst()
                        .orElse(handle.bar);
        double top = y(bar.strength);
        double width = x(bar.to) - x(bar.from);
        g.setFill(p.colour("quiet"));
        g.fillRect(x(bar.from), Math.min(top, base()), width, Math.abs(base() - top));
        g.setFill(p.colour("type"));
        if (handle.isSide) {
            double high = Math.max(Math.abs(base() - top), HANDLE);
            g.fillRect(x(bar.outer()) - HANDLE / 2, Math.min(top, base()), HANDLE, high);
        } else {
            g.fillRect(x(bar.from), top - HANDLE / 2, width, HANDLE);
        }
        String number =
                handle.isSide
                        ? Controls.plain(bar.to - bar.from) + " frames"
                        : Math.round(100 * bar.strength) + " %";
        g.setFont(p.numberFont(11));
        g.fillText(number, 4, 14);
    }

    private void pressed(MouseEvent e) {
        gesture = null;
        if (!(burst.envelope() instanceof PeakEnvelope peakEnvelope)) {
            return;
        }
        held = at(e.getX(), e.getY());
        if (held == null) {
            return;
        }
        if (e.getButton() == MouseButton.SECONDARY) {
            edit("Delete phase", h -> phase(h, phase -> List.of()));
            held = null;
        } else if (e.getClickCount() == 2 && !held.isSide) {
            edit("Split phase", h -> phase(h, BurstDrawing::split));
            held = null;
        } else {
            before = peakEnvelope;
            gesture = session.gesture("Edit phase");
        }
    }

    /** Splits a phase into two of the same strength. */
    private static List<Phase> split(Phase phase) {
        int half = (phase.frames() + 1) / 2;
        return List.of(phase.withFrames(half), phase.withFrames(phase.frames() - half));
    }

    private PeakEnvelope phase(PeakEnvelope peakEnvelope, Function<Phase, List<Phase>> change) {
        return BurstEdits.withPhase(peakEnvelope, held.bar.later, held.bar.number, change);
    }

    private void edit(String name, UnaryOperator<PeakEnvelope> change) {
        Burst changed = burst.withEnvelope(change.apply((PeakEnvelope) burst.envelope()));
        session.editLook(name, look -> look.withBurst(changed));
    }

    private void dragged(MouseEvent e) {
        if (gesture == null || held == null) {
            return;
        }
        PeakEnvelope shaped;
        Bar bar = held.bar;
        if (held.isSide) {
            double outward = (frame(e.getX()) - bar.outer()) * (bar.later ? 1 : -1);
            int frames = (int) Math.clamp(bar.to - bar.from + Math.rint(outward), 0, 1000);
            shaped = phase(before, phase -> List.of(phase.withFrames(frames)));
        } else {
            double strength = (base() - e.getY()) / (base() - 14);
            double fine = e.isAltDown() ? 100 : 20;
            double to = Math.clamp(Math.rint(strength * fine) / fine, -2, 2);
            shaped = phase(before, phase -> List.of(phase.scaledTo(to)));
        }
        String id = burst.id();
        gesture.editLook(look -> look.withBurst(id, b -> b.withEnvelope(shaped)));
    }
}
