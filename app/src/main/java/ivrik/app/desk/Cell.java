package ivrik.app.desk;

import ivrik.app.control.Drawing;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.Values;
import ivrik.app.session.View;
import ivrik.app.shape.Shape;
import ivrik.app.shape.Shapes;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Settings;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** A lane's share in a treatment, as a small drawing with its number. */
final class Cell extends Drawing {
    private static final double FAINT = 0.45;

    private final Session session;
    private final View view;
    private final String step;
    private final int lane;
    private final LaneKind kind;

    Cell(
            Session session,
            View view,
            ObjectProperty<Palette> palette,
            Step step,
            int lane,
            LaneKind kind) {
        super(palette);
        this.session = session;
        this.view = view;
        this.step = step.id();
        this.lane = lane;
        this.kind = kind;
        redrawOn(view.frame, session.stateProperty());
        setAccessibleText(kind.title() + ", " + step.kind().description().title());
    }

    String stepId() {
        return step;
    }

    int lane() {
        return lane;
    }

    /** Whether it stands for the whole picture. */
    boolean isWhole() {
        return kind == LaneEdits.PICTURE;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        Step told = look == null ? null : look.step(step).orElse(null);
        if (told == null || lane >= look.lanes().size()) {
            return;
        }
        Settings now = Values.at(session, view.frame.get()).orElseThrow().settings(told, lane);
        boolean held =
                !told.isWhole() && look.lanes().get(lane).hold() && told.kind() instanceof Move;
        boolean acts = told.on() && (told.isWhole() || !held && look.isShown(lane));
        Shape shape = Shapes.of(told.kind().description().control());
        double top = told.isWhole() ? h / 2 - 14 : h < Metrics.LOW ? 15 : 25;
        double foot = told.isWhole() ? h / 2 + 20 : h - (h < Metrics.LOW ? 7 : 11);
        g.setGlobalAlpha(acts ? 1 : FAINT);
        shape.draw(g, p, w / 2, top, Math.min(16, top - 5), p.ink(kind), told.kind(), now);
        if (!told.amounts(lane).jitter().isNone()) {
            g.setStroke(p.ink(kind));
            g.setLineWidth(1);
            g.strokeOval(w / 2 - 7, top - 7, 14, 14);
        }
        g.setGlobalAlpha(1);
        g.setTextAlign(TextAlignment.CENTER);
        g.setFont(p.numbers(12));
        boolean neutral = held || told.kind().isNeutral(now);
        g.setFill(p.colour(neutral ? "quiet" : "type"));
        String text = held ? "still" : shape.text(told.kind(), now);
        g.fillText(text, w / 2, foot, w - 6);
        g.setTextAlign(TextAlignment.LEFT);
    }
}
