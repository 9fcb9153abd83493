package ivrik.core.filter;

import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Size;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorSpecies;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Moving least squares deformation by pins (Schaefer, McPhail, Warren 2006), as an inverse mapping. It is
 * evaluated on a grid and interpolated; the grid is refined until the error is below a twentieth of a pixel
 * or the cells are two pixels wide.
 * <p>Border pins along the edge hold it. Remaining movement of the edge between border pins is subtracted,
 * fading out inwards over the distance between two border pins, so that the edge stays exact.
 */
public final class MovingLeastSquares implements Warp {
    private static final double GOOD_ENOUGH_PX = 0.05;
    private static final double WIDEST_CELL = 16;
    private static final double FINEST_CELL = 2;
    private static final int KEPT = 16;
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final int CHANNELS = FLOATS.length();

    private final double cellX;
    private final double cellY;
    private final int columns;
    private final int rows;
    private final double[] dx;
    private final double[] dy;
    private final Across across;

    /** Recently used warps: pins that do not move are the same in every frame. */
    private static final Map<Key, MovingLeastSquares> LATEST =
            new LinkedHashMap<>(16, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Key, MovingLeastSquares> eldest) {
                    return size() > KEPT;
                }
            };

    private record Key(List<Pin> pins, double spacing, Kind kind, Size size) {}

    /** A pin at a position with its displacement, in px. */
    public record Pin(double x, double y, double dx, double dy) {}

    /** Class of the local transformation. */
    public enum Kind {
        AFFINE,
        SIMILAR,
        RIGID
    }

    private MovingLeastSquares(
            double cellX, double cellY, int columns, int rows, double[] dx, double[] dy) {
        this.cellX = cellX;
        this.cellY = cellY;
        this.columns = columns;
        this.rows = rows;
        this.dx = dx;
        this.dy = dy;
        this.across = Across.of(cellX, columns);
    }

    /**
     * @param pins at least one
     * @param spacing distance between border pins in px; 0 for none
     */
    public static MovingLeastSquares of(List<Pin> pins, double spacing, Kind kind, Size size) {
        Key key = new Key(List.copyOf(pins), spacing, kind, size);
        synchronized (LATEST) {
            MovingLeastSquares known = LATEST.get(key);
            if (known != null) {
                return known;
            }
        }
        MovingLeastSquares made = make(pins, spacing, kind, size);
        synchronized (LATEST) {
            LATEST.put(key, made);
        }
        return made;
    }

    private static MovingLeastSquares make(List<Pin> pins, double spacing, Kind kind, Size size) {
        List<Pin> all = new ArrayList<>(pins);
        if (spacing > 0) {
            all.addAll(border(Math.max(spacing, 8), size));
        }
        Squares squares = new Squares(all, kind);
        double cell = WIDEST_CELL;
        MovingLeastSquares warp = grid(squares, cell, size);
        while (cell > FINEST_CELL && warp.error(squares) > GOOD_ENOUGH_PX) {
            cell /= 2;
            warp = grid(squares, cell, size);
        }
        if (spacing > 0) {
            warp.holdBorder(Math.max(spacing, 8), size);
        }
        return warp;
    }

    private static List<Pin> border(double spacing, Size size) {
        List<Pin> pins = new ArrayList<>();
        int across = (int) Math.max(1, Math.round(size.width() / spacing));
        int down = (int) Math.max(1, Math.round(size.height() / spacing));
        for (int i = 0; i <= across; i++) {
            double x = (double) size.width() * i / across;
            pins.add(new Pin(x, 0, 0, 0));
            pins.add(new Pin(x, size.height(), 0, 0));
        }
        for (int j = 1; j < down; j++) {
            double y = (double) size.height() * j / down;
            pins.add(new Pin(0, y, 0, 0));
            pins.add(new Pin(size.width(), y, 0, 0));
        }
        return pins;
    }

    private static MovingLeastSquares grid(Squares squares, double cell, Size size) {
        int columns = (int) Math.ceil(size.width() / cell) + 1;
        int rows = (int) Math.ceil(size.height() / cell) + 1;
        double cellX = (double) size.width() / (columns - 1);
        double cellY = (double) size.height() / (rows - 1);
        double[] dx = new double[columns * rows];
        double[] dy = new double[columns * rows];
        double[] at = new double[2];
        for (int j = 0; j < rows; j++) {
            for (int i = 0; i < columns; i++) {
                squares.back(i * cellX, j * cellY, at);
                dx[j * columns + i] = at[0] - i * cellX;
                dy[j * columns + i] = at[1] - j * cellY;
            }
        }
        return new MovingLeastSquares(cellX, cellY, columns, rows, dx, dy);
    }

    /** Largest interpolation error at the centres of the grid cells, in px. */
    private double error(Squares squares) {
        double[] x = new double[1];
        double[] y = new double[1];
        double[] exact = new double[2];
        double worst = 0;
        for (int j = 0; j < rows - 1; j++) {
            for (int i = 0; i < columns - 1; i++) {
                x[0] = (i + 0.5) * cellX;
                y[0] = (j + 0.5) * cellY;
                squares.back(x[0], y[0], exact);
                back(x, y, 1);
                worst = Math.max(worst, StrictMath.hypot(x[0] - exact[0], y[0] - exact[1]));
            }
        }
        return worst;
    }

    /** Subtracts the movement of the edges, first left and right, then top and bottom. */
    private void holdBorder(double fade, Size size) {
        for (double[] d : List.of(dx, dy)) {
            for (int j = 0; j < rows; j++) {
                double left = value(d, 0, j * cellY);
                double right = value(d, size.width(), j * cellY);
                for (int i = 0; i < columns; i++) {
                    d[j * columns + i] -=
                            left * near(i * cellX, fade)
                                    + right * near(size.width() - i * cellX, fade);
                }
            }
            for (int i = 0; i < columns; i++) {
                double top = value(d, i * cellX, 0);
                double bottom = value(d, i * cellX, size.height());
                for (int j = 0; j < rows; j++) {
                    d[j * columns + i] -=
                            top * near(j * cellY, fade)
                                    + bottom * near(size.height() - j * cellY, fade);
                }
            }
        }
    }

    /** 1 at an edge, falling smoothly to 0. */
    private static double near(double distance, double fade) {
        double t = Math.clamp(1 - distance / fade, 0, 1);
        return distance <= 0 ? 1 : t * t * (3 - 2 * t);
    }

    private double value(double[] d, double x, double y) {
        double u = Math.clamp(x / cellX, 0, columns - 1 - 1e-9);
        double v = Math.clamp(y / cellY, 0, rows - 1 - 1e-9);
        int i = (int) u;
        int j = (int) v;
        return between(d, j * columns + i, u - i, v - j);
    }

    @Override
    public void back(double[] x, double[] y, int n) {
        double[] u = new double[n];
        double[] v = new double[n];
        cells(x, 1 / cellX, columns - 1 - 1e-9, u, n);
        cells(y, 1 / cellY, rows - 1 - 1e-9, v, n);
        for (int k = 0; k < n; k++) {
            int i = (int) u[k];
            int j = (int) v[k];
            double s = u[k] - i;
            double t = v[k] - j;
            int at = j * columns + i;
            x[k] += between(dx, at, s, t);
            y[k] += between(dy, at, s, t);
        }
    }

    /** Interpolates vertically between two grid rows first, once for all pixels of the row. */
    @Override
    public void row(int row, double[] x, double[] y, int n) {
        double v = Math.clamp((row + 0.5) / cellY, 0, rows - 1 - 1e-9);
        float[] byX = between(dx, (int) v, v - (int) v, n);
        float[] byY = between(dy, (int) v, v - (int) v, n);
        for (int i = 0; i < n; i++) {
            x[i] = byX[i] + (i + 0.5);
            y[i] = byY[i] + (row + 0.5);
        }
    }

    private float[] between(double[] d, int j, double t, int n) {
        float[] between = new float[columns + CHANNELS];
        for (int i = 0; i < columns; i++) {
            double upper = d[j * columns + i];
            between[i] = (float) (upper + t * (d[(j + 1) * columns + i] - upper));
        }
        float[] moves = new float[RowArithmetic.room(n)];
        across.draw(between, moves, n);
        return moves;
    }

    /**
     * Grid columns of the pixels of a row. The pixels of one vector span fewer cells than the vector has
     * elements, so that one vector of grid values is enough.
     *
     * @param first for each vector of pixels: its first cell
     * @param cell for each pixel: its cell, relative to that
     * @param share for each pixel: position within the cell, 0..1
     */
    private record Across(int[] first, int[] cell, float[] share) {
        static Across of(double cellX, int columns) {
            int n = RowArithmetic.room((int) Math.round(cellX * (columns - 1)));
            Across across = new Across(new int[n / CHANNELS], new int[n], new float[n]);
            for (int i = 0; i < n; i++) {
                double u = Math.min((i + 0.5) / cellX, columns - 1 - 1e-9);
                if (i % CHANNELS == 0) {
                    across.first[i / CHANNELS] = (int) u;
                }
                across.cell[i] = (int) u - across.first[i / CHANNELS];
                across.share[i] = (float) (u - (int) u);
            }
            return across;
        }

        void draw(float[] grid, float[] out, int n) {
            for (int i = 0; i < n; i += CHANNELS) {
                IntVector cells = IntVector.fromArray(IntVector.SPECIES_PREFERRED, cell, i);
                IntVector near =
                        FloatVector.fromArray(FLOATS, grid, first[i / CHANNELS])
                                .reinterpretAsInts();
                FloatVector left = cells.selectFrom(near).reinterpretAsFloats();
                FloatVector right = cells.add(1).selectFrom(near).reinterpretAsFloats();
                left.add(right.sub(left).mul(FloatVector.fromArray(FLOATS, share, i)))
                        .intoArray(out, i);
            }
        }
    }

    private static void cells(double[] place, double per, double most, double[] out, int n) {
        for (int i = 0; i < n; i++) {
            double at = place[i] * per;
            out[i] = at < 0 ? 0 : at > most ? most : at;
        }
    }

    private double between(double[] d, int at, double s, double t) {
        double upper = d[at] + s * (d[at + 1] - d[at]);
        double lower = d[at + columns] + s * (d[at + columns + 1] - d[at + columns]);
        return upper + t * (lower - upper);
    }

    /** The least squares problem of one position. */
    private static final class Squares {
        private final double[] fromX;
        private final double[] fromY;
        private final double[] toX;
        private final double[] toY;
        private final Kind kind;

        /**
         * Solves the inverse mapping: from the displaced positions of the pins back to their original
         * positions.
         */
        Squares(List<Pin> pins, Kind kind) {
            this.kind = kind;
            this.fromX = pins.stream().mapToDouble(p -> p.x + p.dx).toArray();
            this.fromY = pins.stream().mapToDouble(p -> p.y + p.dy).toArray();
            this.toX = pins.stream().mapToDouble(Pin::x).toArray();
            this.toY = pins.stream().mapToDouble(Pin::y).toArray();
        }

        void back(double x, double y, double[] out) {
            int n = fromX.length;
            double sum = 0;
            double px = 0;
            double py = 0;
            double qx = 0;
            double qy = 0;
            for (int i = 0; i < n; i++) {
                double d = distance(i, x, y);
                if (d < 1e-12) {
                    out[0] = toX[i];
                    out[1] = toY[i];
                    return;
                }
                double w = 1 / d;
                sum += w;
                px += w * fromX[i];
                py += w * fromY[i];
                qx += w * toX[i];
                qy += w * toY[i];
            }
            px /= sum;
            py /= sum;
            qx /= sum;
            qy /= sum;
            double xx = 0;
            double xy = 0;
            double yy = 0;
            double ax = 0;
            double bx = 0;
            double ay = 0;
            double by = 0;
            for (int i = 0; i < n; i++) {
                double w = 1 / distance(i, x, y);
                double u = fromX[i] - px;
                double v = fromY[i] - py;
                double s = toX[i] - qx;
                double t = toY[i] - qy;
                xx += w * u * u;
                xy += w * u * v;
                yy += w * v * v;
                ax += w * u * s;
                bx += w * v * s;
                ay += w * u * t;
                by += w * v * t;
            }
            double u = x - px;
            double v = y - py;
            double det = xx * yy - xy * xy;
            if (kind == Kind.AFFINE && det > 1e-9 * (xx + yy) * (xx + yy)) {
                double a = (yy * u - xy * v) / det;
                double b = (xx * v - xy * u) / det;
                out[0] = qx + a * ax + b * bx;
                out[1] = qy + a * ay + b * by;
                return;
            }
            double c = ax + by;
            double s = ay - bx;
            double norm = kind == Kind.RIGID ? StrictMath.hypot(c, s) : xx + yy;
            if (norm < 1e-12) {
                out[0] = qx + u;
                out[1] = qy + v;
                return;
            }
            out[0] = qx + (c * u - s * v) / norm;
            out[1] = qy + (s * u + c * v) / norm;
        }

        private double distance(int i, double x, double y) {
            double dx = fromX[i] - x;
            double dy = fromY[i] - y;
            return dx * dx + dy * dy;
        }
    }
}
