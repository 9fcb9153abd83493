package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import java.util.List;

/**
 * A complete variant of what is done on a layer, kept beside what is done there now.
 *
 * @param id names it on its layer for as long as it is there
 * @param picked whether it is among those that are exported together
 * @param looks at least one, done in this order in place of the layer's
 */
@RecordBuilder
public record Take(String id, String name, boolean picked, List<LayerLook> looks)
        implements TakeBuilder.With {
    public Take {
        looks = List.copyOf(looks);
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a take has at least one look");
        }
    }
}
