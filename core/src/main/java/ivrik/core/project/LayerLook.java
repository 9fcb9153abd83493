package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.Lists;
import ivrik.core.look.Look;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A look on a layer, in use or put by; on all of its shots, or on some only.
 *
 * @param id names it on its layer for as long as it is there
 * @param shots the ids of the shots that it is for; none for all of them
 */
@RecordBuilder
public record LayerLook(String id, Look look, boolean on, List<String> shots)
        implements LayerLookBuilder.With {
    /** The id of the first look of a layer. */
    public static final String FIRST = "look-1";

    public LayerLook {
        shots = List.copyOf(shots);
    }

    /** One for all shots. */
    public LayerLook(String id, Look look, boolean on) {
        this(id, look, on, List.of());
    }

    /** Whether it is in use on a shot. */
    public boolean isOn(Optional<Clip> shot) {
        return on && (shots.isEmpty() || shot.filter(s -> shots.contains(s.id())).isPresent());
    }

    /** Without shots that are not there; put by if it was only for such. */
    LayerLook among(Set<String> there) {
        List<String> left = shots.stream().filter(there::contains).toList();
        return left.size() == shots.size() ? this : withShots(left).withOn(on && !left.isEmpty());
    }

    /** On another shot too if it is for one that is given. */
    LayerLook alsoOn(String shot, String where) {
        return shots.contains(where) ? withShots(Lists.plus(shots, shot)) : this;
    }
}
