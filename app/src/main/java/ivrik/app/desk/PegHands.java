package ivrik.app.desk;

import ivrik.app.desk.PegPicker.Picked;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
import ivrik.core.motion.PegEdits;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** The pegs of the traced value that are picked, in any lanes, and what is done to them together. */
public final class PegHands {
    private final Session session;
    private final View view;
    private final PickedPegs picked = new PickedPegs();
    private Map<Integer, List<Peg>> copied = Map.of();

    /**
     * @param shown told when others are picked
     */
    PegHands(Session session, View view, Runnable shown) {
        this.session = session;
        this.view = view;
        picked.onChange(shown);
    }

    /** Tells one more of what is picked. */
    void onPicked(Runnable told) {
        picked.onChange(told);
    }

    boolean isPicked(int lane, long frame) {
        return picked.has(lane, frame);
    }

    /** The one that is picked; none where several are. */
    Optional<Picked> only() {
        return picked.only();
    }

    /** The peg that is picked; none where several are, or it is gone. */
    Optional<Peg> onlyPeg() {
        return only().filter(one -> one.lane() < rows().count())
                .flatMap(one -> value(one.lane()).pegAt(one.frame()));
    }

    /** Changes the one that is picked; not to a frame where another stands. */
    void changeOnly(String name, UnaryOperator<Peg> change) {
        Picked one = only().orElse(null);
        Peg peg = onlyPeg().orElse(null);
        if (peg == null) {
            return;
        }
        Peg changed = change.apply(peg);
        Value others = value(one.lane()).without(peg.frame());
        if (others.pegAt(changed.frame()).isEmpty()) {
            session.editLayer(name, layer -> put(layer, one.lane(), others.with(changed)));
            pickOnly(one.lane(), changed.frame());
        }
    }

    public boolean any() {
        return picked.any();
    }

    public boolean canPaste() {
        return !copied.isEmpty() && rows().count() > 0;
    }

    void pickNone() {
        picked.clear();
    }

    void pickOnly(int lane, long frame) {
        picked.setOnly(lane, frame);
    }

    /** Picks one more, or lets go of it. */
    void toggle(int lane, long frame) {
        picked.toggle(lane, frame);
    }

    /** Picks all pegs of some lanes in a range of frames. */
    void pickAll(int firstLane, int lastLane, double from, double to) {
        List<Picked> all = new ArrayList<>();
        for (int lane = Math.min(firstLane, lastLane);
                lane <= Math.max(firstLane, lastLane);
                lane++) {
            for (Peg peg : value(lane).pegs()) {
                double middle = peg.frame() + 0.5;
                if (middle >= Math.min(from, to) && middle <= Math.max(from, to)) {
                    all.add(new Picked(lane, peg.frame()));
                }
            }
        }
        picked.set(all);
    }

    /** Picks all pegs of the traced value in every lane. */
    public void pickAll() {
        pickAll(0, rows().count() - 1, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
    }

    private TraceRows rows() {
        return new TraceRows(session.state(), view);
    }

    Trace trace(int lane) {
        return rows().trace(lane);
    }

    /** The row of the lane being worked on. */
    private int row() {
        return Math.min(session.state().lane(), rows().count() - 1);
    }

    private Value value(int lane) {
        return rows().value(lane);
    }

    private String title(int lane) {
        State state = session.state();
        return rows().count() == 1
                ? view.traced.get().title(state)
                : LaneEdits.kinds(state).get(lane).title();
    }

    private Layer put(Layer layer, int lane, Value value) {
        return rows().with(layer, lane, value);
    }

    /** Puts a peg with the present value at a frame of a lane's traced value. */
    void add(int lane, long frame) {
        add(List.of(lane), frame);
    }

    /** The same in several lanes; the first gives the edit its name. */
    private void add(List<Integer> lanes, long frame) {
        Map<Integer, Value> pegged = new TreeMap<>();
        for (int lane : lanes) {
            Value value = value(lane);
            pegged.put(
                    lane,
                    value.pegAt(frame).isPresent()
                            ? value
                            : value.with(new Peg(frame, value.at(frame), Ease.LINEAR)));
        }
        picked.set(at(lanes, frame));
        session.editLayer(
                "Peg " + title(lanes.getFirst()) + " at " + frame, layer -> put(layer, pegged));
    }

    private static List<Picked> at(List<Integer> lanes, long frame) {
        return lanes.stream().map(lane -> new Picked(lane, frame)).toList();
    }

    /**
     * A peg at the present frame of the lane being worked on, and of those that move with it: set if there is none,
     * else removed.
     */
    public void toggleHere() {
        if (rows().count() == 0) {
            return;
        }
        int lane = row();
        long frame = view.frame.get();
        List<Integer> lanes = moving(lane);
        if (value(lane).pegAt(frame).isEmpty()) {
            add(lanes, frame);
            return;
        }
        picked.set(
                at(lanes.stream().filter(l -> value(l).pegAt(frame).isPresent()).toList(), frame));
        delete();
    }

    /** The rows of the lanes that move when one is moved by hand. */
    private List<Integer> moving(int lane) {
        State state = session.state();
        boolean moves = rows().count() > 1 && LaneEdits.hasShift(state);
        return moves
                ? view.follow.get().moving(state.look().orElseThrow(), state.stepId(), lane)
                : List.of(lane);
    }

    /** Deletes the picked pegs; the last one leaves its value behind. */
    public void delete() {
        edit("Delete", (value, frames) -> Optional.of(PegEdits.without(value, frames)));
        pickNone();
    }

    void ease(Ease ease) {
        edit("Ease", (value, frames) -> Optional.of(PegEdits.eased(value, frames, ease)));
    }

    public void reverse() {
        edit("Reverse", PegEdits::reversed);
        picked.mirror();
    }

    /** Stretches the picked pegs in time about the first of them. */
    public void stretch(double times) {
        long about = picked.first();
        boolean done = edit("Stretch", (value, f) -> PegEdits.stretched(value, f, times, about));
        if (done) {
            picked.move(f -> about + Math.round((f - about) * times));
        }
    }

    /** Scales the picked pegs in value about rest. */
    public void scale(double times) {
        double rest = rows().rest();
        edit("Scale", (value, f) -> Optional.of(PegEdits.scaled(value, f, times, rest)));
    }

    public void copy() {
        Map<Integer, List<Peg>> taken = new TreeMap<>();
        for (int lane : picked.lanes()) {
            taken.put(lane, PegEdits.copied(value(lane), picked.in(lane), picked.first()));
        }
        copied = taken;
    }

    /** Pastes at the present frame: into the lanes they came from, or one lane's into that being worked on. */
    public void paste() {
        long at = view.frame.get();
        int lanes = rows().count();
        Map<Integer, List<Peg>> into = new TreeMap<>();
        if (copied.size() == 1) {
            into.put(row(), copied.values().iterator().next());
        } else {
            copied.forEach(
                    (lane, pegs) -> {
                        if (lane < lanes) {
                            into.put(lane, pegs);
                        }
                    });
        }
        Map<Integer, Value> pasted = new TreeMap<>();
        List<Picked> there = new ArrayList<>();
        into.forEach(
                (lane, pegs) -> {
                    pasted.put(lane, PegEdits.pasted(value(lane), pegs, at));
                    pegs.forEach(peg -> there.add(new Picked(lane, peg.frame() + at)));
                });
        session.editLayer("Paste pegs", layer -> put(layer, pasted));
        picked.set(there);
    }

    /** Pegs at rest where the play range begins and ends, in the lane being worked on. */
    public void enclose() {
        int lane = row();
        var range = session.project().played();
        session.editLayer(
                "Rest around",
                layer ->
                        put(
                                layer,
                                lane,
                                PegEdits.enclosed(
                                        value(lane),
                                        trace(lane).rest(),
                                        range.first(),
                                        range.last())));
    }

    /** One edit of all values that have picked pegs; false, and nothing done, where one cannot be. */
    private boolean edit(String name, BiFunction<Value, Set<Long>, Optional<Value>> change) {
        Map<Integer, Value> changed = changed(values(), change).orElse(Map.of());
        if (changed.isEmpty()) {
            return false;
        }
        session.editLayer(name + " pegs", layer -> put(layer, changed));
        return true;
    }

    private Map<Integer, Value> values() {
        Map<Integer, Value> values = new TreeMap<>();
        picked.lanes().forEach(lane -> values.put(lane, value(lane)));
        return values;
    }

    private Optional<Map<Integer, Value>> changed(
            Map<Integer, Value> values, BiFunction<Value, Set<Long>, Optional<Value>> change) {
        Map<Integer, Value> all = new TreeMap<>();
        for (var each : values.entrySet()) {
            Optional<Value> one = change.apply(each.getValue(), picked.in(each.getKey()));
            if (one.isEmpty()) {
                return Optional.empty();
            }
            all.put(each.getKey(), one.get());
        }
        return Optional.of(all);
    }

    private Layer put(Layer layer, Map<Integer, Value> values) {
        Layer changed = layer;
        for (var each : values.entrySet()) {
            changed = put(changed, each.getKey(), each.getValue());
        }
        return changed;
    }

    /** A drag of all that are picked. */
    final class Move {
        private final Session.Gesture gesture = session.gesture("Move pegs");
        private final Map<Integer, Value> before = values();
        private final List<Picked> from = picked.all();

        /** So many frames later and so much higher than they were; nowhere where one would be lost. */
        void to(long later, double up) {
            Map<Integer, Value> moved = new TreeMap<>();
            for (var each : before.entrySet()) {
                Set<Long> frames =
                        from.stream()
                                .filter(p -> p.lane() == each.getKey())
                                .map(Picked::frame)
                                .collect(Collectors.toSet());
                Optional<Value> one = PegEdits.moved(each.getValue(), frames, later, up);
                if (one.isEmpty()) {
                    return;
                }
                moved.put(each.getKey(), one.get());
            }
            picked.set(from.stream().map(p -> new Picked(p.lane(), p.frame() + later)).toList());
            gesture.editLayer(layer -> put(layer, moved));
        }
    }
}
