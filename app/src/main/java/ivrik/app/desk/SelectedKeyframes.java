package ivrik.app.desk;

import ivrik.app.desk.KeyframeHitTest.KeyframePosition;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;

/** The selected keyframes: frames by row. */
final class SelectedKeyframes {
    private final List<Runnable> reported = new ArrayList<>();
    private final Map<Integer, TreeSet<Long>> frames = new TreeMap<>();

    /** Adds a listener. */
    void onChange(Runnable listener) {
        reported.add(listener);
    }

    private void report() {
        reported.forEach(Runnable::run);
    }

    boolean has(int channel, long frame) {
        return in(channel).contains(frame);
    }

    boolean any() {
        return frames.values().stream().anyMatch(f -> !f.isEmpty());
    }

    /** Rows that have, or had, selected keyframes. */
    Set<Integer> channels() {
        return frames.keySet();
    }

    /** Selected frames in a row. */
    Set<Long> in(int channel) {
        return frames.getOrDefault(channel, new TreeSet<>());
    }

    /** The selected keyframe; empty if several are selected. */
    Optional<KeyframePosition> only() {
        List<KeyframePosition> all = all();
        return all.size() == 1 ? Optional.of(all.getFirst()) : Optional.empty();
    }

    /** The earliest frame; 0 if nothing is selected. */
    long first() {
        return frames.values().stream()
                .filter(f -> !f.isEmpty())
                .mapToLong(NavigableSet::first)
                .min()
                .orElse(0);
    }

    void clear() {
        frames.clear();
        report();
    }

    /** Replaces the selection. */
    void set(List<KeyframePosition> selected) {
        frames.clear();
        selected.forEach(p -> put(p.channel(), p.frame()));
        report();
    }

    void setOnly(int channel, long frame) {
        set(List.of(new KeyframePosition(channel, frame)));
    }

    /** Adds a keyframe to the selection, or removes it. */
    void toggle(int channel, long frame) {
        if (has(channel, frame)) {
            frames.get(channel).remove(frame);
        } else {
            put(channel, frame);
        }
        report();
    }

    private void put(int channel, long frame) {
        frames.computeIfAbsent(channel, l -> new TreeSet<>()).add(frame);
    }

    /** Maps all frames. */
    void move(LongUnaryOperator place) {
        frames.replaceAll((channel, all) -> moved(all, place));
        report();
    }

    /** Mirrors the frames in each row between its first and last. */
    void mirror() {
        frames.replaceAll(
                (channel, all) ->
                        all.isEmpty() ? all : moved(all, f -> all.first() + all.last() - f));
        report();
    }

    private static TreeSet<Long> moved(Set<Long> all, LongUnaryOperator place) {
        TreeSet<Long> moved = new TreeSet<>();
        all.forEach(f -> moved.add(place.applyAsLong(f)));
        return moved;
    }

    /** The current selection. */
    List<KeyframePosition> all() {
        return frames.entrySet().stream()
                .flatMap(e -> e.getValue().stream().map(f -> new KeyframePosition(e.getKey(), f)))
                .toList();
    }
}
