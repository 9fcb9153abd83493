package ivrik.app.desk;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Positions of the layers below the channels: thin bars, and the bottom layer as a ribbon. Layers that do not
 * overlap in time share a row.
 */
final class ShotRibbon {
    /**
     * Heights of the bottom layer, the other layers and the gaps, which shrink with the number of rows.
     */
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

    private ShotRibbon() {}

    /** Height of a layer's bar. */
    static double height(List<Layer> layers, int layer) {
        Room room = Room.of(layers);
        return layer == 0 ? room.lowest : room.bar;
    }

    /** Height of all layers. */
    static double room(List<Layer> layers) {
        return layers.isEmpty() ? 0 : top(layers, 0, 0) + height(layers, 0);
    }

    /** Row of each layer, from the bottom. */
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

    /** Top of a layer's bar below rows that end at {@code rowsBottom}; top layers first. */
    static double top(List<Layer> layers, int layer, double rowsBottom) {
        Room room = Room.of(layers);
        int above = rows(layers) - 1 - rowsOf(layers)[layer];
        double bars = above * (room.bar + room.gap);
        return rowsBottom + room.above + bars + (layer == 0 && layers.size() > 1 ? 4 : 0);
    }

    /** The layer at a vertical position and a moment in frames, or the nearest. */
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
