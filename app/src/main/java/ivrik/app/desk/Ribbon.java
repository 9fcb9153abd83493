package ivrik.app.desk;

import ivrik.core.project.Layer;

import java.util.List;
import java.util.Optional;

/** Where the layers lie under the lanes: thin bars, and the lowest layer as a ribbon. */
final class Ribbon {
    private static final int FEW = 2;

    private Ribbon() {}

    /** How high a layer's bar is; lower where there are many. */
    static double height(List<Layer> layers, int layer) {
        boolean few = layers.size() <= FEW;
        return layer == 0 ? (few ? 38 : 30) : few ? 18 : 15;
    }

    /** The top of a layer's bar below rows that end at {@code rowsBottom}; uppermost layers first. */
    static double top(List<Layer> layers, int layer, double rowsBottom) {
        boolean few = layers.size() <= FEW;
        int above = Math.max(0, layers.size() - 1 - layer);
        double bars = above * (height(layers, 1) + (few ? 4 : 2));
        return rowsBottom + (few ? 8 : 4) + bars + (layer == 0 && layers.size() > 1 ? 4 : 0);
    }

    /** The layer at a height. */
    static Optional<Layer> at(List<Layer> layers, double y, double rowsBottom) {
        for (int i = 0; i < layers.size(); i++) {
            double top = top(layers, i, rowsBottom);
            if (y >= top && y <= top + height(layers, i)) {
                return Optional.of(layers.get(i));
            }
        }
        return Optional.empty();
    }
}
