package ivrik.app.closeup;

import static ivrik.app.control.Controls.hint;
import static ivrik.app.control.Controls.item;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.app.shape.LookNumber;
import ivrik.app.theme.Palette;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.BurstParts;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.motion.CourseShape;
import ivrik.core.motion.Hill;
import ivrik.core.motion.Phase;
import ivrik.core.treatment.Parameter;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/** The close-up of a burst: how it grows and passes, what it stands on, which way lanes go, what it drives. */
final class BurstPart extends PieceByPiece<Burst> {
    private final View view;
    private final String id;

    BurstPart(Session session, View view, ObjectProperty<Palette> palette, Burst burst, Look look) {
        super(session, state -> state.look().flatMap(l -> l.burst(burst.id())));
        setSpacing(8);
        this.view = view;
        this.id = burst.id();
        BurstDrawing drawing = new BurstDrawing(session, palette);
        showers.add(drawing::show);
        getChildren().addAll(head(), drawing);
        add(this::shape);
        add(this::anchor);
        add(() -> frames(burst.course() instanceof Hill));
        add(this::strength);
        add(() -> drives(burst, look));
        add(this::seed);
        add(this::repeat);
        if (burst.course() instanceof Hill) {
            add(
                    () ->
                            hint(
                                    "Drag a step of the drawing up, or its outer side; double-click"
                                            + " splits it, the right button takes it away."));
        }
    }

    /** What the controls of a burst depend on. */
    static String needs(Burst burst) {
        return burst.id()
                + burst.course().getClass().getSimpleName()
                + burst.drives().stream().map(Burst.Drive::target).toList();
    }

    private Node drives(Burst burst, Look look) {
        BurstDrives drives = new BurstDrives(session, burst, look);
        showers.add(drives::show);
        return drives;
    }

    private UnaryOperator<Look> change(UnaryOperator<Burst> change) {
        return look -> look.withBurst(id, change);
    }

    private void edit(String name, UnaryOperator<Burst> change) {
        session.editLook(name, change(change));
    }

    private Node head() {
        MenuButton title =
                Controls.menu("burst-name", "The burst; choose another of the look", this::others);
        title.getStyleClass().addAll("title", "tight");
        showers.add(b -> title.setText(b.name()));
        ToggleButton on = Controls.toggle("burst-on", "on", "Whether it moves anything");
        on.setOnAction(e -> edit("Burst on or off", b -> b.withOn(on.isSelected())));
        showers.add(b -> on.setSelected(b.on()));
        Button remove = new Button("remove");
        remove.getStyleClass().add("plain");
        remove.setId("burst-remove");
        remove.setOnAction(
                e -> {
                    session.editLook("Remove burst", l -> l.withoutBurst(id));
                    view.face.set(View.Face.TREATMENT);
                });
        return row(title, new HBox(2, on, remove));
    }

    private List<MenuItem> others() {
        return session.state().look().map(Look::bursts).orElse(List.of()).stream()
                .map(b -> item(b.name(), () -> session.selectBurst(b.id())))
                .toList();
    }

    private Node shape() {
        MenuButton shapes =
                Controls.menu(
                        "burst-shape",
                        "Good beginnings, to be shaped by hand",
                        () -> Arrays.stream(CourseShape.values()).map(this::shape).toList());
        shapes.setText("another shape");
        shapes.getStyleClass().add("tight");
        ToggleButton mirror =
                Controls.toggle("burst-mirror", "mirrored", "Down the way it came up");
        mirror.setOnAction(e -> editHill("Mirrored", h -> mirrored(h, mirror.isSelected())));
        ToggleButton ramps =
                Controls.toggle("burst-ramps", "ramps", "From strength to strength evenly");
        ramps.setOnAction(e -> editHill("Steps or ramps", h -> h.withRamps(ramps.isSelected())));
        showers.add(
                b -> {
                    boolean hill = b.course() instanceof Hill;
                    mirror.setVisible(hill);
                    ramps.setVisible(hill);
                    if (b.course() instanceof Hill h) {
                        mirror.setSelected(h.out().isEmpty());
                        ramps.setSelected(h.ramps());
                    }
                });
        return row(shapes, new HBox(2, ramps, mirror));
    }

    private MenuItem shape(CourseShape shape) {
        return item(
                shape.toString(), () -> edit("Shape: " + shape, b -> b.withCourse(shape.course())));
    }

    private static Hill mirrored(Hill hill, boolean mirrored) {
        return hill.withOut(mirrored ? Optional.empty() : Optional.of(hill.down()));
    }

    private void editHill(String name, UnaryOperator<Hill> change) {
        edit(name, hill(change));
    }

    private static UnaryOperator<Burst> hill(UnaryOperator<Hill> change) {
        return b -> b.course() instanceof Hill h ? b.withCourse(change.apply(h)) : b;
    }

    private Node anchor() {
        AnchorMenu menu =
                new AnchorMenu(session, view, to -> edit("Anchor", b -> b.withAnchor(to)));
        showers.add(b -> menu.show(b.anchor()));
        NumberField later =
                number(BurstParts.LATER, "Frames that it is later than what it stands on", 0);
        return row(quiet("Stands on"), menu, quiet("later"), later);
    }

    private Node frames(boolean hill) {
        NumberField before =
                number(
                        BurstParts.BEFORE,
                        "Frames before the peak; its phases keep their proportion",
                        hill ? 0 : 1,
                        (b, to) -> b.withCourse(Bursting.stretched(b.course(), false, to)));
        NumberField after =
                number(
                        BurstParts.AFTER,
                        "Frames after the peak; its phases keep their proportion",
                        hill ? 0 : 1,
                        (b, to) -> b.withCourse(Bursting.stretched(b.course(), true, to)));
        if (!hill) {
            return row(quiet("Frames before"), before, quiet("after"), after);
        }
        NumberField phases =
                number(
                        BurstParts.PHASES,
                        "How many phases lead to the peak; another number makes them even",
                        0,
                        (b, to) -> b.withCourse(Bursting.evened(b.course(), (int) Math.rint(to))));
        NumberField peak =
                LookNumber.field(
                        "burst-peak",
                        new NumberField.Spec("", 1, Phase.MOST_FRAMES, 1, 1, 0, false),
                        "Frames of the peak, counted from its middle to one side",
                        session,
                        "Peak",
                        to -> change(hill(h -> h.withPeak((int) to))));
        showers.add(b -> peak.show(b.course() instanceof Hill h ? h.peak() : 1));
        return new VBox(
                2,
                row(quiet("Frames before"), before, quiet("after"), after),
                row(quiet("Phases"), phases, quiet("peak"), peak));
    }

    private Node strength() {
        NumberField strength = number(BurstParts.STRENGTH, "Times what it drives", 2);
        NumberField angle =
                number(BurstParts.ANGLE, "Turns what moves across and down, clockwise", 1);
        return row(quiet("Strength"), strength, quiet("Angle"), angle);
    }

    private Node seed() {
        NumberField seed =
                LookNumber.field(
                        "burst-seed",
                        new NumberField.Spec("", 0, SeedControls.MOST, 1, 1, 0, false),
                        "Another seed, other ways where they are random",
                        session,
                        "Seed of a burst",
                        to -> change(b -> b.withSeed(Math.round(to))));
        HBox seeded = row(quiet("Seed"), seed);
        showers.add(
                b -> {
                    seed.show(b.seed());
                    boolean random = b.ways().contains(Way.RANDOM);
                    seeded.setVisible(random);
                    seeded.setManaged(random);
                });
        return seeded;
    }

    private Node repeat() {
        NumberField every =
                number(
                        BurstParts.REPEAT,
                        "Comes again after so many frames, or so many times a minute; 0 for once",
                        0);
        MenuButton unit = Controls.menu("burst-beats", "Frames, or beats a minute");
        for (boolean beats : new boolean[] {false, true}) {
            unit.getItems()
                    .add(
                            item(
                                    unit(beats),
                                    () ->
                                            edit(
                                                    "Again: " + unit(beats),
                                                    b ->
                                                            b.withRepeat(
                                                                    b.repeat().withBeats(beats)))));
        }
        showers.add(
                b ->
                        unit.setText(
                                b.repeat().every() == 0 && !b.repeat().beats()
                                        ? "frames, once"
                                        : unit(b.repeat().beats())));
        return row(quiet("Again every"), every, unit);
    }

    private static String unit(boolean beats) {
        return beats ? "beats a minute" : "frames";
    }

    /** A number that is set as files and dials set it. */
    private NumberField number(String part, String help, int decimals) {
        BurstParts.Part number = BurstParts.named(part).orElseThrow();
        return number(
                part,
                help,
                decimals,
                (b, to) ->
                        number.with().apply(b, number.value().apply(b).set(view.frame.get(), to)));
    }

    private NumberField number(
            String part, String help, int decimals, BiFunction<Burst, Double, Burst> set) {
        BurstParts.Part number = BurstParts.named(part).orElseThrow();
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
        Aimed.at(field, session, view, new OfBurst(id, part));
        showers.add(b -> field.show(number.value().apply(b).at(view.frame.get())));
        return field;
    }
}
