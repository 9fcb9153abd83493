package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Jitter;
import ivrik.core.render.Baking;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The jitter of the lane being worked on, or of all that are not held: of its moves, or of one value alone. */
final class JitterControls extends VBox {
    private final Session session;
    private final View view;
    private final Description description;
    private final NumberField amount;
    private final NumberField rate;
    private final NumberField seed;
    private final NumberField octaves;
    private final MenuButton kind;
    private final MenuButton of;
    private final Button bake = new Button();
    private final ToggleButton all =
            Controls.toggle(
                    "jitter-all",
                    "all lanes",
                    "Changes the jitter of every lane that is not kept still, each moving its own"
                            + " way");

    /** The value whose own jitter is shown; empty for that of the lane. */
    private String own = "";

    JitterControls(Session session, View view, Description description) {
        super(2);
        this.session = session;
        this.view = view;
        this.description = description;
        if (!hasCommon()) {
            own = description.main().name();
        }
        amount =
                new NumberField(
                        new NumberField.Spec(unit(), 0, 400, 0, 0.5, 1, false),
                        "Random movement of the lane being worked on: at most so far either way",
                        to ->
                                edit(
                                        "Jitter amount",
                                        j -> j.withAmount(j.amount().set(view.frame.get(), to))));
        amount.setId("jitter-amount");
        Aimed.at(amount, session, view, this::target);
        rate =
                new NumberField(
                        new NumberField.Spec(
                                "Hz",
                                0,
                                Jitter.MAX_FREQUENCY_HZ,
                                Jitter.NONE.frequencyHz(),
                                1,
                                0,
                                false),
                        "New places a second",
                        to -> edit("Jitter rate", j -> j.withFrequencyHz(to)));
        seed =
                new NumberField(
                        new NumberField.Spec("", 0, SeedControls.MOST, 1, 1, 0, false),
                        "Another seed, another movement",
                        to -> edit("Jitter seed", j -> j.withSeed((long) to)));
        octaves =
                new NumberField(
                        new NumberField.Spec("", 1, Jitter.MOST_OCTAVES, 1, 1, 0, false),
                        "Finer movement on top, each octave twice as fast and half as far",
                        to -> edit("Jitter octaves", j -> j.withOctaves((int) Math.rint(to))));
        octaves.setId("jitter-octaves");
        kind =
                choice(
                        "Gliding, or jumping",
                        Jitter.Kind.values(),
                        to -> edit("Jitter: " + word(to), j -> j.withKind(to)));
        kind.setId("jitter-kind");
        of = Controls.menu("jitter-of", "Which values shake", this::values);
        bake.getStyleClass().add("plain");
        bake.setId("jitter-bake");
        bake.setTooltip(
                new Tooltip(
                        "Turns the jitter into pegs, one a frame, to be shaped by hand; and back to"
                                + " what it was"));
        bake.setOnAction(e -> bake());
        getChildren()
                .addAll(
                        row(quiet("Jitter"), kind, of, all),
                        row(amount, rate, bake),
                        row(near(quiet("octaves"), octaves), near(quiet("seed"), seed)));
    }

    private static HBox near(javafx.scene.Node... nodes) {
        HBox box = new HBox(2, nodes);
        box.setAlignment(Pos.CENTER);
        return box;
    }

    private boolean hasCommon() {
        return description.parameters().stream().anyMatch(Parameter::jitters);
    }

    private String unit() {
        return own.isEmpty() ? description.main().unit() : description.parameter(own).unit();
    }

    private List<MenuItem> values() {
        List<MenuItem> items = new ArrayList<>();
        if (hasCommon()) {
            items.add(Controls.item("all moves", () -> choose("")));
        }
        for (Parameter parameter : description.parameters()) {
            if (!parameter.title().isEmpty() && parameter.drives()) {
                items.add(
                        Controls.item(
                                parameter.title() + " by itself", () -> choose(parameter.name())));
            }
        }
        return items;
    }

    private void choose(String parameter) {
        own = parameter;
        show(session.state());
    }

    private Target target() {
        String name = own.isEmpty() ? OfLane.JITTER : OfLane.OWN_JITTER + own;
        State state = session.state();
        return state.step().filter(Step::isWhole).isPresent()
                ? new OfStep(state.stepId(), name)
                : new OfLane(state.stepId(), state.lane(), name);
    }

    private Jitter jitter(Amounts amounts) {
        return own.isEmpty() ? amounts.jitter() : amounts.jitters().getOrDefault(own, Jitter.NONE);
    }

    void show(State state) {
        Amounts amounts = state.amounts().orElse(null);
        if (amounts == null) {
            return;
        }
        Jitter j = jitter(amounts);
        amount.show(j.amount().at(view.frame.get()));
        rate.show(j.frequencyHz());
        seed.show(j.seed());
        octaves.show(j.octaves());
        kind.setText(word(j.kind()));
        of.setText(own.isEmpty() ? "all moves" : description.parameter(own).title());
        boolean baked = amounts.unbaked().isPresent();
        bake.setText(baked ? "back to jitter" : "bake");
        bake.setDisable(
                !baked
                        && amounts.jitter().isNone()
                        && amounts.jitters().values().stream().allMatch(Jitter::isNone));
    }

    private void bake() {
        String step = session.state().stepId();
        int lane = session.state().lane();
        boolean baked = session.state().amounts().flatMap(Amounts::unbaked).isPresent();
        if (baked) {
            session.editLook(
                    "Back to jitter", l -> l.withAmounts(step, lane, Amounts::unbakedAgain));
            return;
        }
        State state = session.state();
        Optional<Look> made =
                state.layer()
                        .map(
                                layer ->
                                        Baking.baked(
                                                layer,
                                                state.lookNumber(),
                                                step,
                                                lane,
                                                session.plans().planner()));
        made.ifPresent(look -> session.editLook("Bake jitter to pegs", l -> look));
    }

    private void edit(String name, UnaryOperator<Jitter> change) {
        String step = session.state().stepId();
        int lane = session.state().lane();
        session.editLook(
                name,
                look -> {
                    Look changed = look;
                    for (int i = 0; i < look.lanes().size(); i++) {
                        if (i == lane || all.isSelected() && !look.lanes().get(i).hold()) {
                            changed = changed.withAmounts(step, i, a -> with(a, change));
                        }
                    }
                    return changed;
                });
    }

    private Amounts with(Amounts amounts, UnaryOperator<Jitter> change) {
        Jitter changed = change.apply(jitter(amounts));
        return own.isEmpty() ? amounts.withJitter(changed) : amounts.withJitter(own, changed);
    }
}
