package ivrik.app.desk;

import ivrik.app.desk.PegPicker.Picked;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;

/** Which pegs are picked: their frames, by the rows that they are in. */
final class PickedPegs {
    private final List<Runnable> told = new ArrayList<>();
    private final Map<Integer, TreeSet<Long>> frames = new TreeMap<>();

    /** Tells one more when others are picked. */
    void onChange(Runnable listener) {
        told.add(listener);
    }

    private void tell() {
        told.forEach(Runnable::run);
    }

    boolean has(int lane, long frame) {
        return in(lane).contains(frame);
    }

    boolean any() {
        return frames.values().stream().anyMatch(f -> !f.isEmpty());
    }

    /** Rows that have, or had, any. */
    Set<Integer> lanes() {
        return frames.keySet();
    }

    /** Those of a row. */
    Set<Long> in(int lane) {
        return frames.getOrDefault(lane, new TreeSet<>());
    }

    /** The one that is picked; none where several are. */
    Optional<Picked> only() {
        List<Picked> all = all();
        return all.size() == 1 ? Optional.of(all.getFirst()) : Optional.empty();
    }

    /** The earliest of all; 0 where there is none. */
    long first() {
        return frames.values().stream()
                .filter(f -> !f.isEmpty())
                .mapToLong(NavigableSet::first)
                .min()
                .orElse(0);
    }

    void clear() {
        frames.clear();
        tell();
    }

    /** Only these. */
    void set(List<Picked> picked) {
        frames.clear();
        picked.forEach(p -> put(p.lane(), p.frame()));
        tell();
    }

    void setOnly(int lane, long frame) {
        set(List.of(new Picked(lane, frame)));
    }

    /** Picks one more, or lets go of it. */
    void toggle(int lane, long frame) {
        if (has(lane, frame)) {
            frames.get(lane).remove(frame);
        } else {
            put(lane, frame);
        }
        tell();
    }

    private void put(int lane, long frame) {
        frames.computeIfAbsent(lane, l -> new TreeSet<>()).add(frame);
    }

    /** All of them elsewhere. */
    void move(LongUnaryOperator place) {
        frames.replaceAll((lane, all) -> moved(all, place));
        tell();
    }

    /** In each row in the order from its last to its first. */
    void mirror() {
        frames.replaceAll(
                (lane, all) -> all.isEmpty() ? all : moved(all, f -> all.first() + all.last() - f));
        tell();
    }

    private static TreeSet<Long> moved(Set<Long> all, LongUnaryOperator place) {
        TreeSet<Long> moved = new TreeSet<>();
        all.forEach(f -> moved.add(place.applyAsLong(f)));
        return moved;
    }

    /** As they are now. */
    List<Picked> all() {
        return frames.entrySet().stream()
                .flatMap(e -> e.getValue().stream().map(f -> new Picked(e.getKey(), f)))
                .toList();
    }
}
