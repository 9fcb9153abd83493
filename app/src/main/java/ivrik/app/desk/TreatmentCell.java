package ivrik.app.desk;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.CurrentValues;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.Shape;
import ivrik.app.shape.Shapes;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.separation.ChannelKind;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Settings;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** A channel's settings in a treatment, as a small drawing with a number. */
final class TreatmentCell extends Drawing {
    private static final double FAINT = 0.45;

    private final Session session;
    private final View view;
    private final String step;
    private final int channel;
    private final ChannelKind kind;

    TreatmentCell(
            Session session,
            View view,
            ObjectProperty<Palette> palette,
            Step step,
            int channel,
            ChannelKind kind) {
        super(palette);
        this.session = session;
        this.view = view;
        this.step = step.id();
        this.channel = channel;
        this.kind = kind;
        redrawOn(view.frame, session.stateProperty());
        setAccessibleText(kind.title() + ", " + step.kind().description().title());
    }

    String stepId() {
        return step;
    }

    int channel() {
        return channel;
    }

    /** Whether the cell belongs to the whole picture. */
    boolean isWhole() {
        return kind == ChannelEdits.PICTURE;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        Look look = session.state().look().orElse(null);
        Step reported = look == null ? null : look.step(step).orElse(null);
        if (reported == null || channel >= look.channels().size()) {
            return;
        }
        Settings now =
                CurrentValues.at(session, view.frame.get())
                        .orElseThrow()
                        .settings(reported, channel);
        boolean held =
                !reported.isWhole()
                        && look.channels().get(channel).fixed()
                        && reported.kind() instanceof Move;
        boolean acts = reported.on() && (reported.isWhole() || !held && look.isShown(channel));
        Shape shape = Shapes.of(reported.kind().description().control());
        double top = reported.isWhole() ? h / 2 - 14 : h < Metrics.LOW ? 15 : 25;
        double foot = reported.isWhole() ? h / 2 + 20 : h - (h < Metrics.LOW ? 7 : 11);
        g.setGlobalAlpha(acts ? 1 : FAINT);
        shape.draw(g, p, w / 2, top, Math.min(16, top - 5), p.ink(kind), reported.kind(), now);
        if (!reported.settings(channel).jitter().isNone()) {
            g.setStroke(p.ink(kind));
            g.setLineWidth(1);
            g.strokeOval(w / 2 - 7, top - 7, 14, 14);
        }
        g.setGlobalAlpha(1);
        g.setTextAlign(TextAlignment.CENTER);
        g.setFont(p.numberFont(12));
        boolean neutral = held || reported.kind().isNeutral(now);
        g.setFill(p.colour(neutral ? "quiet" : "type"));
        String text = held ? "fixed" : shape.text(reported.kind(), now);
        g.fillText(text, w / 2, foot, w - 6);
        g.setTextAlign(TextAlignment.LEFT);
    }
}
