package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.hint;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.Controls;
import ivrik.app.session.Casts;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Steps;
import ivrik.app.session.Values;
import ivrik.app.session.View;
import ivrik.app.shape.OntoDials;
import ivrik.app.shape.Shape;
import ivrik.app.shape.Shapes;
import ivrik.app.theme.Palette;
import ivrik.core.look.HalationParts;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Group;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Trait;

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
 * The close-up of the selected treatment, made from its description: one control with all lanes in it,
 * the look's dials, a number for each lane and parameter, its choices, edge fill, sampler and jitter. All but
 * the control is made piece by piece: together it takes longer than a key press may.
 */
final class TreatmentPart extends PieceByPiece<State> {
    private final View view;
    private final Steps steps;
    private final ObjectProperty<Palette> palette;

    TreatmentPart(
            Session session, View view, Steps steps, Casts casts, ObjectProperty<Palette> palette) {
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
                        .closeUp(
                                new Shape.Around(
                                        session, view, palette, d, step.isWhole(), showers));
        controls.forEach(control -> OntoDials.offer(control, session));
        getChildren().addAll(controls);
        if (d.is(Trait.MEASURED)) {
            CastPart cast = new CastPart(casts);
            showers.add(cast::show);
            getChildren().add(2, cast);
        }
        if (!d.note().isEmpty()) {
            getChildren().add(hint(d.note()));
        }
        if (!look.dials().isEmpty()) {
            add(() -> new DialsPart(session, view, look, showers));
        }
        LaneNumbers numbers = new LaneNumbers(session, view, LaneEdits.shares(state), showers);
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
        if (d.group() == Group.MOVES || d.group() == Group.BLUR || d.group() == Group.DETAIL) {
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

    /** Where the size of the sequence does not let all of it show. */
    private Node advice() {
        Label label = hint("");
        label.setId("advice");
        label.managedProperty().bind(label.visibleProperty());
        showers.add(
                state -> {
                    Optional<String> word =
                            Values.settings(session, 0, view.frame.get())
                                    .flatMap(settings -> advice(state, settings));
                    label.setText(word.map(w -> "At this size " + w).orElse(""));
                    label.setVisible(word.isPresent());
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
        Button button = new Button("Open into its parts");
        button.getStyleClass().add("plain");
        button.setId("open-parts");
        button.setTooltip(
                new Tooltip(
                        "Puts the treatments that it is made of in its place, each open to change;"
                                + " the picture stays the same"));
        button.setOnAction(e -> steps.open(id));
        return button;
    }

    /** Where on the road it is done. */
    private Node where(Step made) {
        MenuButton button =
                Controls.menu(
                        "section",
                        "Whether it is done to each lane by itself, or to the whole picture before"
                                + " the lanes are separated or after they are rejoined");
        for (Section section : Section.of(made.kind())) {
            button.getItems()
                    .add(
                            Controls.item(
                                    title(section),
                                    () -> steps.place(session.state().stepId(), section)));
        }
        showers.add(s -> s.step().ifPresent(step -> button.setText(title(step.section()))));
        return row(quiet("done"), button);
    }

    private static String title(Section section) {
        return switch (section) {
            case PREPARE -> "to the picture, before separating";
            case LANES -> "to each lane";
            case FINISH -> "to the picture, after rejoining";
        };
    }

    /** What can be done with the amounts among the lanes. */
    private Node among() {
        FlowPane box = new FlowPane(2, 2);
        box.getChildren()
                .addAll(
                        quiet("these amounts"),
                        small(
                                "mirror",
                                "mirror",
                                "The lane's amounts on the other side of their defaults",
                                steps::mirror),
                        small(
                                "oppose",
                                "opposite in the other",
                                "The opposite in the other lane, the one between at its default",
                                steps::oppose),
                        small(
                                "spread",
                                "spread evenly",
                                "Evenly from the first lane to the last",
                                steps::spread),
                        small(
                                "same",
                                "same in all",
                                "The lane's amounts in all lanes",
                                steps::toAll),
                        small("copy", "copy", "Remembers the lane's amounts", steps::copy),
                        small(
                                "paste",
                                "paste",
                                "Puts what was copied into the lane",
                                steps::paste));
        return box;
    }

    private static Button small(String id, String word, String help, Runnable action) {
        Button button = new Button(word);
        button.getStyleClass().add("plain");
        button.setId("amounts-" + id);
        button.setMinWidth(USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(e -> action.run());
        return button;
    }

    /** What the table of a step's own is called. */
    private Node table() {
        Label label = hint("");
        label.setId("own-table");
        showers.add(
                s ->
                        label.setText(
                                s.step()
                                        .flatMap(Step::table)
                                        .map(t -> "Own table: " + t.name())
                                        .orElse(
                                                "For a table of your own, bring in or drop a"
                                                        + " .cube file.")));
        return label;
    }

    private Node option(Option option) {
        MenuButton button = Controls.menu("option-" + option.name(), option.help());
        for (String each : option.words()) {
            String name = option.title() + " " + each;
            button.getItems()
                    .add(Controls.item(each, () -> stepEdit(name, s -> s.withWord(option, each))));
        }
        showers.add(s -> s.step().ifPresent(step -> button.setText(step.word(option))));
        return row(quiet(option.title()), button);
    }

    private Node picture() {
        MenuButton button =
                Controls.menu(
                        "step-picture",
                        "The footage or picture that the treatment uses",
                        () -> session.project().sources().stream().map(this::pictureItem).toList());
        showers.add(
                s ->
                        s.step()
                                .ifPresent(
                                        step ->
                                                button.setText(
                                                        s.project()
                                                                .source(step.picture())
                                                                .map(Source::name)
                                                                .orElse("choose a picture"))));
        return row(quiet("picture"), button);
    }

    private MenuItem pictureItem(Source source) {
        return Controls.item(
                source.name(),
                () -> stepEdit("Picture " + source.name(), s -> s.withPicture(source.id())));
    }

    private Node edges(boolean sampled) {
        MenuButton fill =
                choice(
                        "What lies outside the picture where a lane has moved away",
                        EdgeFill.values(),
                        to -> stepEdit("Fill edges: " + word(to), s -> s.withEdgeFill(to)));
        MenuButton sampler =
                choice(
                        "How a value between pixels is found",
                        Sampler.values(),
                        to -> stepEdit("Sampler: " + word(to), s -> s.withSampler(to)));
        fill.setId("edge-fill");
        showers.add(
                s ->
                        s.step()
                                .ifPresent(
                                        step -> {
                                            fill.setText(word(step.edgeFill()));
                                            sampler.setText(word(step.sampler()));
                                        }));
        return sampled
                ? row(quiet("Edges"), fill, quiet("Sampler"), sampler)
                : row(quiet("Edges"), fill);
    }

    private void stepEdit(String name, UnaryOperator<Step> change) {
        String step = session.state().stepId();
        session.editLook(name, look -> look.withStep(step, change));
    }
}
