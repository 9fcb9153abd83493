package ivrik.app.shape;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.control.WhileShown;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Traced;
import ivrik.app.session.View;
import ivrik.core.look.Dial;
import ivrik.core.look.Dialling;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Targets;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
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
 * Number fields that are aimed at one number of the look on the desk or its layer: the one with the focus is
 * traced in time, and the right button pegs it or puts it on a dial.
 */
public final class Aimed {
    private static final String DIALLED = "dialled";

    private final NumberField field;
    private final Session session;
    private final View view;
    private final Supplier<Target> aim;
    private ContextMenu menu;

    private Aimed(NumberField field, Session session, View view, Supplier<Target> aim) {
        this.field = field;
        this.session = session;
        this.view = view;
        this.aim = aim;
    }

    /** Aims a field that shows and sets the number by itself. */
    public static void at(NumberField field, Session session, View view, Target target) {
        at(field, session, view, () -> target);
    }

    /**
     * @param aim what it is aimed at now
     */
    public static void at(NumberField field, Session session, View view, Supplier<Target> aim) {
        Aimed aimed = new Aimed(field, session, view, aim);
        field.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is) {
                                aimed.trace();
                            }
                        });
        field.setOnContextMenuRequested(
                e -> {
                    aimed.menu().show(field, e.getScreenX(), e.getScreenY());
                    e.consume();
                });
        WhileShown.listen(field, aimed::mark, session.stateProperty());
    }

    /**
     * A field for a number of a look, in its own unit.
     *
     * @param name of the edit
     * @param showers gets what shows a state
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

    private void trace() {
        Target target = aim.get();
        if (!Targets.isKeyed(target)) {
            return;
        }
        State state = session.state();
        if (target.lane() >= 0 && target.lane() != state.lane()) {
            session.selectLane(target.lane());
        }
        boolean selected = target.stepId().equals(state.stepId());
        view.traced.set(
                switch (target) {
                    case OfLane t when selected -> new Traced.OfTreatment(t.parameter());
                    case OfStep t when selected -> new Traced.OfTreatment(t.parameter());
                    default -> new Traced.Other(target);
                });
    }

    /** Says by a stroke under the number that dials drive it. */
    private void mark() {
        boolean driven =
                session.state()
                        .look()
                        .filter(l -> !Dialling.of(l, aim.get()).isEmpty())
                        .isPresent();
        field.getStyleClass().remove(DIALLED);
        if (driven) {
            field.getStyleClass().add(DIALLED);
        }
    }

    /** Made when it is asked for: a close-up has dozens of numbers. */
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
            items.add(peg(target));
            items.add(new SeparatorMenuItem());
        }
        boolean drivable =
                !(target instanceof Target.OfDial) && !(target instanceof Target.OfPlace);
        if (!drivable) {
            return items;
        }
        Look look = session.state().look().orElseThrow();
        items.add(Controls.item("Put it on a new dial", () -> onNew(List.of(target))));
        List<Target> all =
                IntStream.range(0, target.lane() < 0 ? 0 : look.lanes().size())
                        .mapToObj(target::inLane)
                        .toList();
        if (!all.isEmpty()) {
            items.add(Controls.item("Put it in all lanes on a new dial", () -> onNew(all)));
        }
        List<Dial> driving = Dialling.of(look, target);
        for (Dial dial : look.dials()) {
            if (driving.contains(dial)) {
                items.add(
                        Controls.item(
                                "Take it off " + dial.title(),
                                () -> edit(dial, l -> Dialling.off(l, dial.name(), target))));
            } else {
                items.add(
                        Controls.item(
                                "Put it on " + dial.title(),
                                () ->
                                        edit(
                                                dial,
                                                l ->
                                                        Dialling.driving(
                                                                l, dial.name(), List.of(target)))));
            }
        }
        return items;
    }

    private void edit(Dial dial, java.util.function.UnaryOperator<Look> change) {
        session.editLook("Dial " + dial.title(), change);
    }

    private void onNew(List<Target> targets) {
        String title = title(session.state().look().orElseThrow(), aim.get(), targets.size() == 1);
        session.editLook("New dial " + title, l -> Dialling.onNew(l, targets, title));
    }

    /**
     * What a number is called where it stands by itself: Shift red across.
     *
     * @param one whether its lane is named
     */
    public static String title(Look look, Target target, boolean one) {
        Stream<String> of =
                target instanceof Target.OfBurst t
                        ? look.burst(t.burst()).map(b -> b.name() + ":").stream()
                        : look
                                .step(target.stepId())
                                .map(s -> s.kind().description().title())
                                .stream();
        Stream<String> lane =
                one && target.lane() >= 0
                        ? Stream.of(
                                look.model()
                                        .lanes()
                                        .get(target.lane())
                                        .title()
                                        .toLowerCase(Locale.ROOT))
                        : Stream.empty();
        Stream<String> number =
                Targets.range(look, target)
                        .map(range -> range.title().toLowerCase(Locale.ROOT))
                        .stream();
        String all = Stream.of(of, lane, number).flatMap(s -> s).collect(Collectors.joining(" "));
        return all.isEmpty() ? all : Character.toUpperCase(all.charAt(0)) + all.substring(1);
    }

    private MenuItem peg(Target target) {
        int look = session.state().lookNumber();
        long frame = view.frame.get();
        Value value =
                session.state().layer().flatMap(l -> l.value(look, target)).orElse(Value.ZERO);
        boolean there = value.pegAt(frame).isPresent();
        Value changed =
                there
                        ? value.without(frame)
                        : value.with(new Peg(frame, value.at(frame), Ease.LINEAR));
        Value kept = there && !changed.isMoving() ? Value.of(value.at(frame)) : changed;
        return Controls.item(
                there ? "Take the peg away" : "Peg it here",
                () -> session.editLayer(there ? "Unpeg" : "Peg", l -> l.with(look, target, kept)));
    }
}
