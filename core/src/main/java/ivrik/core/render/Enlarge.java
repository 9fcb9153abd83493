package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.filter.Affine;
import ivrik.core.filter.Moved;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Optional;

/**
 * The result scaled up about its middle, so that edges which moves have uncovered lie outside; what would
 * be taken from outside repeats the border.
 *
 * @param times at least 1
 */
record Enlarge(double times) implements Stage {
    private static final Sampler SAMPLER = Sampler.CUBIC;

    @Override
    public boolean isNeutral() {
        return times == 1;
    }

    @Override
    public Object key() {
        return this;
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    @Override
    public void take(Passage passage) {
        Key key = passage.key().then(key());
        Frame frame = passage.frame().premultiplied(passage.site().workers());
        Optional<Parting> parting = passage.parting();
        passage.set(frame.mapPlanes(p -> plane(p, passage.site())), key);
        passage.setParting(parting.map(parted -> parted.map(p -> plane(p, passage.site()))));
    }

    private Plane plane(Plane in, Site site) {
        Affine larger = Affine.scaled(times, times, in.width() / 2.0, in.height() / 2.0);
        return Moved.of(in, List.of(larger), EdgeFill.REPEAT, SAMPLER).toPlane(site.workers());
    }

    /**
     * The least enlargement at which nothing within {@code margin} pixels of one end of a row of {@code
     * size} is touched; 1 if there is no margin, infinite if no enlargement is enough.
     */
    static double hiding(double margin, int size) {
        if (margin <= 0) {
            return 1;
        }
        double first = margin - SAMPLER.firstTap(); // the first sample that may be looked at
        double middle = (size - 1) / 2.0;
        return first >= middle ? Double.POSITIVE_INFINITY : middle / (middle - first);
    }
}
