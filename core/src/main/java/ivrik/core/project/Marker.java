package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * A named place in time.
 *
 * @param colour that it is drawn in; empty for none of its own
 * @param id names it in its project for as long as it is there; the project gives it one where it is empty
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
