package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import java.util.List;

/**
 * Applies row filters along any direction: the plane is sheared so that lines in that direction become rows
 * or columns, whichever is closer, filtered, and sheared back.
 */
public final class Shear {
    private Shear() {}

    /** A filter along rows or columns. */
    @FunctionalInterface
    public interface Work {
        /**
         * @param stretch length along the row relative to the length along the line, 0.7..1
         */
        Rows run(Plane sheared, boolean rows, double stretch);
    }

    /**
     * @param degrees direction, clockwise on screen, 0 to the right
     * @param radius radius of the filter along the line, in px
     */
    public static Rows line(
            Plane in, double degrees, double radius, EdgeFill fill, Workers workers, Work work) {

        double turn = degrees - 180 * Math.floor(degrees / 180);
        if (turn == 0 || turn == 90) {
            return work.run(in, turn == 0, 1);
        }
        double c = StrictMath.cos(Math.toRadians(turn));
        double s = StrictMath.sin(Math.toRadians(turn));
        boolean rows = Math.abs(c) >= Math.abs(s);
        double slope = rows ? s / c : c / s;
        int margin = (int) Math.ceil(radius) + 2;
        int lean = (int) Math.ceil(Math.abs(slope) * (rows ? in.width() : in.height()) / 2);
        int lost = (int) Math.ceil(Math.abs(slope) * margin);
        int mx = rows ? margin : lean + lost;
        int my = rows ? lean + lost : margin;
        Size size = new Size(in.width() + 2 * mx, in.height() + 2 * my);
        double cx = in.width() / 2.0;
        double cy = in.height() / 2.0;
        Affine shear =
                rows
                        ? new Affine(1, 0, 0, slope, 1, -slope * cx)
                        : new Affine(1, slope, -slope * cy, 0, 1, 0);
        Affine unshear =
                rows
                        ? new Affine(1, 0, mx, -slope, 1, slope * cx + my)
                        : new Affine(1, -slope, slope * cy + mx, 0, 1, my);
        Affine sheared = shear.then(Affine.moved(mx, my));
        Plane leaning =
                WarpedPlane.of(in, size, List.of(sheared), fill, Sampler.CUBIC).toPlane(workers);
        Plane done = work.run(leaning, rows, rows ? Math.abs(c) : s).toPlane(workers);
        return WarpedPlane.of(done, in.size(), List.of(unshear), EdgeFill.EMPTY, Sampler.CUBIC);
    }
}
