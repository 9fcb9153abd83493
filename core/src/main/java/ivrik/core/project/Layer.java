package ivrik.core.project;

import ivrik.core.look.Lists;
import ivrik.core.look.Look;
import ivrik.core.look.Place;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * Clips one after the other with looks of their own, over or under other layers.
 *
 * @param place where the clips lie in the sequence
 * @param looks at least one, done in this order
 */
public record Layer(
        String id,
        String name,
        boolean visible,
        List<Clip> clips,
        Place place,
        List<LayerLook> looks,
        Blend blend,
        Value opacity) {
    public Layer {
        clips = List.copyOf(clips);
        looks = List.copyOf(looks);
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a layer has at least one look");
        }
    }

    public static Layer of(String id, String name, Look look, Clip... clips) {
        return new Layer(
                id,
                name,
                true,
                List.of(clips),
                Place.FITTED,
                List.of(new LayerLook(look, true)),
                Blend.NORMAL,
                Value.of(1));
    }

    /** The clip shown at a frame: the last of those that cover it. */
    public Optional<Clip> clipAt(long frame) {
        return clips.stream().filter(c -> c.covers(frame)).reduce((a, b) -> b);
    }

    /** The first frame after all clips. */
    public long end() {
        return clips.stream().mapToLong(Clip::end).max().orElse(0);
    }

    /** From the first frame of its first clip to the last of its last. */
    public FrameRange range() {
        long first = clips.stream().mapToLong(Clip::start).min().orElse(0);
        return new FrameRange(first, Math.max(first, end() - 1));
    }

    /** Where one clip meets the next. */
    public TreeSet<Long> cuts() {
        TreeSet<Long> cuts = new TreeSet<>();
        for (Clip clip : clips) {
            if (clips.stream().anyMatch(other -> other.end() == clip.start())) {
                cuts.add(clip.start());
            }
        }
        return cuts;
    }

    /** The first of its looks. */
    public Look look() {
        return looks.getFirst().look();
    }

    /** With one of its looks changed. */
    public Layer withLook(int number, UnaryOperator<Look> change) {
        LayerLook old = looks.get(number);
        return withLooks(
                Lists.with(looks, number, new LayerLook(change.apply(old.look()), old.on())));
    }

    public Layer withLooks(List<LayerLook> l) {
        return new Layer(id, name, visible, clips, place, l, blend, opacity);
    }

    public Layer withName(String n) {
        return new Layer(id, n, visible, clips, place, looks, blend, opacity);
    }

    public Layer withClips(List<Clip> c) {
        return new Layer(id, name, visible, c, place, looks, blend, opacity);
    }

    public Layer withVisible(boolean v) {
        return new Layer(id, name, v, clips, place, looks, blend, opacity);
    }

    public Layer withPlace(Place p) {
        return new Layer(id, name, visible, clips, p, looks, blend, opacity);
    }

    public Layer withBlend(Blend b) {
        return new Layer(id, name, visible, clips, place, looks, b, opacity);
    }

    public Layer withOpacity(Value o) {
        return new Layer(id, name, visible, clips, place, looks, blend, o);
    }
}
