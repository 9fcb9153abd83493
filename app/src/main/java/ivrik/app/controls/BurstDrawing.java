package ivrik.app.controls;

import ivrik.app.session.Session;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.app.widget.Drawing;
import ivrik.core.look.Burst;
import ivrik.core.look.BurstEdits;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.AnchorTime;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Rational;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Draws a burst frame by frame. The phases of a peak envelope are dragged: vertically by their tops,
 * horizontally by their outer sides.
 */
final class BurstDrawing extends Drawing {
    private static final double SIDE = 6;
    private static final double GRIP = 5;

    /** Free frames on each side. */
    private static final int AROUND = 2;

    private final Session session;
    private Burst burst;
    private Session.Gesture gesture;
    private Bar held;
    private boolean byItsSide;
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

    BurstDrawing(Session session, ObjectProperty<Palette> palette) {
        super(palette);
        this.session = session;
        setId("burst-drawing");
        setMinSize(120, 110);
        setPrefHeight(124);
        setAccessibleText("Burst strength, frame by frame");
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(e -> gesture = null);
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
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeLine(0, Math.rint(base()) + 0.5, w, Math.rint(base()) + 0.5);
        double foot = Math.rint(x(between() ? 0 : 0.5)) + 0.5;
        g.setStroke(p.colour("type"));
        g.strokeLine(foot, base(), foot, base() + 7);
        g.strokeLine(foot - 4, base() + 7, foot + 4, base() + 7);
        g.setFill(p.colour("quiet"));
        g.setFont(p.numberFont(11));
        g.fillText("-" + Controls.plain(burst.envelope().before()), 4, h - 5);
        String after = "+" + Controls.plain(burst.envelope().after()) + " frames";
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(after, w - 4, h - 5);
        g.setTextAlign(TextAlignment.LEFT);
    }

    private void pressed(MouseEvent e) {
        gesture = null;
        held = null;
        if (!(burst.envelope() instanceof PeakEnvelope peakEnvelope)) {
            return;
        }
        for (Bar bar : bars()) {
            if (Math.abs(e.getX() - x(bar.outer())) < GRIP) {
                held = bar;
                byItsSide = true;
            }
        }
        for (Bar bar : bars()) {
            if (held == null && e.getX() >= x(bar.from) && e.getX() < x(bar.to)) {
                held = bar;
                byItsSide = false;
            }
        }
        if (held == null) {
            return;
        }
        if (e.getButton() == MouseButton.SECONDARY) {
            edit("Delete phase", h -> phase(h, phase -> List.of()));
            held = null;
        } else if (e.getClickCount() == 2 && !byItsSide) {
            edit("Split phase", h -> phase(h, BurstDrawing::split));
            held = null;
        } else {
            before = peakEnvelope;
            gesture = session.gesture("Shape " + burst.name());
        }
    }

    /** Splits a phase into two of the same strength. */
    private static List<Phase> split(Phase phase) {
        int half = (phase.frames() + 1) / 2;
        return List.of(phase.withFrames(half), phase.withFrames(phase.frames() - half));
    }

    private PeakEnvelope phase(PeakEnvelope peakEnvelope, Function<Phase, List<Phase>> change) {
        return BurstEdits.withPhase(peakEnvelope, held.later, held.number, change);
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
        if (byItsSide) {
            double outward = (frame(e.getX()) - held.outer()) * (held.later ? 1 : -1);
            int frames = (int) Math.clamp(held.to - held.from + Math.rint(outward), 0, 1000);
            shaped = phase(before, phase -> List.of(phase.withFrames(frames)));
        } else {
            double strength = (base() - e.getY()) / (base() - 14);
            double fine = e.isAltDown() ? 100 : 20;
            double to = Math.clamp(Math.rint(strength * fine) / fine, -2, 2);
            shaped = phase(before, phase -> List.of(phase.withStrength(to)));
        }
        String id = burst.id();
        gesture.editLook(look -> look.withBurst(id, b -> b.withEnvelope(shaped)));
    }
}
