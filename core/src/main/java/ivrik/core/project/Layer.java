package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.Lists;
import ivrik.core.look.Look;
import ivrik.core.look.Place;
import ivrik.core.look.Target;
import ivrik.core.look.Targets;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Clips one after the other with looks of their own, over or under other layers.
 *
 * @param place where the clips lie in the sequence
 * @param looks at least one, done in this order
 * @param takes what could be done in their place, kept
 */
@RecordBuilder
public record Layer(
        String id,
        String name,
        boolean visible,
        List<Clip> clips,
        Place place,
        List<LayerLook> looks,
        Blend blend,
        Value opacity,
        List<Take> takes)
        implements LayerBuilder.With {
    public Layer {
        clips = Named.each(clips, "clip", Clip::id, Clip::withId);
        Set<String> shots = clips.stream().map(Clip::id).collect(Collectors.toSet());
        looks = looks.stream().map(l -> l.among(shots)).toList();
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a layer has at least one look");
        }
        if (looks.stream().map(LayerLook::id).distinct().count() < looks.size()) {
            throw new IllegalArgumentException("two looks of a layer have one id");
        }
        takes = Named.each(takes, "take", Take::id, Take::withId);
    }

    public static Layer of(String id, String name, Look look, Clip... clips) {
        return new Layer(
                id,
                name,
                true,
                List.of(clips),
                Place.FITTED,
                List.of(new LayerLook(LayerLook.FIRST, look, true)),
                Blend.NORMAL,
                Value.of(1),
                List.of());
    }

    /** The clip shown at a frame: the last of those that cover it. */
    public Optional<Clip> clipAt(long frame) {
        return clips.stream().filter(c -> c.covers(frame)).reduce((a, b) -> b);
    }

    /** The first frame after all clips. */
    public long end() {
        return clips.stream().mapToLong(Clip::end).max().orElse(0);
    }

    /** From the first frame of its first clip, if not before frame 0, to the last of its last. */
    public FrameRange range() {
        long first = Math.max(0, clips.stream().mapToLong(Clip::start).min().orElse(0));
        return new FrameRange(first, Math.max(first, end() - 1));
    }

    /** Where one clip meets the next: the ids of those that take over, with their first frames. */
    public Map<String, Long> cuts() {
        Set<Long> ends = clips.stream().map(Clip::end).collect(Collectors.toSet());
        return clips.stream()
                .filter(c -> ends.contains(c.start()))
                .collect(Collectors.toMap(Clip::id, Clip::start));
    }

    /** The first of its looks. */
    public Look look() {
        return looks.getFirst().look();
    }

    /** With one of its looks changed. */
    public Layer withLook(int number, UnaryOperator<Look> change) {
        LayerLook old = looks.get(number);
        return withLooks(Lists.with(looks, number, old.withLook(change.apply(old.look()))));
    }

    /** With each of its looks changed, those of its takes too. */
    public Layer withEachLook(UnaryOperator<Look> change) {
        UnaryOperator<List<LayerLook>> each =
                all -> all.stream().map(l -> l.withLook(change.apply(l.look()))).toList();
        return withLooks(each.apply(looks))
                .withTakes(takes.stream().map(t -> t.withLooks(each.apply(t.looks()))).toList());
    }

    /** One of its takes; empty if there is none of the id. */
    public Optional<Take> kept(String id) {
        return takes.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** An id for a new look: the first number above all that are there. */
    public String freeLookId() {
        int highest =
                looks.stream()
                        .map(LayerLook::id)
                        .filter(id -> id.matches("look-\\d{1,8}"))
                        .mapToInt(id -> Integer.parseInt(id.substring("look-".length())))
                        .max()
                        .orElse(0);
        return "look-" + (highest + 1);
    }

    /** The value that one of its looks aims at; empty if there is none. */
    public Optional<Value> value(int look, Target target) {
        return target instanceof Target.OfPlace here
                ? value(here)
                : Targets.value(looks.get(look).look(), target);
    }

    /** With the value that one of its looks aims at replaced. */
    public Layer with(int look, Target target, Value value) {
        return target instanceof Target.OfPlace here
                ? with(here, value)
                : withLook(look, l -> Targets.with(l, target, value));
    }

    /** The value of a target that lies in the layer; empty if it lies in a look. */
    public Optional<Value> value(Target.OfPlace target) {
        return Place.part(target.part()).map(p -> p.value().apply(place));
    }

    /** With a number of its place replaced. */
    public Layer with(Target.OfPlace target, Value value) {
        return Place.part(target.part())
                .map(p -> withPlace(p.with().apply(place, value)))
                .orElse(this);
    }
}
