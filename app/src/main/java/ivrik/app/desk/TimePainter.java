package ivrik.app.desk;

import ivrik.app.control.Bars;
import ivrik.app.control.Fitting;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

import java.util.List;
import java.util.Map;

/** Draws time: ruler, traces with their pegs, markers, cuts, and the ribbon of shots. */
final class TimePainter {
    /** A shot that is drawn narrower has no name, in pixels. */
    private static final double LEAST_NAMED = 24;

    private final Session session;
    private final View view;
    private final GraphicsContext g;
    private final Palette p;
    private final double width;
    private final double height;
    private final TimeScale scale;
    private Trace.Results results;

    TimePainter(
            Session session, View view, GraphicsContext g, Palette p, double width, double height) {
        this.session = session;
        this.view = view;
        this.g = g;
        this.p = p;
        this.width = width;
        this.height = height;
        this.scale = TimeScale.of(view, width, session.project().frames());
    }

    /** Where there is nothing to be timed yet, a word about what will be here. */
    void paintEmpty() {
        g.setFill(p.colour("quiet"));
        g.setFont(p.words(13));
        g.fillText("Time runs here: shots, cuts, and how each lane moves.", 16, 30);
    }

    void paint(
            boolean[] cached, Trace.Results traced, PegHands hands, Map<String, Image> pictures) {
        results = traced;
        ruler(cached);
        double bottom = rows(hands);
        new BurstBand(session, scale, bottom).paint(g, p, view.face.get() == View.Face.BURST);
        ribbons(bottom, pictures);
        marks(bottom);
    }

    private void ruler(boolean[] cached) {
        Project project = session.project();
        g.setFill(p.colour("panel"));
        g.fillRect(0, 0, width, Metrics.HEAD);
        FrameRange played = project.played();
        if (project.playRange().isPresent()) {
            g.setFill(p.colour("raised"));
            g.fillRect(
                    scale.x(played.first()),
                    0,
                    scale.x(played.last() + 1) - scale.x(played.first()),
                    Metrics.HEAD);
            g.setFill(p.colour("paper"));
            g.fillRect(scale.x(played.first()), 0, 2, Metrics.HEAD);
            g.fillRect(scale.x(played.last() + 1) - 2, 0, 2, Metrics.HEAD);
        }
        g.setFill(p.colour("quiet"));
        for (int n = (int) scale.first(); n < Math.min(cached.length, scale.end()); n++) {
            if (cached[n]) {
                g.fillRect(scale.x(n), Metrics.HEAD - 3, Math.max(1, scale.frameWidth()), 2);
            }
        }
        double rate = project.sequence().rate().toDouble();
        long every = tickEvery(rate);
        g.setFont(p.numbers(11));
        g.setLineWidth(1);
        long step = Math.max(1, every / 4);
        for (long f = scale.first() / step * step; f < scale.end(); f += step) {
            boolean large = f % every == 0;
            double x = Math.rint(scale.x(f));
            g.setFill(p.colour(large ? "quiet" : "line"));
            Bars.upright(g, x, large ? 10 : 18, Metrics.HEAD - 4, 1);
            if (large && scale.x(f) < width - 30) {
                g.setFill(p.colour("quiet"));
                g.fillText(Long.toString(f), x + 4, 16);
            }
        }
        line(Metrics.HEAD - 0.5);
    }

    /** A tick about every 80 pixels, in halves and multiples of a second. */
    private long tickEvery(double rate) {
        double frames = 80 / scale.frameWidth();
        long second = Math.max(1, Math.round(rate));
        for (long step :
                new long[] {
                    4, 12, second, 2 * second, 5 * second, 10 * second, 30 * second, 60 * second
                }) {
            if (step >= frames) {
                return step;
            }
        }
        return 300 * second;
    }

    private void line(double y) {
        g.setFill(p.colour("line"));
        Bars.level(g, 0, y - 0.5, width, 1);
    }

    private double rows(PegHands hands) {
        Look look = session.state().look().orElseThrow();
        TraceRows rows = new TraceRows(session.state(), view, results);
        TracePainter traces = new TracePainter(g, p, scale, look, results, hands);
        for (int row = 0; row < rows.lanes(); row++) {
            if (row == session.state().lane() && !rows.isTall()) {
                g.setFill(p.colour("raised").deriveColor(0, 1, 1, 0.5));
                g.fillRect(0, rows.top(row), width, rows.height());
            }
            if (!rows.isTall()) {
                line(rows.top(row + 1) - 0.5);
            }
        }
        line(rows.bottom() - 0.5);
        for (int row = 0; row < rows.count(); row++) {
            g.save();
            g.beginPath();
            double top = rows.isTall() ? Metrics.HEAD : rows.top(row);
            double bottom = rows.isTall() ? rows.bottom() : rows.top(row + 1);
            g.rect(0, top, width, bottom - top);
            g.clip();
            traces.paint(rows.trace(row), rows.middle(row));
            g.restore();
        }
        if (rows.isTall() && rows.count() > 0) {
            traces.heights(rows.trace(0), rows.middle(0));
        }
        return rows.bottom();
    }

    /** From the top layer down: a thin bar each, and the lowest as a ribbon with pictures. */
    private void ribbons(double top, Map<String, Image> pictures) {
        List<Layer> layers = session.project().layers();
        String selected = session.state().layer().map(Layer::id).orElse("");
        for (int i = layers.size() - 1; i >= 0; i--) {
            Layer layer = layers.get(i);
            double y = Ribbon.top(layers, i, top);
            double h = Ribbon.height(layers, i);
            for (Clip clip : layer.clips()) {
                if (clip.end() < scale.first() || clip.start() > scale.end()) {
                    continue;
                }
                double x = scale.x(clip.start());
                double w = scale.x(clip.end()) - x - 1;
                g.setFill(p.colour("raised"));
                g.fillRect(x, y, w, h);
                if (i == 0) {
                    pictures(clip, pictures, x, y, w, h);
                }
                boolean on = layer.id().equals(selected);
                g.setFill(p.colour(on ? "paper" : "line"));
                Bars.outline(g, Math.rint(x), y, Math.rint(w), h);
                if (view.pickedShots.get().contains(new View.Shot(layer.id(), clip.id()))) {
                    g.setFill(p.colour("paper"));
                    g.fillRect(Math.rint(x), y, Math.rint(w), 4);
                    g.fillRect(Math.rint(x), y + h - 4, Math.rint(w), 4);
                }
                name(
                        clip.isSpan()
                                ? layer.name()
                                : session.project()
                                        .source(clip.source())
                                        .map(s -> s.name())
                                        .orElse("missing"),
                        x,
                        y,
                        w,
                        h,
                        i == 0);
            }
        }
    }

    private void name(String name, double x, double y, double w, double h, boolean over) {
        if (w < LEAST_NAMED) {
            return;
        }
        Font font = p.words(h < 14 ? 10.5 : 12);
        String shown = Fitting.words(name, font, w - 12);
        if (shown.isEmpty()) {
            return;
        }
        g.setFont(font);
        if (over) {
            g.setFill(p.colour("ground").deriveColor(0, 1, 1, 0.75));
            g.fillRect(x + 1, y + 1, Fitting.width(shown, font) + 10, 16);
        }
        g.setFill(p.colour("type"));
        g.fillText(shown, x + 6, y + Math.min(13, h - (h < 14 ? 3 : 4)));
    }

    private void pictures(
            Clip clip, Map<String, Image> pictures, double x, double y, double w, double h) {
        Image image = pictures.get(clip.source());
        if (image == null) {
            return;
        }
        double each = h * image.getWidth() / image.getHeight();
        double first = x + Math.max(0, Math.floor(-x / each)) * each;
        for (double at = first; at < Math.min(x + w, width); at += each) {
            Fitting.leftPart(g, image, Math.min(1, (x + w - at) / each), at, y, each, h);
        }
    }

    private void marks(double rowsBottom) {
        g.setLineWidth(1);
        double ribbon = Ribbon.top(session.project().layers(), 0, rowsBottom);
        for (long cut : session.project().cuts()) {
            double x = scale.x(cut);
            g.setFill(p.colour("line"));
            Bars.upright(g, Math.rint(x), Metrics.HEAD, rowsBottom, 1);
            g.setFill(p.colour("paper"));
            g.fillPolygon(
                    new double[] {x - 6, x + 5, x - 0.5},
                    new double[] {ribbon - 1, ribbon - 1, ribbon + 7},
                    3);
        }
        g.setFont(p.words(11));
        for (Marker marker : session.project().markers()) {
            double x = Math.rint(scale.x(marker.frame() + 0.5)) + 0.5;
            Color colour = marker.colour().map(p::readable).orElse(p.colour("quiet"));
            g.setStroke(colour);
            g.setLineDashes(2, 3);
            g.strokeLine(x, Metrics.HEAD, x, rowsBottom);
            g.setLineDashes();
            g.setFill(colour);
            g.fillPolygon(
                    new double[] {x - 4, x + 4, x},
                    new double[] {Metrics.HEAD, Metrics.HEAD, Metrics.HEAD + 6},
                    3);
            g.fillText(marker.name(), x + 6, Metrics.HEAD + 11);
        }
    }
}
