package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.cache.Store;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

import java.util.Optional;

/**
 * What sources show, each in its place. One that just fills the sequence is left as it is stored where it is that:
 * it sets out as rows, and becomes planes when it is needed as such or asked for again.
 *
 * @param pictures of the sources; each is read to its end, wanted or not, so that no reader stops in the middle
 */
record Sources(Pictures pictures, Workers workers, Store store) {
    /** A picture as it sets out. */
    Passage passage(Picture picture, PlacePlan place, Size sequence, Site site) {
        Key key = key(picture, place, sequence, site.scale());
        Size shown = sequence.scaled(site.scale());
        if (place.isPlain() && picture.source().size().equals(shown) && !store.holds(key)) {
            Optional<ColourRows> rows = rows(picture).filter(r -> r.size().equals(shown));
            if (rows.isPresent()) {
                return new Passage(rows.get(), key, site);
            }
        }
        return new Passage(placed(picture, place, sequence, site.scale()), key, site);
    }

    /** All of a picture; uncovered where it does not reach. */
    Frame placed(Picture picture, PlacePlan place, Size sequence, double scale) {
        Size shown = sequence.scaled(scale);
        return store.get(
                key(picture, place, sequence, scale),
                () -> {
                    Size fitted = Placement.size(picture.source().size(), sequence, shown, place);
                    return Placement.put(
                            read(picture, fitted), fitted, shown, place, scale, workers);
                });
    }

    private static Key key(Picture picture, PlacePlan place, Size sequence, double scale) {
        record Placed(Picture picture, PlacePlan place, Size sequence, double scale) {}
        return Key.of(new Placed(picture, place, sequence, scale));
    }

    /** At the size that is wanted, if it is left as it is stored; else as it comes. */
    private Frame read(Picture picture, Size fitted) {
        return rows(picture)
                .map(rows -> Resample.to(rows, fitted, workers))
                .orElseGet(() -> Cancel.NEVER.during(() -> pictures.frame(picture, fitted)));
    }

    private Optional<ColourRows> rows(Picture picture) {
        return Cancel.NEVER.during(() -> pictures.rows(picture));
    }
}
