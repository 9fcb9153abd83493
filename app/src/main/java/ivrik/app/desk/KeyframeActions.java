package ivrik.app.desk;

import ivrik.app.desk.KeyframeHitTest.KeyframePosition;
import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.KeyframeEdits;
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

/** The selected keyframes of the graphed value in all channels, and the edits on them. */
public final class KeyframeActions {
    private final Session session;
    private final View view;
    private final SelectedKeyframes selected = new SelectedKeyframes();
    private Map<Integer, List<Keyframe>> copied = Map.of();

    /**
     * @param shown called when the selection changes
     */
    KeyframeActions(Session session, View view, Runnable shown) {
        this.session = session;
        this.view = view;
        selected.onChange(shown);
    }

    /** Adds a listener for the selection. */
    void onSelected(Runnable reported) {
        selected.onChange(reported);
    }

    boolean isSelected(int channel, long frame) {
        return selected.has(channel, frame);
    }

    /** The selected keyframe; empty if several are selected. */
    Optional<KeyframePosition> only() {
        return selected.only();
    }

    /** The selected keyframe; empty if several are selected or it was deleted. */
    Optional<Keyframe> onlyKeyframe() {
        return only().filter(one -> one.channel() < rows().count())
                .flatMap(one -> value(one.channel()).keyframeAt(one.frame()));
    }

    /** Changes the selected keyframe, but not to a frame that has another. */
    void changeOnly(String name, UnaryOperator<Keyframe> change) {
        KeyframePosition one = only().orElse(null);
        Keyframe keyframe = onlyKeyframe().orElse(null);
        if (keyframe == null) {
            return;
        }
        Keyframe changed = change.apply(keyframe);
        Value others = value(one.channel()).without(keyframe.frame());
        if (others.keyframeAt(changed.frame()).isEmpty()) {
            session.editLayer(name, layer -> put(layer, one.channel(), others.with(changed)));
            selectOnly(one.channel(), changed.frame());
        }
    }

    public boolean any() {
        return selected.any();
    }

    public boolean canPaste() {
        return !copied.isEmpty() && rows().count() > 0;
    }

    void selectNone() {
        selected.clear();
    }

    void selectOnly(int channel, long frame) {
        selected.setOnly(channel, frame);
    }

    /** Adds a keyframe to the selection, or removes it. */
    void toggle(int channel, long frame) {
        selected.toggle(channel, frame);
    }

    /** Selects all keyframes of some channels in a range of frames. */
    void selectAll(int firstChannel, int lastChannel, double from, double to) {
        List<KeyframePosition> all = new ArrayList<>();
        for (int channel = Math.min(firstChannel, lastChannel);
                channel <= Math.max(firstChannel, lastChannel);
                channel++) {
            for (Keyframe keyframe : value(channel).keyframes()) {
                double middle = keyframe.frame() + 0.5;
                if (middle >= Math.min(from, to) && middle <= Math.max(from, to)) {
                    all.add(new KeyframePosition(channel, keyframe.frame()));
                }
            }
        }
        selected.set(all);
    }

    /** Selects all keyframes of the graphed value in every channel. */
    public void selectAll() {
        selectAll(0, rows().count() - 1, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
    }

    private GraphRows rows() {
        return new GraphRows(session.state(), view);
    }

    Graph graph(int channel) {
        return rows().graph(channel);
    }

    /** Row of the selected channel. */
    private int row() {
        return Math.min(session.state().channel(), rows().count() - 1);
    }

    private Value value(int channel) {
        return rows().value(channel);
    }

    private String title(int channel) {
        State state = session.state();
        return rows().count() == 1
                ? view.graphed.get().title(state)
                : ChannelEdits.kinds(state).get(channel).title();
    }

    private Layer put(Layer layer, int channel, Value value) {
        return rows().with(layer, channel, value);
    }

    /** Sets a keyframe with the present value at a frame of a channel's graphed value. */
    void add(int channel, long frame) {
        add(List.of(channel), frame);
    }

    /** The same in several channels; the first names the undo step. */
    private void add(List<Integer> channels, long frame) {
        Map<Integer, Value> keyframed = new TreeMap<>();
        for (int channel : channels) {
            Value value = value(channel);
            keyframed.put(
                    channel,
                    value.keyframeAt(frame).isPresent()
                            ? value
                            : value.with(new Keyframe(frame, value.at(frame), Ease.LINEAR)));
        }
        selected.set(at(channels, frame));
        session.editLayer(
                "Set keyframe: " + title(channels.getFirst()) + " at " + frame,
                layer -> put(layer, keyframed));
    }

    private static List<KeyframePosition> at(List<Integer> channels, long frame) {
        return channels.stream().map(channel -> new KeyframePosition(channel, frame)).toList();
    }

    /**
     * Sets or deletes a keyframe at the present frame in the selected channel and the channels that follow
     * it.
     */
    public void toggleHere() {
        if (rows().count() == 0) {
            return;
        }
        int channel = row();
        long frame = view.frame.get();
        List<Integer> channels = moving(channel);
        if (value(channel).keyframeAt(frame).isEmpty()) {
            add(channels, frame);
            return;
        }
        selected.set(
                at(
                        channels.stream()
                                .filter(l -> value(l).keyframeAt(frame).isPresent())
                                .toList(),
                        frame));
        delete();
    }

    /** Rows of the channels that follow a channel. */
    private List<Integer> moving(int channel) {
        State state = session.state();
        boolean moves = rows().count() > 1 && ChannelEdits.hasShift(state);
        return moves
                ? view.follow.get().moving(state.look().orElseThrow(), state.stepId(), channel)
                : List.of(channel);
    }

    /** Deletes the selected keyframes; the last one leaves its value. */
    public void delete() {
        edit("Delete", (value, frames) -> Optional.of(KeyframeEdits.without(value, frames)));
        selectNone();
    }

    void ease(Ease ease) {
        edit("Ease", (value, frames) -> Optional.of(KeyframeEdits.eased(value, frames, ease)));
    }

    public void reverse() {
        edit("Reverse", KeyframeEdits::reversed);
        selected.mirror();
    }

    /** Scales the selected keyframes in time about the first. */
    public void stretch(double times) {
        long about = selected.first();
        boolean done =
                edit("Stretch", (value, f) -> KeyframeEdits.stretched(value, f, times, about));
        if (done) {
            selected.move(f -> about + Math.round((f - about) * times));
        }
    }

    /** Scales the selected keyframes in value about the default. */
    public void scale(double times) {
        double rest = rows().rest();
        edit("Scale", (value, f) -> Optional.of(KeyframeEdits.scaled(value, f, times, rest)));
    }

    public void copy() {
        Map<Integer, List<Keyframe>> taken = new TreeMap<>();
        for (int channel : selected.channels()) {
            taken.put(
                    channel,
                    KeyframeEdits.copied(value(channel), selected.in(channel), selected.first()));
        }
        copied = taken;
    }

    /**
     * Pastes at the present frame, into the original channels, or a single channel's keyframes into the
     * selected channel.
     */
    public void paste() {
        long at = view.frame.get();
        int channels = rows().count();
        Map<Integer, List<Keyframe>> into = new TreeMap<>();
        if (copied.size() == 1) {
            into.put(row(), copied.values().iterator().next());
        } else {
            copied.forEach(
                    (channel, keyframes) -> {
                        if (channel < channels) {
                            into.put(channel, keyframes);
                        }
                    });
        }
        Map<Integer, Value> pasted = new TreeMap<>();
        List<KeyframePosition> there = new ArrayList<>();
        into.forEach(
                (channel, keyframes) -> {
                    pasted.put(channel, KeyframeEdits.pasted(value(channel), keyframes, at));
                    keyframes.forEach(
                            keyframe ->
                                    there.add(
                                            new KeyframePosition(channel, keyframe.frame() + at)));
                });
        session.editLayer("Paste keyframes", layer -> put(layer, pasted));
        selected.set(there);
    }

    /** Sets keyframes with the default at the ends of the play range, in the selected channel. */
    public void enclose() {
        int channel = row();
        var range = session.project().played();
        session.editLayer(
                "Set default keyframes around play range",
                layer ->
                        put(
                                layer,
                                channel,
                                KeyframeEdits.enclosed(
                                        value(channel),
                                        graph(channel).rest(),
                                        range.first(),
                                        range.last())));
    }

    /**
     * One edit of all values with selected keyframes; returns false without any change if one fails.
     */
    private boolean edit(String name, BiFunction<Value, Set<Long>, Optional<Value>> change) {
        Map<Integer, Value> changed = changed(values(), change).orElse(Map.of());
        if (changed.isEmpty()) {
            return false;
        }
        session.editLayer(name + " keyframes", layer -> put(layer, changed));
        return true;
    }

    private Map<Integer, Value> values() {
        Map<Integer, Value> values = new TreeMap<>();
        selected.channels().forEach(channel -> values.put(channel, value(channel)));
        return values;
    }

    private Optional<Map<Integer, Value>> changed(
            Map<Integer, Value> values, BiFunction<Value, Set<Long>, Optional<Value>> change) {
        Map<Integer, Value> all = new TreeMap<>();
        for (var each : values.entrySet()) {
            Optional<Value> one = change.apply(each.getValue(), selected.in(each.getKey()));
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

    /** A drag of all selected keyframes. */
    final class Move {
        private final Session.Gesture gesture = session.gesture("Move keyframes");
        private final Map<Integer, Value> before = values();
        private final List<KeyframePosition> from = selected.all();

        /** Moves them relative to their start; no change if keyframes would be lost. */
        void to(long later, double up) {
            Map<Integer, Value> moved = new TreeMap<>();
            for (var each : before.entrySet()) {
                Set<Long> frames =
                        from.stream()
                                .filter(p -> p.channel() == each.getKey())
                                .map(KeyframePosition::frame)
                                .collect(Collectors.toSet());
                Optional<Value> one = KeyframeEdits.moved(each.getValue(), frames, later, up);
                if (one.isEmpty()) {
                    return;
                }
                moved.put(each.getKey(), one.get());
            }
            selected.set(
                    from.stream()
                            .map(p -> new KeyframePosition(p.channel(), p.frame() + later))
                            .toList());
            gesture.editLayer(layer -> put(layer, moved));
        }
    }
}
