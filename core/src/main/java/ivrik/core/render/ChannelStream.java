package ivrik.core.render;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.separation.Separation;

import java.util.Arrays;
import java.util.List;

/**
 * Separates and rejoins colour row by row, with the treated channels in place of the original ones.
 *
 * @param treated one per channel; null for an untouched channel
 */
record ChannelStream(Separation model, ColourRows origin, List<Rows> treated)
        implements ColourRows {
    @Override
    public Size size() {
        return origin.size();
    }

    @Override
    public Reader reader() {
        int width = width();
        Reader colour = origin.reader();
        float[][] source = new float[3][width];
        int remainders = model.remainders();
        float[][] channels = new float[treated.size() + remainders][width];
        List<Rows.Reader> readers =
                treated.stream().map(rows -> rows == null ? null : rows.reader()).toList();
        boolean all = treated.stream().noneMatch(java.util.Objects::isNull);
        return (y, rgb) -> {
            if (!all) {
                colour.row(y, source);
                model.separate(source, channels, width);
            }
            for (int i = 0; i < readers.size(); i++) {
                if (readers.get(i) != null) {
                    readers.get(i).row(y, channels[i], 0);
                    if (remainders > 0) {
                        Arrays.fill(channels[readers.size() + i], 0f);
                    }
                }
            }
            model.rejoin(channels, rgb, width);
        };
    }
}
