package ivrik.core.render;

import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Treats angles in turns as directions, by their cosine and sine, so that interpolation takes the short way
 * round.
 */
final class Angles {
    private static final double TURN = 2 * Math.PI;

    private Angles() {}

    /** A plane of angles after a plane treatment. */
    static Plane treated(Plane turns, UnaryOperator<Plane> treatment, Workers workers) {
        List<Plane> directions =
                Pixels.map(
                        List.of(turns),
                        2,
                        workers,
                        (in, out, n) -> {
                            for (int i = 0; i < n; i++) {
                                out[0][i] = (float) StrictMath.cos(TURN * in[0][i]);
                                out[1][i] = (float) StrictMath.sin(TURN * in[0][i]);
                            }
                        });
        return Pixels.map(
                        directions.stream().map(treatment).toList(),
                        1,
                        workers,
                        (in, out, n) -> {
                            for (int i = 0; i < n; i++) {
                                double t = StrictMath.atan2(in[1][i], in[0][i]) / TURN;
                                out[0][i] = (float) (t < 0 ? t + 1 : t);
                            }
                        })
                .getFirst();
    }
}
