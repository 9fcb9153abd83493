package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;

/** One kind of work on a whole picture, before it is separated or after it is rejoined. */
public non-sealed interface PictureTreatment extends Treatment {
    /**
     * The treated picture, of the same size. All of it: what is left of the amount is mixed in by the
     * caller. Work that needs no more than one row at a time is best left to the reader of the rows.
     */
    ColourRows apply(ColourRows picture, Settings settings, PictureContext context);
}
