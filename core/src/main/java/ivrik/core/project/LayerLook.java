package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A look on a layer, on or off, for all shots or some.
 *
 * @param id unique on its layer and stable
 * @param shots ids of the shots that the look applies to; empty for all
 */
@RecordBuilder
public record LayerLook(String id, Look look, boolean on, List<String> shots)
        implements LayerLookBuilder.With {
    /** Id of the first look of a layer. */
    public static final String FIRST = "look-1";

    public LayerLook {
        shots = List.copyOf(shots);
    }

    /** A look for all shots. */
    public LayerLook(String id, Look look, boolean on) {
        this(id, look, on, List.of());
    }

    /** Whether the look is on for a shot. */
    public boolean isOn(Optional<Clip> shot) {
        return on && (shots.isEmpty() || shot.filter(s -> shots.contains(s.id())).isPresent());
    }

    /** This look without shots that do not exist; off if none is left. */
    LayerLook among(Set<String> there) {
        List<String> left = shots.stream().filter(there::contains).toList();
        return left.size() == shots.size() ? this : withShots(left).withOn(on && !left.isEmpty());
    }

    /** This look, applied to another shot too if it applies to a given one. */
    LayerLook alsoOn(String shot, String where) {
        return shots.contains(where) ? withShots(ListEdits.plus(shots, shot)) : this;
    }
}
