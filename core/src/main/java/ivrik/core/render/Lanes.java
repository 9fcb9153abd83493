package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.List;

/**
 * The lanes of a picture between separation and rejoining.
 *
 * @param origin the opaque picture that they were separated from; null for one with coverage
 */
record Lanes(Separation model, ColourRows origin, List<Lane> lanes) {
    /**
     * One lane.
     *
     * @param rows of the lane, multiplied by its coverage if it has one; null for one that is as it was
     *     and that nobody has asked for
     * @param coverage null if it is opaque
     */
    record Lane(Key key, Rows rows, Plane coverage) {}

    boolean isOpaque() {
        return lanes.getFirst().coverage() == null;
    }

    Lanes with(int number, Lane lane) {
        List<Lane> changed = new ArrayList<>(lanes);
        changed.set(number, lane);
        return new Lanes(model, origin, changed);
    }

    List<Plane> planes(Site site) {
        return lanes.stream().map(l -> l.rows().toPlane(site.workers())).toList();
    }

    List<Plane> coverage() {
        return lanes.stream().map(Lane::coverage).toList();
    }
}
