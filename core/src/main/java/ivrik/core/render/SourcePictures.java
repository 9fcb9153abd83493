package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.cache.FrameCache;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.Optional;

/**
 * Places source pictures in the sequence. A source that fills the sequence stays as stored rows until planes
 * are needed or the picture is requested again.
 *
 * @param pictures source pictures; each read runs to its end even if cancelled, so that no reader stops
 *     midway
 */
record SourcePictures(Pictures pictures, Workers workers, FrameCache cache) {
    /** The initial state of a picture. */
    PictureState state(
            Picture picture, PlacementPlan place, Size sequence, RenderContext renderContext) {
        CacheKey key = key(picture, place, sequence, renderContext.scale());
        Size shown = sequence.scaled(renderContext.scale());
        if (place.isPlain() && picture.source().size().equals(shown) && !cache.holds(key)) {
            Optional<ColourRows> rows = rows(picture).filter(r -> r.size().equals(shown));
            if (rows.isPresent()) {
                return new PictureState(rows.get(), key, renderContext);
            }
        }
        return new PictureState(
                placed(picture, place, sequence, renderContext.scale()), key, renderContext);
    }

    /** The whole placed picture, transparent outside. */
    Frame placed(Picture picture, PlacementPlan place, Size sequence, double scale) {
        Size shown = sequence.scaled(scale);
        return cache.get(
                key(picture, place, sequence, scale),
                () -> {
                    Size fitted =
                            PlacementTransform.size(
                                    picture.source().size(), sequence, shown, place);
                    return PlacementTransform.put(
                            read(picture, fitted), fitted, shown, place, scale, workers);
                });
    }

    private static CacheKey key(Picture picture, PlacementPlan place, Size sequence, double scale) {
        record Placed(Picture picture, PlacementPlan place, Size sequence, double scale) {}
        return CacheKey.of(new Placed(picture, place, sequence, scale));
    }

    /** A source frame, scaled if needed. */
    private Frame read(Picture picture, Size fitted) {
        return rows(picture)
                .map(rows -> Resample.to(rows, fitted, workers))
                .orElseGet(() -> Cancellation.NEVER.during(() -> pictures.frame(picture, fitted)));
    }

    private Optional<ColourRows> rows(Picture picture) {
        return Cancellation.NEVER.during(() -> pictures.rows(picture));
    }
}
