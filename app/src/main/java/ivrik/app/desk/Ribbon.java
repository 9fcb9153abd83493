package ivrik.app.desk;

import ivrik.core.project.Layer;

import java.util.List;
import java.util.Optional;

/** Where the layers lie under the lanes: thin bars, and the lowest layer as a ribbon. */
final class Ribbon {
    private static final double GAP = 8;
    private static final double BAR = 18;
    private static final double SHOTS = 38;

    private Ribbon() {}

    static double height(int layer) {
        return layer == 0 ? SHOTS : BAR;
    }

    /** The top of a layer's bar below rows that end at {@code rowsBottom}; uppermost layers first. */
    static double top(List<Layer> layers, int layer, double rowsBottom) {
        int above = Math.max(0, layers.size() - 1 - layer);
        return rowsBottom + GAP + above * (BAR + 4) + (layer == 0 && layers.size() > 1 ? 6 : 0);
    }

    /** The layer at a height. */
    static Optional<Layer> at(List<Layer> layers, double y, double rowsBottom) {
        for (int i = 0; i < layers.size(); i++) {
            double top = top(layers, i, rowsBottom);
            if (y >= top && y <= top + height(i)) {
                return Optional.of(layers.get(i));
            }
        }
        return Optional.empty();
    }
}
