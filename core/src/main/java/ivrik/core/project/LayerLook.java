package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.Look;

/**
 * A look on a layer, in use or put by.
 *
 * @param id names it on its layer for as long as it is there
 */
@RecordBuilder
public record LayerLook(String id, Look look, boolean on) implements LayerLookBuilder.With {
    /** The id of the first look of a layer. */
    public static final String FIRST = "look-1";
}
