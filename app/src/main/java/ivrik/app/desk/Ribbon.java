package ivrik.app.desk;

import ivrik.core.project.Layer;

import java.util.List;
import java.util.Optional;

/** Where the layers lie under the lanes: thin bars, and the lowest layer as a ribbon. */
final class Ribbon {
    /** How high the lowest layer and those above it are, and the space between, the fewer the higher. */
    private enum Room {
        FEW(38, 18, 4, 8),
        SOME(30, 15, 2, 4),
        MANY(28, 12, 1, 3);

        private final double lowest;
        private final double bar;
        private final double gap;
        private final double above;

        Room(double lowest, double bar, double gap, double above) {
            this.lowest = lowest;
            this.bar = bar;
            this.gap = gap;
            this.above = above;
        }

        static Room of(List<Layer> layers) {
            return layers.size() <= 2 ? FEW : layers.size() <= 3 ? SOME : MANY;
        }
    }

    private Ribbon() {}

    /** How high a layer's bar is; lower where there are many. */
    static double height(List<Layer> layers, int layer) {
        Room room = Room.of(layers);
        return layer == 0 ? room.lowest : room.bar;
    }

    /** The top of a layer's bar below rows that end at {@code rowsBottom}; uppermost layers first. */
    static double top(List<Layer> layers, int layer, double rowsBottom) {
        Room room = Room.of(layers);
        int above = Math.max(0, layers.size() - 1 - layer);
        double bars = above * (room.bar + room.gap);
        return rowsBottom + room.above + bars + (layer == 0 && layers.size() > 1 ? 4 : 0);
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
