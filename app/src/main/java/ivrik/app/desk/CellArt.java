package ivrik.app.desk;

import ivrik.app.theme.Palette;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.KernelFilter;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Pins;
import ivrik.core.treatment.Plot;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.Locale;
import java.util.function.DoubleUnaryOperator;

/** The small drawings of the cells: one for each shape that the numbers of a treatment can have. */
enum CellArt {
    /** Where the lane is moved, as a point away from a cross. */
    PAD {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            double dx = s.number("x");
            double dy = s.number("y");
            double far = Math.hypot(dx, dy);
            double length = far == 0 ? 0 : 0.25 + 1.1 * (1 - Math.exp(-far / 14));
            double px = x + (far == 0 ? 0 : dx / far * length * r);
            double py = y + (far == 0 ? 0 : dy / far * length * r * 0.7);
            g.strokeLine(x, y, px, py);
            g.fillOval(px - 4, py - 4, 8, 8);
        }

        @Override
        String text(Treatment t, Settings s) {
            return signed(s.number("x")) + " " + signed(s.number("y"));
        }
    },
    /** How far the first number is from rest, as a bar. */
    RULER {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            Parameter main = t.description().main();
            double away = s.number(main.name()) - main.rest();
            double room = Math.max(main.max() - main.rest(), main.rest() - main.min());
            double share = Math.min(1, Math.pow(Math.abs(away) / room, 0.35));
            double left = main.min() < main.rest() ? x : x - 24;
            double width = (left == x ? 24 : 48) * share;
            g.fillRect(away < 0 ? left - width : left, y - 4, Math.max(width, 1.5), 8);
        }
    },
    /** A line of that direction. */
    DIRECTION {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            double length = s.number("length");
            double half = length == 0 ? 0 : r * (0.3 + 1.1 * (1 - Math.exp(-length / 40)));
            double a = Math.toRadians(s.number("angle"));
            double dx = Math.cos(a) * half;
            double dy = Math.sin(a) * Math.min(half, r);
            g.strokeLine(x - dx, y - dy, x + dx, y + dy);
            g.fillOval(x - 2, y - 2, 4, 4);
        }
    },
    /** Uprights over as far as the wavelengths are spread. */
    SPECTRUM {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            double length = Math.abs(s.number("length"));
            double half = length == 0 ? 0 : r * (0.3 + 1.1 * (1 - Math.exp(-length / 40)));
            for (int i = -3; i <= 3; i++) {
                double high = r * 0.55 * Math.exp(-i * i / 5.0);
                g.strokeLine(x + half * i / 3, y - high, x + half * i / 3, y + high);
            }
        }
    },
    /** Two arcs, the outer one where the corner comes. */
    LENS {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            double corner = s.number("k0") + s.number("k1") + s.number("k2");
            double by = Math.signum(corner) * (1 - Math.exp(-Math.abs(corner) / 2));
            double out = r * (0.7 + 0.3 * by);
            g.setLineDashes(2, 2);
            g.strokeOval(x - r * 0.7, y - r * 0.7, 1.4 * r, 1.4 * r);
            g.setLineDashes();
            g.strokeOval(x - out, y - out, 2 * out, 2 * out);
        }

        @Override
        String text(Treatment t, Settings s) {
            double corner = s.number("k0") + s.number("k1") + s.number("k2");
            return signed(corner) + " %";
        }
    },
    /** The curve of what comes out for what goes in. */
    PLOT {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            if (!(t instanceof Plot plot)) {
                return;
            }
            DoubleUnaryOperator curve = plot.plotted(s);
            double amount = s.amount();
            g.beginPath();
            for (int i = 0; i <= 24; i++) {
                double v = i / 24.0;
                double out = v + amount * (curve.applyAsDouble(v) - v);
                double px = x - r + 2 * r * v;
                double py = y + r - 2 * r * Math.clamp(out, 0, 1);
                if (i == 0) {
                    g.moveTo(px, py);
                } else {
                    g.lineTo(px, py);
                }
            }
            g.stroke();
        }

        @Override
        String text(Treatment t, Settings s) {
            if (t.description().series().isEmpty()) {
                return RULER.text(t, s);
            }
            int n = s.count(t.description().series().get());
            return n == 1 ? "1 point" : n + " points";
        }
    },
    /** The weights as squares. */
    GRID {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            double cell = 2 * r / KernelFilter.SIDE;
            for (int i = 0; i < KernelFilter.SIDE * KernelFilter.SIDE; i++) {
                double w = s.number(KernelFilter.name(i));
                double side = cell * Math.min(0.9, 0.2 + Math.abs(w) / 3);
                double px = x - r + (i % KernelFilter.SIDE + 0.5) * cell;
                double py = y - r + (i / KernelFilter.SIDE + 0.5) * cell;
                if (w > 0) {
                    g.fillRect(px - side / 2, py - side / 2, side, side);
                } else if (w < 0) {
                    g.setLineWidth(1);
                    g.strokeRect(px - side / 2, py - side / 2, side, side);
                }
            }
        }

        @Override
        String text(Treatment t, Settings s) {
            return t.isNeutral(s) ? "as it is" : "kernel";
        }
    },
    /** Each pin and where it goes. */
    PINS {
        @Override
        void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
            for (int i = 0; i < s.count(Pins.SERIES); i++) {
                double px = x + Math.clamp(s.number(Pins.SERIES, i, "x") / 20, -26, 26);
                double py = y + Math.clamp(s.number(Pins.SERIES, i, "y") / 20, -r, r);
                double dx = Math.clamp(s.number(Pins.SERIES, i, "dx") / 4, -12, 12);
                double dy = Math.clamp(s.number(Pins.SERIES, i, "dy") / 4, -12, 12);
                g.strokeLine(px, py, px + dx, py + dy);
                g.fillOval(px - 2, py - 2, 4, 4);
            }
        }

        @Override
        String text(Treatment t, Settings s) {
            int n = s.count(Pins.SERIES);
            return n == 1 ? "1 pin" : n + " pins";
        }
    };

    static CellArt of(Control control) {
        return valueOf(control.name());
    }

    abstract void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s);

    /** The number under the drawing. */
    String text(Treatment t, Settings s) {
        Parameter main = t.description().main();
        double v = s.number(main.name());
        String unit = main.unit().isEmpty() ? "" : " " + main.unit();
        return (main.min() < 0 ? signed(v) : plain(v)) + unit;
    }

    /**
     * Draws about a place.
     *
     * @param r how far it may go up and down, in pixels
     */
    void draw(
            GraphicsContext g,
            Palette p,
            double x,
            double y,
            double r,
            Color ink,
            Treatment t,
            Settings s) {
        g.setStroke(p.colour("line"));
        g.setLineWidth(1);
        g.strokeLine(x - 26, Math.rint(y) + 0.5, x + 26, Math.rint(y) + 0.5);
        g.strokeLine(Math.rint(x) + 0.5, y - r, Math.rint(x) + 0.5, y + r);
        g.setStroke(ink);
        g.setFill(ink);
        g.setLineWidth(2);
        art(g, x, y, r, t, s);
    }

    private static String signed(double v) {
        return v == 0 ? "0" : String.format(Locale.ROOT, format(v, "%+"), v);
    }

    private static String plain(double v) {
        return v == 0 ? "0" : String.format(Locale.ROOT, format(v, "%"), v);
    }

    private static String format(double v, String sign) {
        return sign + (Math.abs(v) >= 100 || v == Math.rint(v) ? ".0f" : ".1f");
    }
}
