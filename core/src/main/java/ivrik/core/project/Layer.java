package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Placement;
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
 * Clips in time order with looks of their own, composited with other layers.
 *
 * @param placement placement of the clips in the sequence
 * @param looks at least one, in rendering order
 * @param takes stored alternatives to the looks
 */
@RecordBuilder
public record Layer(
        String id,
        String name,
        boolean visible,
        List<Clip> clips,
        Placement placement,
        List<LayerLook> looks,
        Blend blend,
        Value opacity,
        List<Take> takes)
        implements LayerBuilder.With {
    public Layer {
        clips = UniqueIds.each(clips, "clip", Clip::id, Clip::withId);
        Set<String> shots = clips.stream().map(Clip::id).collect(Collectors.toSet());
        looks = looks.stream().map(l -> l.among(shots)).toList();
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a layer has at least one look");
        }
        if (looks.stream().map(LayerLook::id).distinct().count() < looks.size()) {
            throw new IllegalArgumentException("two looks of a layer have one id");
        }
        takes = UniqueIds.each(takes, "take", Take::id, Take::withId);
    }

    public static Layer of(String id, String name, Look look, Clip... clips) {
        return new Layer(
                id,
                name,
                true,
                List.of(clips),
                Placement.FITTED,
                List.of(new LayerLook(LayerLook.FIRST, look, true)),
                Blend.NORMAL,
                Value.of(1),
                List.of());
    }

    /** The clip at a frame: the last one of those that cover it. */
    public Optional<Clip> clipAt(long frame) {
        return clips.stream().filter(c -> c.covers(frame)).reduce((a, b) -> b);
    }

    /** The first frame after all clips. */
    public long end() {
        return clips.stream().mapToLong(Clip::end).max().orElse(0);
    }

    /** The frames from the first clip, or frame 0, to the end of the last clip. */
    public FrameRange range() {
        long first = Math.max(0, clips.stream().mapToLong(Clip::start).min().orElse(0));
        return new FrameRange(first, Math.max(first, end() - 1));
    }

    /** The cuts of the layer: first frames of the clips that follow a cut, by clip id. */
    public Map<String, Long> cuts() {
        Set<Long> ends = clips.stream().map(Clip::end).collect(Collectors.toSet());
        return clips.stream()
                .filter(c -> ends.contains(c.start()))
                .collect(Collectors.toMap(Clip::id, Clip::start));
    }

    /** The first look. */
    public Look look() {
        return looks.getFirst().look();
    }

    /** The layer with one of its looks changed. */
    public Layer withLook(int number, UnaryOperator<Look> change) {
        LayerLook old = looks.get(number);
        return withLooks(ListEdits.with(looks, number, old.withLook(change.apply(old.look()))));
    }

    /** The layer with each of its looks changed, including those of its takes. */
    public Layer withEachLook(UnaryOperator<Look> change) {
        UnaryOperator<List<LayerLook>> each =
                all -> all.stream().map(l -> l.withLook(change.apply(l.look()))).toList();
        return withLooks(each.apply(looks))
                .withTakes(takes.stream().map(t -> t.withLooks(each.apply(t.looks()))).toList());
    }

    /** The take of an id; empty if there is none. */
    public Optional<Take> take(String id) {
        return takes.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** An unused id for a new look. */
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

    /** The value that a target addresses in one of the looks; empty if there is none. */
    public Optional<Value> value(int look, Target target) {
        return target instanceof Target.OfPlacement here
                ? value(here)
                : Targets.value(looks.get(look).look(), target);
    }

    /** The layer with an addressed value of a look replaced. */
    public Layer with(int look, Target target, Value value) {
        return target instanceof Target.OfPlacement here
                ? with(here, value)
                : withLook(look, l -> Targets.with(l, target, value));
    }

    /** The value that a target addresses in the placement; empty if it addresses a look. */
    public Optional<Value> value(Target.OfPlacement target) {
        return Placement.part(target.part()).map(p -> p.value().apply(placement));
    }

    /** The layer with a number of its placement replaced. */
    public Layer with(Target.OfPlacement target, Value value) {
        return Placement.part(target.part())
                .map(p -> withPlacement(p.with().apply(placement, value)))
                .orElse(this);
    }
}
