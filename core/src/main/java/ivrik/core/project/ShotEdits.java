package ivrik.core.project;

import ivrik.core.motion.Rational;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** What a person does to the shots of a layer as one edit; frames are those of the sequence. */
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

    /** The frame of its source that a shot shows, or would show, at a frame of the sequence. */
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

    /** The earliest frame at which a shot can begin without running out of its source. */
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

    /** The shot at a frame cut in two there; the layer itself where it cannot be. */
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
     * Without a shot.
     *
     * @param closing whether what follows moves up
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
     * A shot that begins at another frame, showing the same there as before; a shot that it follows ends
     * there. Each keeps at least a frame, and it begins no earlier than its source does.
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

    /** A shot whose last frame is another; a shot that follows it begins after that. */
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

    /** Another part of its source in the same place: so many frames of the source later. */
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
     * A shot moved to begin at a frame. In a row without gaps it comes between the shots that its middle lies
     * between, and the row stays without gaps; elsewhere it goes where there is room for it, or nowhere.
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

    /** Whether there are several shots, each beginning where the one before it ends. */
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

    /** A shot that changes places with the one before it, or after it; both together stay where they are. */
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

    /** The frames at which shots begin and end, and the markers: what an edit catches on. */
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
