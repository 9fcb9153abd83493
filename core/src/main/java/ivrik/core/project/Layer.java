package ivrik.core.project;

import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Clips one after the other with a look of their own, over or under other layers. */
public record Layer(
        String id,
        String name,
        boolean visible,
        List<Clip> clips,
        Look look,
        Blend blend,
        Value opacity) {
    public Layer {
        clips = List.copyOf(clips);
    }

    public static Layer of(String id, String name, Look look, Clip... clips) {
        return new Layer(id, name, true, List.of(clips), look, Blend.NORMAL, Value.of(1));
    }

    /** The clip shown at a frame: the last of those that cover it. */
    public Optional<Clip> clipAt(long frame) {
        return clips.stream().filter(c -> c.covers(frame)).reduce((a, b) -> b);
    }

    /** The first frame after all clips. */
    public long end() {
        return clips.stream().mapToLong(Clip::end).max().orElse(0);
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

    public Layer withLook(UnaryOperator<Look> change) {
        return new Layer(id, name, visible, clips, change.apply(look), blend, opacity);
    }

    public Layer withClips(List<Clip> c) {
        return new Layer(id, name, visible, c, look, blend, opacity);
    }

    public Layer withVisible(boolean v) {
        return new Layer(id, name, v, clips, look, blend, opacity);
    }
}
