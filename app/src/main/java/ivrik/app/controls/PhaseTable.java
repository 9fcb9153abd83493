package ivrik.app.controls;

import ivrik.app.session.Session;
import ivrik.app.shape.LookNumber;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.BurstPhases;
import ivrik.core.look.BurstPhases.Row;
import ivrik.core.look.Look;
import ivrik.core.look.Targets;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.separation.ChannelKind;
import ivrik.core.treatment.Parameter;

import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;

/** The phases of a burst as a table: frames, strength, and the amount in each driven channel. */
final class PhaseTable extends GridPane {
    private static final double PER_CENT = 100;
    private static final double MAX_AMOUNT = 1e6;

    private final Session session;
    private final String id;
    private final List<Consumer<Burst>> showers = new ArrayList<>();

    /**
     * @param burst has a {@link PeakEnvelope}
     */
    PhaseTable(Session session, Burst burst, Look look) {
        super(4, 2);
        this.session = session;
        this.id = burst.id();
        setId("phase-table");
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        getColumnConstraints().add(titles);
        List<Drive> drives = BurstPhases.ofChannels(look, burst);
        add(Controls.quiet(""), 0, 0);
        add(Controls.columnTitle("fr"), 1, 0);
        add(Controls.columnTitle("%"), 2, 0);
        for (int i = 0; i < drives.size(); i++) {
            ChannelKind kind = look.model().channels().get(drives.get(i).target().channel());
            ChannelBadge badge = new ChannelBadge(kind);
            setHalignment(badge, HPos.RIGHT);
            add(badge, 3 + i, 0);
        }
        int line = 1;
        for (Row row : BurstPhases.rows((PeakEnvelope) burst.envelope())) {
            add(row, line++, drives, look);
        }
    }

    /** Everything that the rows and columns depend on. */
    static String needs(Burst burst) {
        return burst.envelope() instanceof PeakEnvelope peak
                ? BurstPhases.rows(peak) + " " + burst.directions()
                : "";
    }

    private void add(Row row, int line, List<Drive> drives, Look look) {
        Label title = Controls.quiet(title(row));
        add(title, 0, line);
        add(
                number(
                        row,
                        "frames",
                        new NumberField.Spec(
                                "", row.isPeak() ? 1 : 0, Phase.MAX_FRAMES, 1, 1, 0, false),
                        row.isPeak()
                                ? "Frames of the peak on each side of the anchor"
                                : "Frames of the phase",
                        e -> BurstPhases.frames(e, row),
                        (e, to) -> BurstPhases.withFrames(e, row, (int) Math.rint(to))),
                1,
                line);
        NumberField strength = strength(row);
        strength.setFocusTraversable(drives.isEmpty()); // Tab goes along the amounts
        add(row.isPeak() ? full() : strength, 2, line);
        int column = 3;
        for (Drive drive : drives) {
            add(amount(row, drive, look), column++, line);
        }
    }

    private static String title(Row row) {
        return row.isPeak() ? "peak" : (row.later() ? "out " : "in ") + (row.number() + 1);
    }

    private static Node full() {
        return Controls.columnTitle("100");
    }

    private NumberField strength(Row row) {
        double most = PER_CENT * Phase.MAX_STRENGTH;
        return number(
                row,
                "strength",
                new NumberField.Spec("", -most, most, PER_CENT, 1, 0, false),
                "Strength of the phase, in % of the peak; its channels keep their" + " proportion",
                e -> PER_CENT * BurstPhases.strength(e, row),
                (e, to) -> BurstPhases.withStrength(e, row, to / PER_CENT));
    }

    private interface Read {
        double of(PeakEnvelope envelope);
    }

    private NumberField number(
            Row row,
            String part,
            NumberField.Spec spec,
            String help,
            Read read,
            BiFunction<PeakEnvelope, Double, PeakEnvelope> set) {
        return field(
                row,
                part,
                spec,
                help,
                b -> present(b, row).map(read::of),
                (b, to) ->
                        b.envelope() instanceof PeakEnvelope e
                                ? b.withEnvelope(set.apply(e, to))
                                : b);
    }

    /** The amount that a phase adds in one channel. */
    private NumberField amount(Row row, Drive drive, Look look) {
        Parameter range = Targets.range(look, drive.target()).orElseThrow();
        ChannelKind kind = look.model().channels().get(drive.target().channel());
        String unit = range.unit().isEmpty() ? "" : ", in " + range.unit();
        return field(
                row,
                kind.id(),
                new NumberField.Spec("", -MAX_AMOUNT, MAX_AMOUNT, 0, range.step(), 0, true),
                "Amount added to " + kind.title() + " in this phase" + unit,
                b ->
                        present(b, row)
                                .flatMap(e -> now(b, drive))
                                .map(d -> BurstPhases.amount(b, row, d)),
                (b, to) -> now(b, drive).map(d -> BurstPhases.withAmount(b, row, d, to)).orElse(b));
    }

    /** The drive of a target with its present factor. */
    private static Optional<Drive> now(Burst burst, Drive drive) {
        return burst.drives().stream().filter(d -> d.target().equals(drive.target())).findFirst();
    }

    /** The envelope of a burst, if it has the row; another shape may have fewer. */
    private static Optional<PeakEnvelope> present(Burst burst, Row row) {
        return burst.envelope() instanceof PeakEnvelope e && BurstPhases.rows(e).contains(row)
                ? Optional.of(e)
                : Optional.empty();
    }

    private NumberField field(
            Row row,
            String part,
            NumberField.Spec spec,
            String help,
            Function<Burst, Optional<? extends Number>> read,
            BiFunction<Burst, Double, Burst> set) {
        NumberField field =
                LookNumber.field(
                        "burst-" + title(row).replace(" ", "-") + "-" + part,
                        spec,
                        help,
                        session,
                        "Edit phase",
                        to -> look -> look.withBurst(id, b -> set.apply(b, to)));
        setHalignment(field, HPos.RIGHT);
        showers.add(b -> read.apply(b).ifPresent(v -> field.show(v.doubleValue())));
        return field;
    }

    void show(Burst burst) {
        showers.forEach(s -> s.accept(burst));
    }
}
