package ivrik.media.decode;

import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import java.util.function.DoubleUnaryOperator;

/** A transfer function over a whole plane. */
public final class TransferPlane {
    private TransferPlane() {}

    public static Plane of(Plane in, DoubleUnaryOperator transfer, Workers workers) {
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        for (int x = 0; x < in.width(); x++) {
                            out.data()[out.row(y) + x] =
                                    (float) transfer.applyAsDouble(in.at(x, y));
                        }
                    }
                });
        return out;
    }
}
