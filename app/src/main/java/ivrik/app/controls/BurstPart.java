package ivrik.app.controls;

import static ivrik.app.widget.Controls.hint;
import static ivrik.app.widget.Controls.item;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.LookNumber;
import ivrik.app.shape.TargetedFields;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.BurstParameters;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.motion.EnvelopePreset;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.treatment.Parameter;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/** Controls of a burst: envelope, anchor, directions and driven values. */
final class BurstPart extends IncrementalBuild<Burst> {
    private final View view;
    private final String id;

    BurstPart(Session session, View view, ObjectProperty<Palette> palette, Burst burst, Look look) {
        super(session, state -> state.look().flatMap(l -> l.burst(burst.id())));
        setSpacing(8);
        this.view = view;
        this.id = burst.id();
        BurstDrawing drawing = new BurstDrawing(session, palette);
        showers.add(drawing::show);
        BurstHead head = new BurstHead(session, view, id);
        showers.add(head::show);
        getChildren().addAll(head, drawing);
        if (burst.envelope() instanceof PeakEnvelope) {
            add(() -> phases(burst, look));
        }
        add(this::shape);
        add(this::anchor);
        add(() -> frames(burst.envelope() instanceof PeakEnvelope));
        add(this::strength);
        add(() -> drives(burst, look));
        add(this::seed);
        add(this::repeat);
        if (burst.envelope() instanceof PeakEnvelope) {
            add(
                    () ->
                            hint(
                                    "A burst moves channels around its anchor: phases in, a peak,"
                                        + " phases out. In the drawing, double-click splits a phase"
                                        + " and right-click deletes it."));
        }
    }

    /** Everything that the set of controls depends on. */
    static String needs(Burst burst) {
        return burst.id()
                + burst.envelope().getClass().getSimpleName()
                + PhaseTable.needs(burst)
                + burst.drives().stream().map(Burst.Drive::target).toList();
    }

    private Node phases(Burst burst, Look look) {
        PhaseTable phases = new PhaseTable(session, burst, look);
        showers.add(phases::show);
        return phases;
    }

    private Node drives(Burst burst, Look look) {
        BurstValues drives = new BurstValues(session, burst, look);
        showers.add(drives::show);
        return drives;
    }

    private UnaryOperator<Look> change(UnaryOperator<Burst> change) {
        return look -> look.withBurst(id, change);
    }

    private void edit(String name, UnaryOperator<Burst> change) {
        session.editLook(name, change(change));
    }

    private Node shape() {
        MenuButton shapes =
                Controls.menu(
                        "burst-shape",
                        "Preset shapes to start from. A swipe moves from one place to another and"
                                + " does not come back",
                        () -> Arrays.stream(EnvelopePreset.values()).map(this::shape).toList());
        shapes.setText("preset shapes");
        shapes.getStyleClass().add("tight");
        ToggleButton mirror =
                Controls.toggle(
                        "burst-mirror",
                        "symmetrical",
                        "The phases after the peak repeat those before it in reverse");
        mirror.setOnAction(
                e -> editPeakEnvelope("Symmetrical burst", h -> mirrored(h, mirror.isSelected())));
        ToggleButton ramps =
                Controls.toggle(
                        "burst-ramps", "ramps", "Interpolates between phases instead of stepping");
        ramps.setOnAction(
                e -> editPeakEnvelope("Steps or ramps", h -> h.withRamps(ramps.isSelected())));
        showers.add(
                b -> {
                    boolean hasPeak = b.envelope() instanceof PeakEnvelope;
                    mirror.setVisible(hasPeak);
                    ramps.setVisible(hasPeak);
                    if (b.envelope() instanceof PeakEnvelope h) {
                        mirror.setSelected(h.out().isEmpty());
                        ramps.setSelected(h.ramps());
                    }
                });
        return row(shapes, new HBox(2, ramps, mirror));
    }

    private MenuItem shape(EnvelopePreset shape) {
        return item(
                shape.toString(),
                () -> edit("Shape: " + shape, b -> b.withEnvelope(shape.envelope())));
    }

    private static PeakEnvelope mirrored(PeakEnvelope peak, boolean mirrored) {
        return peak.withOut(mirrored ? Optional.empty() : Optional.of(peak.down()));
    }

    private void editPeakEnvelope(String name, UnaryOperator<PeakEnvelope> change) {
        edit(name, peakEnvelope(change));
    }

    private static UnaryOperator<Burst> peakEnvelope(UnaryOperator<PeakEnvelope> change) {
        return b -> b.envelope() instanceof PeakEnvelope h ? b.withEnvelope(change.apply(h)) : b;
    }

    private Node anchor() {
        AnchorMenu menu =
                new AnchorMenu(session, view, to -> edit("Anchor", b -> b.withAnchor(to)));
        showers.add(b -> menu.show(b.anchor()));
        NumberField later = number(BurstParameters.OFFSET, "Offset from the anchor, in frames", 0);
        return row(quiet("Anchored to"), menu, quiet("offset, fr"), later);
    }

    private Node frames(boolean hasPeak) {
        NumberField before =
                number(
                        BurstParameters.BEFORE,
                        "Frames that the burst changes before its anchor; the phases scale in"
                                + " proportion",
                        hasPeak ? 0 : 1,
                        (b, to) -> BurstEdits.stretched(b, false, to));
        NumberField after =
                number(
                        BurstParameters.AFTER,
                        "Frames that the burst changes after its anchor; the phases scale in"
                                + " proportion",
                        hasPeak ? 0 : 1,
                        (b, to) -> BurstEdits.stretched(b, true, to));
        HBox lengths = row(quiet("Frames before"), before, quiet("after"), after);
        if (!hasPeak) {
            return new VBox(2, lengths, row(tied()));
        }
        NumberField phases =
                number(
                        BurstParameters.PHASES,
                        "Number of phases before the peak; changing it makes their lengths equal",
                        0,
                        (b, to) ->
                                b.withEnvelope(
                                        BurstEdits.evened(b.envelope(), (int) Math.rint(to))));
        return new VBox(2, lengths, row(quiet("Phases"), phases, tied()));
    }

    private ToggleButton tied() {
        ToggleButton tied =
                Controls.toggle(
                        "burst-tied",
                        "tied",
                        "Keeps the length of the other tied bursts of this layer with the same"
                                + " anchor, also in other looks");
        tied.setOnAction(e -> edit("Tie or untie burst", b -> b.withTied(tied.isSelected())));
        showers.add(b -> tied.setSelected(b.tied()));
        return tied;
    }

    private Node strength() {
        NumberField strength =
                number(BurstParameters.STRENGTH, "Multiplies all values that the burst drives", 2);
        NumberField angle =
                number(
                        BurstParameters.ANGLE,
                        "Rotates the direction of the movement, clockwise, in degrees",
                        1);
        return row(quiet("Strength"), strength, quiet("Angle"), angle);
    }

    private Node seed() {
        NumberField seed =
                LookNumber.field(
                        "burst-seed",
                        new NumberField.Spec("", 0, SeedControls.MAX, 1, 1, 0, false),
                        "Seed of channels whose direction is random",
                        session,
                        "Seed of a burst",
                        to -> change(b -> b.withSeed(Math.round(to))));
        HBox seeded = row(quiet("Seed"), seed);
        showers.add(
                b -> {
                    seed.show(b.seed());
                    boolean random = b.directions().contains(Direction.RANDOM);
                    seeded.setVisible(random);
                    seeded.setManaged(random);
                });
        return seeded;
    }

    private Node repeat() {
        NumberField every =
                number(
                        BurstParameters.REPEAT,
                        "Repeats the burst at this interval; 0 plays it once",
                        0);
        MenuButton unit = Controls.menu("burst-beats", "Unit: frames or beats per minute");
        for (boolean beats : new boolean[] {false, true}) {
            unit.getItems()
                    .add(
                            item(
                                    beats,
                                    unit(beats),
                                    () ->
                                            edit(
                                                    "Repeat: " + unit(beats),
                                                    b ->
                                                            b.withRepeat(
                                                                    b.repeat().withBeats(beats)))));
        }
        showers.add(
                b ->
                        Controls.show(
                                unit,
                                b.repeat().beats(),
                                b.repeat().every() == 0 && !b.repeat().beats()
                                        ? "frames (once)"
                                        : unit(b.repeat().beats())));
        return row(quiet("Repeat every"), every, unit);
    }

    private static String unit(boolean beats) {
        return beats ? "bpm" : "frames";
    }

    /** A number field for a parameter of the burst. */
    private NumberField number(String part, String help, int decimals) {
        BurstParameters.Part number = BurstParameters.named(part).orElseThrow();
        return number(
                part,
                help,
                decimals,
                (b, to) ->
                        number.with().apply(b, number.value().apply(b).set(view.frame.get(), to)));
    }

    private NumberField number(
            String part, String help, int decimals, BiFunction<Burst, Double, Burst> set) {
        BurstParameters.Part number = BurstParameters.named(part).orElseThrow();
        Parameter range = number.range();
        NumberField field =
                LookNumber.field(
                        "burst-" + part,
                        new NumberField.Spec(
                                range.unit().equals("deg") ? "deg" : "",
                                range.min(),
                                range.max(),
                                range.rest(),
                                range.step(),
                                decimals,
                                false),
                        help,
                        session,
                        "Burst: " + range.title().toLowerCase(Locale.ROOT),
                        to -> change(b -> set.apply(b, to)));
        TargetedFields.at(field, session, view, new OfBurst(id, part));
        showers.add(b -> field.show(number.value().apply(b).at(view.frame.get())));
        return field;
    }
}
