package ivrik.core.project;

import ivrik.core.motion.Rational;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Edits of the shots of a layer. Frames are frames of the sequence. */
public final class ShotEdits {
    private final Project project;
    private final Layer layer;

    public ShotEdits(Project project, Layer layer) {
        this.project = project;
        this.layer = layer;
    }

    private Optional<Clip> shot(String id) {
        return layer.clips().stream().filter(c -> c.id().equals(id)).findFirst();
    }

    private Layer with(String id, UnaryOperator<Clip> change) {
        return layer.withClips(
                layer.clips().stream().map(c -> c.id().equals(id) ? change.apply(c) : c).toList());
    }

    /** The shot that ends where another begins. */
    private Optional<Clip> before(Clip shot) {
        return layer.clips().stream().filter(c -> c.end() == shot.start()).findFirst();
    }

    private List<Clip> inOrder() {
        return layer.clips().stream().sorted(Comparator.comparingLong(Clip::start)).toList();
    }

    private Optional<Source> moving(Clip shot) {
        return project.source(shot.source()).filter(s -> !s.kind().isStill());
    }

    /** The source frame that a shot has at a frame of the sequence, extrapolated. */
    private long sourceFrame(Clip shot, long frame) {
        return moving(shot)
                .map(
                        s ->
                                shot.in()
                                        + Rational.of(frame - shot.start())
                                                .times(s.rate())
                                                .dividedBy(project.sequence().rate())
                                                .floor())
                .orElse(shot.in());
    }

    /** The earliest frame at which a shot can start within its source. */
    private long earliest(Clip shot) {
        return moving(shot)
                .map(
                        s ->
                                shot.start()
                                        - Rational.of(shot.in())
                                                .times(project.sequence().rate())
                                                .dividedBy(s.rate())
                                                .floor())
                .orElse(Long.MIN_VALUE);
    }

    /** The layer with the shot at a frame split; the same layer if there is nothing to split. */
    public Layer split(long frame) {
        Clip shot = layer.clipAt(frame).orElse(null);
        if (shot == null || frame == shot.start()) {
            return layer;
        }
        List<Clip> clips = new ArrayList<>(layer.clips());
        int at = clips.indexOf(shot);
        clips.set(at, shot.withLength(frame - shot.start()));
        clips.add(
                at + 1,
                new Clip(shot.source(), frame, shot.end() - frame, sourceFrame(shot, frame)));
        Layer cut = layer.withClips(clips);
        String second = cut.clips().get(at + 1).id();
        return cut.withLooks(cut.looks().stream().map(l -> l.alsoOn(second, shot.id())).toList());
    }

    /**
     * The layer without a shot.
     *
     * @param closing whether later shots move up
     */
    public Layer without(String id, boolean closing) {
        Clip gone = shot(id).orElse(null);
        if (gone == null || layer.clips().size() == 1) {
            return layer;
        }
        return layer.withClips(
                layer.clips().stream()
                        .filter(c -> c != gone)
                        .map(
                                c ->
                                        closing && c.start() >= gone.end()
                                                ? c.withStart(c.start() - gone.length())
                                                : c)
                        .toList());
    }

    /**
     * The layer with a shot that starts at another frame and keeps its content in place; the shot before it
     * ends there. Each keeps at least one frame, and the start stays within the source.
     */
    public Layer beginning(String id, long frame) {
        Clip shot = shot(id).orElse(null);
        if (shot == null) {
            return layer;
        }
        Optional<Clip> previous = before(shot);
        long least = Math.max(earliest(shot), previous.map(p -> p.start() + 1).orElse(0L));
        long to = Math.clamp(frame, Math.min(least, shot.start()), shot.end() - 1);
        Clip begun =
                shot.with(
                        c ->
                                c.start(to)
                                        .length(shot.end() - to)
                                        .in(Math.max(0, sourceFrame(shot, to))));
        return layer.withClips(
                layer.clips().stream()
                        .map(
                                c ->
                                        c == shot
                                                ? begun
                                                : previous.filter(p -> p == c).isPresent()
                                                        ? c.withLength(to - c.start())
                                                        : c)
                        .toList());
    }

    /** The layer with a shot that ends at another frame; the shot after it starts there. */
    public Layer ending(String id, long lastFrame) {
        Clip shot = shot(id).orElse(null);
        if (shot == null) {
            return layer;
        }
        Optional<Clip> next =
                layer.clips().stream().filter(c -> c.start() == shot.end()).findFirst();
        return next.map(n -> beginning(n.id(), Math.max(shot.start(), lastFrame) + 1))
                .orElseGet(
                        () -> with(id, c -> c.withLength(Math.max(1, lastFrame + 1 - c.start()))));
    }

    /** The layer with another part of the source in a shot, later by some source frames. */
    public Layer slipped(String id, long by) {
        return with(
                id,
                c ->
                        moving(c)
                                .map(
                                        s ->
                                                c.withIn(
                                                        Math.clamp(
                                                                c.in() + by,
                                                                0,
                                                                Math.max(0, s.frames() - 1))))
                                .orElse(c));
    }

    /**
     * The layer with a shot moved to a start frame. In a layer without gaps the shot goes between the shots
     * around its centre, and the layer stays without gaps; otherwise the shot goes where it fits, or stays.
     */
    public Layer moved(String id, long start) {
        Clip shot = shot(id).orElse(null);
        if (shot == null) {
            return layer;
        }
        List<Clip> others = new ArrayList<>(inOrder());
        others.remove(shot);
        if (isRow()) {
            return layer.withClips(inserted(shot, others, start));
        }
        Clip moved = shot.withStart(Math.max(0, start));
        boolean free =
                others.stream().allMatch(c -> c.end() <= moved.start() || c.start() >= moved.end());
        return free ? with(id, c -> moved) : layer;
    }

    /** Whether there are several shots without gaps. */
    private boolean isRow() {
        List<Clip> order = inOrder();
        for (int i = 1; i < order.size(); i++) {
            if (order.get(i).start() != order.get(i - 1).end()) {
                return false;
            }
        }
        return order.size() > 1;
    }

    private List<Clip> inserted(Clip shot, List<Clip> others, long start) {
        long first = layer.range().first();
        double middle = start + shot.length() / 2.0;
        List<Clip> row = new ArrayList<>();
        long at = first;
        boolean placed = false;
        for (Clip other : others) {
            if (!placed && middle < at + other.length() / 2.0) {
                row.add(shot.withStart(at));
                at += shot.length();
                placed = true;
            }
            row.add(other.withStart(at));
            at += other.length();
        }
        if (!placed) {
            row.add(shot.withStart(at));
        }
        return row;
    }

    /** The layer with a shot and its neighbour exchanged; the range of both stays. */
    public Layer reordered(String id, boolean later) {
        List<Clip> order = inOrder();
        int at = order.stream().map(Clip::id).toList().indexOf(id);
        int other = later ? at + 1 : at - 1;
        if (at < 0 || other < 0 || other >= order.size()) {
            return layer;
        }
        Clip first = order.get(Math.min(at, other));
        Clip second = order.get(Math.max(at, other));
        long gap = second.start() - first.end();
        Clip earlier = second.withStart(first.start());
        Clip after = first.withStart(earlier.end() + gap);
        return layer.withClips(
                layer.clips().stream()
                        .map(c -> c == first ? after : c == second ? earlier : c)
                        .toList());
    }

    /** Frames that edits snap to: starts and ends of shots, and markers. */
    public static List<Long> catches(Project project) {
        return Stream.concat(
                        project.layers().stream()
                                .flatMap(l -> l.clips().stream())
                                .flatMap(c -> Stream.of(c.start(), c.end())),
                        project.markers().stream().map(Marker::frame))
                .distinct()
                .sorted()
                .toList();
    }
}
