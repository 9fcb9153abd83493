package ivrik.core.render;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.separation.Separation;

import java.util.Arrays;
import java.util.List;

/**
 * Colour taken apart and put together again row by row: of each row the lanes are made, those that
 * were treated are put in place of their own, and all are rejoined.
 *
 * @param treated one for each lane; null for one that is as it was
 */
record LaneStream(Separation model, ColourRows origin, List<Rows> treated) implements ColourRows {
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
        float[][] lanes = new float[treated.size() + remainders][width];
        List<Rows.Reader> readers =
                treated.stream().map(rows -> rows == null ? null : rows.reader()).toList();
        boolean all = treated.stream().noneMatch(java.util.Objects::isNull);
        return (y, rgb) -> {
            if (!all) {
                colour.row(y, source);
                model.separate(source, lanes, width);
            }
            for (int i = 0; i < readers.size(); i++) {
                if (readers.get(i) != null) {
                    readers.get(i).row(y, lanes[i], 0);
                    if (remainders > 0) {
                        Arrays.fill(lanes[readers.size() + i], 0f);
                    }
                }
            }
            model.rejoin(lanes, rgb, width);
        };
    }
}
