package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import java.util.List;

/**
 * A stored alternative to the looks of a layer.
 *
 * @param id unique on its layer and stable
 * @param markedForExport whether the take is exported with all marked takes
 * @param looks at least one, in rendering order
 */
@RecordBuilder
public record Take(String id, String name, boolean markedForExport, List<LayerLook> looks)
        implements TakeBuilder.With {
    public Take {
        looks = List.copyOf(looks);
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a take has at least one look");
        }
    }
}
