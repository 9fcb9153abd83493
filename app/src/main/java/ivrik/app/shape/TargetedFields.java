package ivrik.app.shape;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.ListenWhileShown;
import ivrik.app.widget.NumberField;
import ivrik.core.look.BurstTitle;
import ivrik.core.look.Dial;
import ivrik.core.look.DialEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Targets;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Number fields that edit one number of the selected look or its layer: the focused one is graphed, and its
 * context menu sets keyframes or adds it to a dial.
 */
public final class TargetedFields {
    private static final String DIALLED = "dialled";

    private final NumberField field;
    private final Session session;
    private final View view;
    private final Supplier<Target> aim;
    private ContextMenu menu;

    private TargetedFields(NumberField field, Session session, View view, Supplier<Target> aim) {
        this.field = field;
        this.session = session;
        this.view = view;
        this.aim = aim;
    }

    /** Adds graph and context menu to a field. */
    public static void at(NumberField field, Session session, View view, Target target) {
        at(field, session, view, () -> target);
    }

    /**
     * @param aim provides the present target
     */
    public static void at(NumberField field, Session session, View view, Supplier<Target> aim) {
        TargetedFields aimed = new TargetedFields(field, session, view, aim);
        field.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is) {
                                aimed.graph();
                            }
                        });
        field.setOnContextMenuRequested(
                e -> {
                    aimed.menu().show(field, e.getScreenX(), e.getScreenY());
                    e.consume();
                });
        ListenWhileShown.listen(field, aimed::mark, session.stateProperty());
    }

    /**
     * A field for a number of a look, in its own unit.
     *
     * @param name name of the undo step
     * @param showers receives the function that shows a state
     */
    public static NumberField number(
            Session session,
            View view,
            Target target,
            String id,
            String name,
            String help,
            List<Consumer<State>> showers) {
        Look look = session.state().look().orElseThrow();
        Parameter range = Targets.range(look, target).orElseThrow();
        String unit =
                switch (range.unit()) {
                    case "frames" -> "fr";
                    case "degrees" -> "deg";
                    default -> range.unit();
                };
        NumberField field =
                LookNumber.field(
                        id,
                        new NumberField.Spec(
                                unit,
                                range.min(),
                                range.max(),
                                range.rest(),
                                range.step(),
                                unit.equals("fr") || unit.equals("deg") ? 0 : 1,
                                range.min() < 0),
                        help,
                        session,
                        name,
                        to -> l -> with(l, target, view.frame.get(), to));
        at(field, session, view, target);
        showers.add(
                s ->
                        s.look()
                                .flatMap(l -> Targets.value(l, target))
                                .ifPresent(v -> field.show(v.at(view.frame.get()))));
        return field;
    }

    private static Look with(Look look, Target target, long frame, double to) {
        return Targets.value(look, target)
                .map(v -> Targets.with(look, target, v.set(frame, to)))
                .orElse(look);
    }

    private void graph() {
        Target target = aim.get();
        if (!Targets.isKeyed(target)) {
            return;
        }
        State state = session.state();
        if (target.channel() >= 0 && target.channel() != state.channel()) {
            session.selectChannel(target.channel());
        }
        boolean selected = target.stepId().equals(state.stepId());
        view.graphed.set(
                switch (target) {
                    case OfChannel t when selected -> new GraphTargets.OfTreatment(t.parameter());
                    case OfStep t when selected -> new GraphTargets.OfTreatment(t.parameter());
                    default -> new GraphTargets.Other(target);
                });
    }

    /** Underlines a number that dials drive. */
    private void mark() {
        boolean driven =
                session.state()
                        .look()
                        .filter(l -> !DialEdits.of(l, aim.get()).isEmpty())
                        .isPresent();
        field.getStyleClass().remove(DIALLED);
        if (driven) {
            field.getStyleClass().add(DIALLED);
        }
    }

    /** Created on request: a panel has dozens of numbers. */
    private ContextMenu menu() {
        if (menu == null) {
            menu = new ContextMenu();
        }
        menu.getItems().setAll(items());
        return menu;
    }

    private List<MenuItem> items() {
        Target target = aim.get();
        List<MenuItem> items = new ArrayList<>();
        if (Targets.isKeyed(target)) {
            items.add(keyframe(target));
            items.add(new SeparatorMenuItem());
        }
        boolean drivable =
                !(target instanceof Target.OfDial) && !(target instanceof Target.OfPlacement);
        if (!drivable) {
            return items;
        }
        Look look = session.state().look().orElseThrow();
        items.add(Controls.item("Add to new dial", () -> onNew(List.of(target))));
        List<Target> all =
                IntStream.range(0, target.channel() < 0 ? 0 : look.channels().size())
                        .mapToObj(target::inChannel)
                        .toList();
        if (!all.isEmpty()) {
            items.add(Controls.item("Add all channels to new dial", () -> onNew(all)));
        }
        List<Dial> driving = DialEdits.of(look, target);
        List<MenuItem> removals = new ArrayList<>();
        for (Dial dial : look.dials()) {
            if (driving.contains(dial)) {
                removals.add(
                        Controls.item(
                                "Remove from dial " + dial.title(),
                                () -> edit(dial, l -> DialEdits.off(l, dial.name(), target))));
            } else {
                items.add(
                        Controls.item(
                                "Add to dial " + dial.title(),
                                () ->
                                        edit(
                                                dial,
                                                l ->
                                                        DialEdits.driving(
                                                                l, dial.name(), List.of(target)))));
            }
        }
        if (!removals.isEmpty()) {
            items.add(new SeparatorMenuItem());
            items.addAll(removals);
        }
        return items;
    }

    private void edit(Dial dial, java.util.function.UnaryOperator<Look> change) {
        session.editLook("Change dial " + dial.title(), change);
    }

    private void onNew(List<Target> targets) {
        String title = title(session.state().look().orElseThrow(), aim.get(), targets.size() == 1);
        session.editLook("Add dial " + title, l -> DialEdits.onNew(l, targets, title));
    }

    /**
     * Full title of a number, such as Shift red x.
     *
     * @param one whether to include the channel
     */
    public static String title(Look look, Target target, boolean one) {
        Stream<String> of =
                target instanceof Target.OfBurst t
                        ? look.burst(t.burst()).map(b -> BurstTitle.of(look, b) + ":").stream()
                        : look
                                .step(target.stepId())
                                .map(s -> s.kind().description().title())
                                .stream();
        Stream<String> channel =
                one && target.channel() >= 0
                        ? Stream.of(
                                look.model()
                                        .channels()
                                        .get(target.channel())
                                        .title()
                                        .toLowerCase(Locale.ROOT))
                        : Stream.empty();
        Stream<String> number =
                Targets.range(look, target)
                        .map(range -> range.title().toLowerCase(Locale.ROOT))
                        .stream();
        String all =
                Stream.of(of, channel, number).flatMap(s -> s).collect(Collectors.joining(" "));
        return all.isEmpty() ? all : Character.toUpperCase(all.charAt(0)) + all.substring(1);
    }

    private MenuItem keyframe(Target target) {
        int look = session.state().lookNumber();
        long frame = view.frame.get();
        Value value =
                session.state().layer().flatMap(l -> l.value(look, target)).orElse(Value.ZERO);
        boolean there = value.keyframeAt(frame).isPresent();
        Value changed =
                there
                        ? value.without(frame)
                        : value.with(new Keyframe(frame, value.at(frame), Ease.LINEAR));
        Value kept = there && !changed.isMoving() ? Value.of(value.at(frame)) : changed;
        return Controls.item(
                there ? "Delete keyframe" : "Set keyframe",
                () ->
                        session.editLayer(
                                there ? "Delete keyframe" : "Set keyframe",
                                l -> l.with(look, target, kept)));
    }
}
