package ivrik.app.desk;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Where the layers lie under the lanes: thin bars, and the lowest layer as a ribbon. Layers that are on at other
 * times share a row; one that is on with another lies above it.
 */
final class Ribbon {
    /** How high the lowest layer and those above it are, and the space between, the fewer the higher. */
    private enum Room {
        FEW(38, 18, 4, 8),
        SOME(30, 15, 2, 4),
        MANY(25, 12, 1, 3);

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
            int rows = rows(layers);
            return rows <= 2 ? FEW : rows <= 3 ? SOME : MANY;
        }
    }

    private Ribbon() {}

    /** How high a layer's bar is; lower where there are many. */
    static double height(List<Layer> layers, int layer) {
        Room room = Room.of(layers);
        return layer == 0 ? room.lowest : room.bar;
    }

    /** How much all layers need below the rows of the lanes. */
    static double room(List<Layer> layers) {
        return layers.isEmpty() ? 0 : top(layers, 0, 0) + height(layers, 0);
    }

    /** The row of each layer, counted from the lowest. */
    private static int[] rowsOf(List<Layer> layers) {
        int[] rows = new int[layers.size()];
        for (int i = 1; i < rows.length; i++) {
            rows[i] = 1;
            for (int below = 1; below < i; below++) {
                if (meet(layers.get(i).range(), layers.get(below).range())) {
                    rows[i] = Math.max(rows[i], rows[below] + 1);
                }
            }
        }
        return rows;
    }

    private static boolean meet(FrameRange a, FrameRange b) {
        return a.first() <= b.last() && b.first() <= a.last();
    }

    private static int rows(List<Layer> layers) {
        return 1 + IntStream.of(rowsOf(layers)).max().orElse(0);
    }

    /** The top of a layer's bar below rows that end at {@code rowsBottom}; uppermost layers first. */
    static double top(List<Layer> layers, int layer, double rowsBottom) {
        Room room = Room.of(layers);
        int above = rows(layers) - 1 - rowsOf(layers)[layer];
        double bars = above * (room.bar + room.gap);
        return rowsBottom + room.above + bars + (layer == 0 && layers.size() > 1 ? 4 : 0);
    }

    /** The layer at a height that is on at a moment, in frames, or nearest to it. */
    static Optional<Layer> at(List<Layer> layers, double y, double rowsBottom, double moment) {
        return IntStream.range(0, layers.size())
                .filter(
                        i -> {
                            double top = top(layers, i, rowsBottom);
                            return y >= top && y <= top + height(layers, i);
                        })
                .mapToObj(layers::get)
                .min(Comparator.comparingDouble(l -> away(l.range(), moment)));
    }

    private static double away(FrameRange range, double moment) {
        return Math.max(0, Math.max(range.first() - moment, moment - range.last() - 1));
    }
}
