package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;

/** A treatment of a whole picture, before separation or after rejoin. */
public non-sealed interface PictureTreatment extends Treatment {
    /**
     * The treated picture, of the same size, at full amount; the caller mixes a partial amount. Work that
     * needs only one row at a time should be deferred to the reader of the rows.
     */
    ColourRows apply(ColourRows picture, Settings settings, PictureContext context);
}
