package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.CanvasLines;
import ivrik.app.widget.TextFitting;
import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Source;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

import java.util.List;
import java.util.Map;

/** Draws the timeline: ruler, graphs with keyframes, markers, cuts and the ribbon of shots. */
final class TimePainter {
    /** Smallest width of a shot with a name, in pixels. */
    private static final double MIN_NAMED = 24;

    private final Session session;
    private final View view;
    private final GraphicsContext g;
    private final Palette p;
    private final double width;
    private final double height;
    private final TimeScale scale;
    private Graph.Results results;

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

    /** Draws a hint for an empty project. */
    void paintEmpty() {
        g.setFill(p.colour("quiet"));
        g.setFont(p.textFont(13));
        g.fillText("Timeline: shots, cuts and the keyframed values of each channel.", 16, 30);
    }

    void paint(
            boolean[] cached,
            Graph.Results graphed,
            KeyframeActions hands,
            Map<String, Image> pictures,
            Filmstrip filmstrip) {
        results = graphed;
        ruler(cached);
        double bottom = rows(hands);
        new BurstBand(session, scale, bottom).paint(g, p, view.face.get() == View.Face.BURST);
        ribbons(bottom, pictures, filmstrip);
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
        RulerTicks ticks = RulerTicks.of(scale.frameWidth(), rate);
        g.setFont(p.numberFont(11));
        g.setLineWidth(1);
        long step = ticks.small();
        for (long f = scale.first() / step * step; f < scale.end(); f += step) {
            boolean large = f % ticks.every() == 0;
            double x = Math.rint(scale.x(f));
            g.setFill(p.colour(large ? "quiet" : "line"));
            CanvasLines.vertical(g, x, large ? 10 : 18, Metrics.HEAD - 4, 1);
            if (large && scale.x(f) < width - 30) {
                g.setFill(p.colour("quiet"));
                g.fillText(Long.toString(f), x + 4, 16);
            }
        }
        line(Metrics.HEAD - 0.5);
    }

    private void line(double y) {
        g.setFill(p.colour("line"));
        CanvasLines.level(g, 0, y - 0.5, width, 1);
    }

    private double rows(KeyframeActions hands) {
        Look look = session.state().look().orElseThrow();
        GraphRows rows = new GraphRows(session.state(), view, results);
        GraphPainter graphs = new GraphPainter(g, p, scale, look, results, hands);
        for (int row = 0; row < rows.channels(); row++) {
            if (row == session.state().channel() && !rows.isTall()) {
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
            graphs.paint(rows.graph(row), rows.middle(row));
            g.restore();
        }
        if (rows.isTall() && rows.count() > 0) {
            graphs.heights(rows.graph(0), rows.middle(0));
        }
        return rows.bottom();
    }

    /** Layers from the top as thin bars, and the bottom layer as a ribbon with pictures. */
    private void ribbons(double top, Map<String, Image> pictures, Filmstrip filmstrip) {
        List<Layer> layers = session.project().layers();
        String selected = session.state().layer().map(Layer::id).orElse("");
        for (int i = layers.size() - 1; i >= 0; i--) {
            Layer layer = layers.get(i);
            double y = ShotRibbon.top(layers, i, top);
            double h = ShotRibbon.height(layers, i);
            for (Clip clip : layer.clips()) {
                if (clip.end() < scale.first() || clip.start() > scale.end()) {
                    continue;
                }
                double x = scale.x(clip.start());
                double w = scale.x(clip.end()) - x - 1;
                g.setFill(p.colour("raised"));
                g.fillRect(x, y, w, h);
                if (i == 0) {
                    pictures(clip, pictures.get(clip.source()), filmstrip, x, y, w, h);
                }
                boolean on = layer.id().equals(selected);
                g.setFill(p.colour(on ? "paper" : "line"));
                CanvasLines.outline(g, Math.rint(x), y, Math.rint(w), h);
                if (view.selectedShots.get().contains(new View.ShotId(layer.id(), clip.id()))) {
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
        if (w < MIN_NAMED) {
            return;
        }
        Font font = p.textFont(h < 14 ? 10.5 : 12);
        String shown = TextFitting.fitted(name, font, w - 12);
        if (shown.isEmpty()) {
            return;
        }
        g.setFont(font);
        if (over) {
            g.setFill(p.colour("background").deriveColor(0, 1, 1, 0.75));
            g.fillRect(x + 1, y + 1, TextFitting.width(shown, font) + 10, 16);
        }
        g.setFill(p.colour("type"));
        g.fillText(shown, x + 6, y + Math.min(13, h - (h < 14 ? 3 : 4)));
    }

    /**
     * Frames of a shot side by side, each from the time in its middle.
     *
     * @param image shown where the picture of a frame is not made yet; null if not made either
     */
    private void pictures(
            Clip clip, Image image, Filmstrip filmstrip, double x, double y, double w, double h) {
        Source source = session.project().source(clip.source()).orElse(null);
        if (image == null || source == null) {
            return;
        }
        Rational rate = session.project().sequence().rate();
        double each = h * image.getWidth() / image.getHeight();
        double first = x + Math.max(0, Math.floor(-x / each)) * each;
        for (double at = first; at < Math.min(x + w, width); at += each) {
            double middle = (Math.min(at + each, x + w) + at) / 2;
            long frame = clip.sourceFrame(scale.frame(middle), source, rate);
            Image shown = filmstrip.picture(source, frame).orElse(image);
            TextFitting.leftPart(g, shown, Math.min(1, (x + w - at) / each), at, y, each, h);
        }
    }

    private void marks(double rowsBottom) {
        g.setLineWidth(1);
        double ribbon = ShotRibbon.top(session.project().layers(), 0, rowsBottom);
        for (long cut : session.project().cuts()) {
            double x = scale.x(cut);
            g.setFill(p.colour("line"));
            CanvasLines.vertical(g, Math.rint(x), Metrics.HEAD, rowsBottom, 1);
            g.setFill(p.colour("paper"));
            g.fillPolygon(
                    new double[] {x - 6, x + 5, x - 0.5},
                    new double[] {ribbon - 1, ribbon - 1, ribbon + 7},
                    3);
        }
        g.setFont(p.textFont(11));
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
