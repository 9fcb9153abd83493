package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A named place in time.
 *
 * @param id names it in its project for as long as it is there; the project gives it one where it is empty
 */
@RecordBuilder
public record Marker(String id, long frame, String name) implements MarkerBuilder.With {
    public Marker(long frame, String name) {
        this("", frame, name);
    }
}
