package ivrik.app.scope;

import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.core.measure.Scope;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** A scope with its graticule; dark in both colour schemes. */
final class ScopeDrawing extends Drawing {
    private static final double LEFT = 26;
    private static final double EDGE = 8;

    /** Saturated red, yellow, green, cyan, blue and magenta as ARGB. */
    private static final int[] FULL = {
        0xffff0000, 0xffffff00, 0xff00ff00, 0xff00ffff, 0xff0000ff, 0xffff00ff
    };

    private static final String[] LETTERS = {"R", "Y", "G", "C", "B", "M"};

    private ScopeKind kind = ScopeKind.WAVEFORM;
    private WritableImage image;

    ScopeDrawing(ObjectProperty<Palette> palette) {
        super(palette);
        setId("scope");
        setMinSize(120, 120);
        setPrefSize(240, 220);
    }

    void show(ScopeKind shown, int[] pixels) {
        kind = shown;
        if (pixels == null) {
            image = null;
        } else {
            int side = ScopeImage.SIDE;
            image = new WritableImage(side, side);
            image.getPixelWriter()
                    .setPixels(
                            0, 0, side, side, PixelFormat.getIntArgbPreInstance(), pixels, 0, side);
        }
        setAccessibleText(kind.title());
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double width, double height) {
        g.setFill(Color.gray(0.05));
        g.fillRect(0, 0, width, height);
        if (kind == ScopeKind.VECTORSCOPE) {
            vectorscope(g, p, width, height);
        } else {
            field(g, p, width, height);
        }
    }

    private void field(GraphicsContext g, Palette p, double width, double height) {
        double w = width - LEFT - EDGE;
        double h = height - 2 * EDGE;
        g.setStroke(Color.gray(0.24));
        g.setLineWidth(1);
        g.setFont(p.numberFont(10));
        g.setFill(Color.gray(0.66));
        for (int k = 0; k <= 4; k++) {
            if (kind == ScopeKind.HISTOGRAM) {
                double x = Math.rint(LEFT + w * k / 4) + 0.5;
                g.strokeLine(x, EDGE, x, EDGE + h);
            } else {
                double y = Math.rint(EDGE + h * (4 - k) / 4) + 0.5;
                g.strokeLine(LEFT, y, LEFT + w, y);
                g.setTextAlign(TextAlignment.RIGHT);
                g.fillText(Integer.toString(25 * k), LEFT - 4, Math.min(y + 4, height - 2));
            }
        }
        g.setTextAlign(TextAlignment.LEFT);
        if (image != null) {
            g.setImageSmoothing(true);
            g.drawImage(image, LEFT, EDGE, w, h);
        }
    }

    private void vectorscope(GraphicsContext g, Palette p, double width, double height) {
        double side = Math.min(width, height) - 2 * EDGE;
        double left = (width - side) / 2;
        double top = (height - side) / 2;
        g.setStroke(Color.gray(0.24));
        g.setLineWidth(1);
        g.strokeOval(left, top, side, side);
        double middleX = Math.rint(left + side / 2) + 0.5;
        double middleY = Math.rint(top + side / 2) + 0.5;
        g.strokeLine(middleX, top, middleX, top + side);
        g.strokeLine(left, middleY, left + side, middleY);
        if (image != null) {
            g.setImageSmoothing(true);
            g.drawImage(image, left, top, side, side);
        }
        g.setFont(p.textFont(11));
        g.setTextAlign(TextAlignment.CENTER);
        for (int i = 0; i < FULL.length; i++) {
            double x = left + side * Scope.cb(FULL[i]) / (Scope.CODES - 1);
            double y = top + side * (1 - Scope.cr(FULL[i]) / (Scope.CODES - 1.0));
            g.setStroke(Color.gray(0.6));
            g.strokeRect(Math.rint(x) - 3.5, Math.rint(y) - 3.5, 7, 7);
            g.setFill(Color.gray(0.75));
            double in = x > middleX ? -12 : 12;
            g.fillText(LETTERS[i], x + in, y + 4);
        }
        g.setTextAlign(TextAlignment.LEFT);
    }
}
