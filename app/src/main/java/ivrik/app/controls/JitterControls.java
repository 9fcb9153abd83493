package ivrik.app.controls;

import static ivrik.app.widget.Controls.choice;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;
import static ivrik.app.widget.Controls.text;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Jitter;
import ivrik.core.render.JitterBaking;
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
import java.util.stream.Stream;

/**
 * Jitter of the selected channel, or of all channels that are not fixed: of all parameters that move, or of
 * one.
 */
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
                    "all channels",
                    "Sets the jitter of all channels that are not fixed; each moves independently");

    /** The parameter whose own jitter is shown; empty for the channel's. */
    private String own = "";

    JitterControls(Session session, View view, Description description) {
        super(2);
        this.session = session;
        this.view = view;
        this.description = description;
        if (!hasCommon()) {
            own = jittering().map(Parameter::name).findFirst().orElse(description.main().name());
        }
        amount =
                new NumberField(
                        new NumberField.Spec(unit(), 0, 400, 0, 0.5, 1, false),
                        "Jitter amplitude of the selected channel: largest distance either way",
                        to ->
                                edit(
                                        "Jitter amount",
                                        j -> j.withAmount(j.amount().set(view.frame.get(), to))));
        amount.setId("jitter-amount");
        TargetedFields.at(amount, session, view, this::target);
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
                        "Jitter rate: random positions per second, in Hz",
                        to -> edit("Jitter rate", j -> j.withFrequencyHz(to)));
        seed =
                new NumberField(
                        new NumberField.Spec("", 0, SeedControls.MAX, 1, 1, 0, false),
                        "Seed: another seed gives another random movement",
                        to -> edit("Jitter seed", j -> j.withSeed((long) to)));
        octaves =
                new NumberField(
                        new NumberField.Spec("", 1, Jitter.MAX_OCTAVES, 1, 1, 0, false),
                        "Octaves: each adds finer movement, twice as fast and half as far",
                        to -> edit("Jitter octaves", j -> j.withOctaves((int) Math.rint(to))));
        octaves.setId("jitter-octaves");
        kind =
                choice(
                        "Smooth: moves between positions. Stepped: jumps",
                        Jitter.Kind.values(),
                        to -> edit("Jitter: " + text(to), j -> j.withKind(to)));
        kind.setId("jitter-kind");
        of = Controls.menu("jitter-of", "Choose which values jitter", this::values);
        bake.getStyleClass().add("plain");
        bake.setId("jitter-bake");
        bake.setTooltip(
                new Tooltip(
                        "Converts the jitter to one keyframe per frame for editing by hand, or"
                                + " restores the jitter"));
        bake.setOnAction(e -> bake());
        getChildren()
                .addAll(
                        row(quiet("Jitter"), kind, of),
                        row(amount, rate, bake),
                        row(near(quiet("octaves"), octaves), near(quiet("seed"), seed), all));
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
            items.add(Controls.item("", "all position values", () -> choose("")));
        }
        jittering()
                .forEach(
                        parameter ->
                                items.add(
                                        Controls.item(
                                                parameter.name(),
                                                parameter.title() + " only",
                                                () -> choose(parameter.name()))));
        return items;
    }

    /** The parameters with a title that can jitter on their own: those with an effect first. */
    private Stream<Parameter> jittering() {
        List<Parameter> titled =
                description.parameters().stream().filter(p -> !p.title().isEmpty()).toList();
        List<Parameter> driving = titled.stream().filter(Parameter::drives).toList();
        return driving.isEmpty() ? titled.stream() : driving.stream();
    }

    private void choose(String parameter) {
        own = parameter;
        show(session.state());
    }

    private Target target() {
        String name = own.isEmpty() ? OfChannel.JITTER : OfChannel.OWN_JITTER + own;
        State state = session.state();
        return state.step().filter(Step::isWhole).isPresent()
                ? new OfStep(state.stepId(), name)
                : new OfChannel(state.stepId(), state.channel(), name);
    }

    private Jitter jitter(ChannelSettings settings) {
        return own.isEmpty()
                ? settings.jitter()
                : settings.jitters().getOrDefault(own, Jitter.NONE);
    }

    void show(State state) {
        ChannelSettings settings = state.settings().orElse(null);
        if (settings == null) {
            return;
        }
        Jitter j = jitter(settings);
        amount.show(j.amount().at(view.frame.get()));
        rate.show(j.frequencyHz());
        seed.show(j.seed());
        octaves.show(j.octaves());
        Controls.show(kind, j.kind(), text(j.kind()));
        Controls.show(of, own, own.isEmpty() ? "position" : description.parameter(own).title());
        boolean baked = settings.beforeBaking().isPresent();
        bake.setText(baked ? "restore jitter" : "bake to keyframes");
        bake.setDisable(
                !baked
                        && settings.jitter().isNone()
                        && settings.jitters().values().stream().allMatch(Jitter::isNone));
    }

    private void bake() {
        String step = session.state().stepId();
        int channel = session.state().channel();
        boolean baked =
                session.state().settings().flatMap(ChannelSettings::beforeBaking).isPresent();
        if (baked) {
            session.editLook(
                    "Restore jitter",
                    l -> l.withSettings(step, channel, ChannelSettings::restoredJitter));
            return;
        }
        State state = session.state();
        Optional<Look> made =
                state.layer()
                        .map(
                                layer ->
                                        JitterBaking.baked(
                                                layer,
                                                state.lookNumber(),
                                                step,
                                                channel,
                                                session.plans().planner()));
        made.ifPresent(look -> session.editLook("Bake jitter to keyframes", l -> look));
    }

    private void edit(String name, UnaryOperator<Jitter> change) {
        String step = session.state().stepId();
        int channel = session.state().channel();
        session.editLook(
                name,
                look -> {
                    Look changed = look;
                    for (int i = 0; i < look.channels().size(); i++) {
                        if (i == channel || all.isSelected() && !look.channels().get(i).fixed()) {
                            changed = changed.withSettings(step, i, a -> with(a, change));
                        }
                    }
                    return changed;
                });
    }

    private ChannelSettings with(ChannelSettings settings, UnaryOperator<Jitter> change) {
        Jitter changed = change.apply(jitter(settings));
        return own.isEmpty() ? settings.withJitter(changed) : settings.withJitter(own, changed);
    }
}
