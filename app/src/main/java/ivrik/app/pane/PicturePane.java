package ivrik.app.pane;

import ivrik.app.picture.ShownFrame;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.app.shape.PaneMapping;
import ivrik.app.theme.Marks;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.app.widget.TextFitting;
import ivrik.core.picture.Size;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.paint.Color;

import java.util.List;
import java.util.stream.DoubleStream;

/**
 * A view of the picture: zoomed and panned together with the other view, with handles, marks, split line and
 * loupe.
 */
public final class PicturePane extends Drawing {
    private static final double MARK = 6;

    /** Zoom stops of the keys, in screen pixels per sequence pixel. */
    static final List<Double> STOPS = List.of(0.25, 0.5, 1.0, 2.0, 4.0, 8.0, 16.0, 32.0);

    private static final double SPLIT_GRIP = 6;
    private static final double ZOOM_MIN = 0.05;
    private static final double ZOOM_MAX = 32;

    private final Session session;
    private final View view;
    private final Handles handles;
    private boolean workedOn = true;
    private Image image;
    private Image splitImage;
    private ShownFrame shown;
    private String gap = "";
    private double apart;
    private Point2D panFrom;
    private Point2D panCentre;
    private boolean draggingSplit;
    private Point2D pointer;

    public PicturePane(
            Session session, View view, ObjectProperty<Palette> palette, Handles handles) {
        super(palette);
        this.session = session;
        this.view = view;
        this.handles = handles;
        setMinSize(120, 90);
        setFocusTraversable(true);
        setOnScroll(this::scrolled);
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(
                e -> {
                    panFrom = null;
                    draggingSplit = false;
                    handles.released();
                });
        setOnMouseMoved(this::moved);
        setOnMouseExited(
                e -> {
                    pointer = null;
                    view.pointer.set(null);
                    redraw();
                });
        redrawOn(
                view.zoom,
                view.deviceScale,
                view.centre,
                view.split,
                view.surround,
                view.loupe,
                view.scopes,
                view.measured,
                view.handles,
                session.stateProperty());
    }

    /** Shows a new picture. */
    public void show(ShownFrame next) {
        shown = next;
        image = next.image();
        redraw();
    }

    /** Removes the picture. */
    public void clear() {
        image = null;
        splitImage = null;
        shown = null;
        gap = "";
        redraw();
    }

    /** Sets the picture to the left of the split line. */
    public void showSplit(ShownFrame source) {
        splitImage = source == null ? null : source.image();
        redraw();
    }

    /** Explains why there is no picture; empty if there is one. */
    public void explain(String why) {
        gap = why;
        redraw();
    }

    /** The explanation that replaces the picture; empty if there is none. */
    public String explanation() {
        return gap;
    }

    /** Sets the distance of the corner marks in screen pixels. */
    public void split(double pixels) {
        apart = pixels;
        redraw();
    }

    public ShownFrame shown() {
        return shown;
    }

    /** Sets whether the pane shows the selection; only then it has handles. */
    public void workedOn(boolean is) {
        workedOn = is;
        redraw();
    }

    private boolean hasHandles() {
        return workedOn && view.handles.get();
    }

    /** Present zoom in device pixels per sequence pixel. */
    public double zoom() {
        return mapping().zoom() * view.deviceScale.get();
    }

    private Size sequence() {
        return session.project().sequence().size();
    }

    private PaneMapping mapping() {
        return PaneMapping.of(
                sequence(),
                getWidth(),
                getHeight(),
                view.zoom.get(),
                view.deviceScale.get(),
                view.centre.get());
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double width, double height) {
        g.setFill(
                switch (view.surround.get()) {
                    case BLACK -> Color.gray(0.047);
                    case GREY -> Color.gray(0.466);
                    case WHITE -> Color.gray(1);
                });
        g.fillRect(0, 0, width, height);
        PaneMapping m = mapping();
        double w = sequence().width() * m.zoom();
        double h = sequence().height() * m.zoom();
        if (image != null) {
            g.setImageSmoothing(zoom() / shown.scale() < 1 || shown.scale() < 1);
            g.drawImage(image, m.left(), m.top(), w, h);
            drawSplit(g, p, m, w, h);
        }
        if (image != null) {
            drawMarks(g, p, m, width, height);
        }
        if (hasHandles() && image != null) {
            handles.draw(g, p, m);
        }
        if (view.scopes.get() && view.measured.get() != null && image != null) {
            drawMeasured(g, p, m);
        }
        if (!gap.isEmpty()) {
            explain(g, p, width, height);
        }
        if (view.loupe.get() && pointer != null && image != null) {
            Loupe.draw(g, p, image, shown, m, pointer, width, height);
        }
    }

    private void drawSplit(GraphicsContext g, Palette p, PaneMapping m, double w, double h) {
        if (view.split.get() < 0 || splitImage == null) {
            return;
        }
        double split = split(m);
        double x = m.left() + split * w;
        TextFitting.leftPart(g, splitImage, split, m.left(), m.top(), w, h);
        g.setStroke(p.colour("paper"));
        g.setLineWidth(1);
        g.strokeLine(Math.rint(x) + 0.5, m.top(), Math.rint(x) + 0.5, m.top() + h);
    }

    /**
     * Position of the split line as a share of the picture's width, limited to the visible part.
     */
    private double split(PaneMapping m) {
        double w = sequence().width() * m.zoom();
        double least = (2 * SPLIT_GRIP - m.left()) / w;
        double most = (getWidth() - 2 * SPLIT_GRIP - m.left()) / w;
        double seen = Math.clamp(view.split.get(), least, Math.max(least, most));
        return Math.clamp(seen, 0, 1);
    }

    /** Draws the region of the scopes. */
    private void drawMeasured(GraphicsContext g, Palette p, PaneMapping m) {
        var part = view.measured.get();
        g.setStroke(p.colour("paper"));
        g.setLineWidth(1);
        g.setLineDashes(4, 4);
        g.strokeRect(
                Math.rint(m.left() + part.getMinX() * m.zoom()) + 0.5,
                Math.rint(m.top() + part.getMinY() * m.zoom()) + 0.5,
                part.getWidth() * m.zoom(),
                part.getHeight() * m.zoom());
        g.setLineDashes();
    }

    /** Draws corner marks outside the picture. */
    private void drawMarks(
            GraphicsContext g, Palette p, PaneMapping m, double width, double height) {
        double in = MARK * 2.5;
        for (double x : new double[] {in, width - in}) {
            for (double y : new double[] {in, height - in}) {
                Point2D there = m.toPicture(x, y);
                double room = in / m.zoom();
                boolean free =
                        there.getX() < -room
                                || there.getY() < -room
                                || there.getX() > sequence().width() + room
                                || there.getY() > sequence().height() + room;
                if (free) {
                    Marks.register(
                            g, p, Math.rint(x) + 0.5, Math.rint(y) + 0.5, MARK * 0.62, apart);
                }
            }
        }
    }

    private void explain(GraphicsContext g, Palette p, double width, double height) {
        g.setFont(p.textFont(14));
        g.setFill(p.colour("background").deriveColor(0, 1, 1, 0.85));
        String said = Character.toUpperCase(gap.charAt(0)) + gap.substring(1);
        List<String> lines = TextFitting.lines(said, g.getFont(), width - 60);
        double line = 1.6 * g.getFont().getSize();
        double high = line * (lines.size() + 1.5);
        g.fillRect(0, height / 2 - high / 2, width, high);
        g.setFill(p.colour("type"));
        g.setTextAlign(javafx.scene.text.TextAlignment.CENTER);
        for (int i = 0; i < lines.size(); i++) {
            double y = height / 2 + line * (i - (lines.size() - 1) / 2.0) + 5;
            g.fillText(lines.get(i), width / 2, y, width - 40);
        }
        g.setTextAlign(javafx.scene.text.TextAlignment.LEFT);
    }

    private void scrolled(ScrollEvent e) {
        if (e.getDeltaY() == 0) {
            return;
        }
        zoomAt(e.getX(), e.getY(), e.getDeltaY() > 0 ? 1.25 : 0.8);
        e.consume();
    }

    /** Zooms to the next stop about the middle of the pane. */
    public void zoomToStop(boolean closer) {
        double now = zoom();
        DoubleStream beyond =
                STOPS.stream()
                        .mapToDouble(s -> s)
                        .filter(s -> closer ? s > now * 1.001 : s < now * 0.999);
        (closer ? beyond.min() : beyond.max())
                .ifPresent(to -> zoomAt(getWidth() / 2, getHeight() / 2, to / now));
    }

    /** Zooms by a factor about a position of the pane. */
    public void zoomAt(double x, double y, double factor) {
        PaneMapping m = mapping();
        Point2D under = m.toPicture(x, y);
        double device = Math.clamp(zoom() * factor, ZOOM_MIN, ZOOM_MAX);
        double zoom = device / view.deviceScale.get();
        Size size = sequence();
        view.centre.set(
                new Point2D(
                        (under.getX() + (getWidth() / 2 - x) / zoom) / size.width(),
                        (under.getY() + (getHeight() / 2 - y) / zoom) / size.height()));
        view.zoom.set(device);
    }

    private void pressed(MouseEvent e) {
        requestFocus();
        PaneMapping m = mapping();
        if (view.sampling.get() != null) {
            var asked = view.sampling.get();
            view.sampling.set(null);
            asked.accept(m.toPicture(e.getX(), e.getY()));
            return;
        }
        double splitX = m.left() + split(m) * sequence().width() * m.zoom();
        if (view.split.get() >= 0 && Math.abs(e.getX() - splitX) < SPLIT_GRIP) {
            draggingSplit = true;
        } else if (hasHandles() && handles.pressed(e, m)) {
            redraw();
        } else {
            panFrom = new Point2D(e.getX(), e.getY());
            Size size = sequence();
            Point2D middle = m.toPicture(getWidth() / 2, getHeight() / 2);
            panCentre = new Point2D(middle.getX() / size.width(), middle.getY() / size.height());
        }
    }

    private void dragged(MouseEvent e) {
        PaneMapping m = mapping();
        Size size = sequence();
        if (draggingSplit) {
            view.split.set(Math.clamp((e.getX() - m.left()) / (size.width() * m.zoom()), 0, 1));
        } else if (panFrom != null) {
            view.zoom.set(zoom());
            view.centre.set(
                    new Point2D(
                            panCentre.getX()
                                    - (e.getX() - panFrom.getX()) / m.zoom() / size.width(),
                            panCentre.getY()
                                    - (e.getY() - panFrom.getY()) / m.zoom() / size.height()));
        } else {
            handles.dragged(e, m);
        }
        moved(e);
    }

    private void moved(MouseEvent e) {
        pointer = new Point2D(e.getX(), e.getY());
        Point2D at = mapping().toPicture(e.getX(), e.getY());
        boolean inside =
                at.getX() >= 0
                        && at.getY() >= 0
                        && at.getX() < sequence().width()
                        && at.getY() < sequence().height();
        view.pointer.set(inside ? at : null);
        if (view.loupe.get()) {
            redraw();
        }
    }

    /** The title of a pane. */
    static String title(Show show, boolean without, boolean held) {
        return held
                ? Show.HELD.toString()
                : without && show == Show.RESULT ? "Bypass" : show.toString();
    }
}
