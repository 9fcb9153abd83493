package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * A named frame.
 *
 * @param colour display colour; empty for the default
 * @param id unique in the project and stable; assigned by the project if empty
 */
@RecordBuilder
public record Marker(String id, long frame, String name, Optional<Ink> colour)
        implements MarkerBuilder.With {
    public Marker(long frame, String name) {
        this("", frame, name);
    }

    public Marker(String id, long frame, String name) {
        this(id, frame, name, Optional.empty());
    }
}
