package ivrik.app.controls;

import static ivrik.app.widget.Controls.choice;
import static ivrik.app.widget.Controls.hint;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;
import static ivrik.app.widget.Controls.text;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.ColourCastMeasurement;
import ivrik.app.session.CurrentValues;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.shape.AddToDials;
import ivrik.app.shape.Shape;
import ivrik.app.shape.Shapes;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.core.look.HalationParts;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.TreatmentGroup;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Controls of the selected treatment, built from its description: one control for all channels, the look's
 * dials, a number per channel and parameter, options, edge fill, sampling filter and jitter. All but the main
 * control are built one by one, because building all takes longer than a key press may.
 */
final class TreatmentPart extends IncrementalBuild<State> {
    private final View view;
    private final TreatmentEdits steps;
    private final ObjectProperty<Palette> palette;

    TreatmentPart(
            Session session,
            View view,
            TreatmentEdits steps,
            ColourCastMeasurement colourCasts,
            ObjectProperty<Palette> palette) {
        super(session, Optional::of);
        this.view = view;
        this.steps = steps;
        this.palette = palette;
        State state = session.state();
        Look look = state.look().orElseThrow();
        Step step = state.step().orElseThrow();
        Description d = step.kind().description();
        getChildren().addAll(row(title(d), unit(d)));
        List<Node> controls =
                Shapes.of(d.control())
                        .controls(
                                new Shape.Context(
                                        session, view, palette, d, step.isWhole(), showers));
        controls.forEach(control -> AddToDials.offer(control, session));
        getChildren().addAll(controls);
        if (d.is(Trait.MEASURED)) {
            ColourCastPart colourCast = new ColourCastPart(colourCasts);
            showers.add(colourCast::show);
            getChildren().add(2, colourCast);
        }
        if (!d.note().isEmpty()) {
            getChildren().add(hint(d.note()));
        }
        if (!look.dials().isEmpty()) {
            add(() -> new DialsPart(session, view, look, showers));
        }
        ChannelNumbers numbers =
                new ChannelNumbers(session, view, ChannelEdits.shares(state), showers);
        add(() -> numbers);
        addAll(numbers.rows(d));
        add(this::advice);
        for (Option option : d.options()) {
            add(() -> option(option));
        }
        if (d.is(Trait.TABLE)) {
            add(this::table);
        }
        if (d.is(Trait.PICTURE)) {
            add(this::picture);
        }
        if (d.group() == TreatmentGroup.MOVES
                || d.group() == TreatmentGroup.BLUR
                || d.group() == TreatmentGroup.DETAIL) {
            add(() -> edges(step.kind() instanceof Move));
        }
        if (d.main().drives()) {
            add(() -> jitter(d));
        }
        add(this::shutter);
        if (d.is(Trait.LIVE)) {
            add(this::seed);
        }
        add(() -> where(step));
        if (HalationParts.canOpen(look, step.id())) {
            add(() -> open(step.id()));
        }
        if (d.hasExample()) {
            add(this::example);
        }
        if (!step.isWhole()) {
            add(this::among);
        }
    }

    private static Label title(Description d) {
        Label title = new Label(d.title());
        title.getStyleClass().add("title");
        title.setTooltip(new Tooltip(d.help()));
        return title;
    }

    private static Label unit(Description d) {
        String unit = d.main().unit();
        return quiet(unit.equals("px") ? "pixels" : unit.equals("deg") ? "degrees" : unit);
    }

    /** A message if the sequence is too small for the settings. */
    private Node advice() {
        Label label = hint("");
        label.setId("advice");
        label.managedProperty().bind(label.visibleProperty());
        showers.add(
                state -> {
                    Optional<String> title =
                            CurrentValues.settings(session, 0, view.frame.get())
                                    .flatMap(settings -> advice(state, settings));
                    label.setText(title.map(w -> "At this playback size " + w).orElse(""));
                    label.setVisible(title.isPresent());
                });
        return label;
    }

    private static Optional<String> advice(State state, Settings settings) {
        Size size = state.project().sequence().size();
        return state.step().flatMap(step -> step.kind().advice(settings, size, 1));
    }

    private Node jitter(Description d) {
        JitterControls jitter = new JitterControls(session, view, d);
        showers.add(jitter::show);
        return jitter;
    }

    private Node shutter() {
        ShutterPart shutter = new ShutterPart(session, view);
        showers.add(state -> state.look().ifPresent(shutter::show));
        return shutter;
    }

    private Node seed() {
        SeedControls seed = new SeedControls(session);
        showers.add(seed::show);
        return seed;
    }

    private Node open(String id) {
        Button button = new Button("Expand into treatments");
        button.getStyleClass().add("plain");
        button.setId("open-parts");
        button.setTooltip(
                new Tooltip(
                        "Replaces this treatment by the simpler ones it consists of, so that each"
                                + " can be edited. The picture does not change"));
        button.setOnAction(e -> steps.open(id));
        return button;
    }

    private Node example() {
        return small(
                "example",
                "Example settings",
                "Sets every channel to a value that shows what the treatment does",
                steps::showExample);
    }

    /** Section of the treatment. */
    private Node where(Step made) {
        MenuButton button =
                Controls.menu(
                        "section",
                        "Where the treatment acts: on each channel, or on the whole picture before"
                                + " separation or after rejoin");
        for (Section section : Section.of(made.kind())) {
            button.getItems()
                    .add(
                            Controls.item(
                                    section,
                                    title(section),
                                    () -> steps.place(session.state().stepId(), section)));
        }
        showers.add(
                s ->
                        s.step()
                                .map(Step::section)
                                .ifPresent(
                                        section -> Controls.show(button, section, title(section))));
        return row(quiet("Apply to"), button);
    }

    private static String title(Section section) {
        return switch (section) {
            case PREPARE -> "whole picture, before separation";
            case CHANNELS -> "each channel";
            case FINISH -> "whole picture, after rejoin";
        };
    }

    /** Operations between the channels' settings. */
    private Node among() {
        FlowPane box = new FlowPane(2, 2);
        box.getChildren()
                .addAll(
                        quiet("channel settings"),
                        small(
                                "negate",
                                "negate",
                                "Reverses the sign of the channel's values about their defaults",
                                steps::mirror),
                        small(
                                "oppose",
                                "mirror to opposite channel",
                                "Gives the opposite channel the reversed values and sets the middle"
                                        + " channel to its defaults",
                                steps::oppose),
                        small(
                                "spread",
                                "spread evenly",
                                "Interpolates from the first channel to the last",
                                steps::spread),
                        small(
                                "same",
                                "same in all channels",
                                "Gives all channels this channel's settings",
                                steps::toAll),
                        small(
                                "copy",
                                "copy",
                                "Copies this channel's settings. Key: Ctrl+C",
                                steps::copy),
                        small(
                                "paste",
                                "paste",
                                "Pastes the copied settings into this channel. Key: Ctrl+V",
                                steps::paste));
        return box;
    }

    private static Button small(String id, String title, String help, Runnable action) {
        Button button = new Button(title);
        button.getStyleClass().add("plain");
        button.setId("settings-" + id);
        button.setMinWidth(USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(e -> action.run());
        return button;
    }

    /** Name of the step's own table. */
    private Node table() {
        Label label = hint("");
        label.setId("own-table");
        showers.add(
                s ->
                        label.setText(
                                s.step()
                                        .flatMap(Step::table)
                                        .map(t -> "Custom table: " + t.name())
                                        .orElse(
                                                "To use a custom table, import or drop a .cube"
                                                        + " file.")));
        return label;
    }

    private Node option(Option option) {
        MenuButton button = Controls.menu("option-" + option.name(), option.help());
        for (String each : option.choices()) {
            String name = option.title() + " " + each;
            button.getItems()
                    .add(
                            Controls.item(
                                    each,
                                    each,
                                    () -> stepEdit(name, s -> s.withChoice(option, each))));
        }
        showers.add(
                s ->
                        s.step()
                                .map(step -> step.choice(option))
                                .ifPresent(choice -> Controls.show(button, choice, choice)));
        return row(quiet(option.title()), button);
    }

    private Node picture() {
        MenuButton button =
                Controls.menu(
                        "step-picture",
                        "Source of the pattern or map that this treatment uses",
                        () -> session.project().sources().stream().map(this::pictureItem).toList());
        showers.add(
                s ->
                        s.step()
                                .ifPresent(
                                        step ->
                                                Controls.show(
                                                        button,
                                                        step.picture(),
                                                        s.project()
                                                                .source(step.picture())
                                                                .map(Source::name)
                                                                .orElse("choose a source"))));
        return row(quiet("picture"), button);
    }

    private MenuItem pictureItem(Source source) {
        return Controls.item(
                source.id(),
                source.name(),
                () ->
                        stepEdit(
                                "Pattern source: " + source.name(),
                                s -> s.withPicture(source.id())));
    }

    private Node edges(boolean sampled) {
        MenuButton fill =
                choice(
                        "Edge fill: what fills the area that a moved channel uncovers",
                        EdgeFill.values(),
                        to -> stepEdit("Edge fill: " + text(to), s -> s.withEdgeFill(to)));
        MenuButton sampler =
                choice(
                        "Sampler: interpolation for positions between pixels. Linear is fastest,"
                                + " Lanczos is sharpest",
                        Sampler.values(),
                        to -> stepEdit("Sampler: " + text(to), s -> s.withSampler(to)));
        fill.setId("edge-fill");
        showers.add(
                s ->
                        s.step()
                                .ifPresent(
                                        step -> {
                                            Controls.show(
                                                    fill, step.edgeFill(), text(step.edgeFill()));
                                            Controls.show(
                                                    sampler, step.sampler(), text(step.sampler()));
                                        }));
        return sampled
                ? row(quiet("Edge fill"), fill, quiet("Sampler"), sampler)
                : row(quiet("Edge fill"), fill);
    }

    private void stepEdit(String name, UnaryOperator<Step> change) {
        String step = session.state().stepId();
        session.editLook(name, look -> look.withStep(step, change));
    }
}
