package ivrik.app.closeup;

import static ivrik.app.control.Controls.item;

import ivrik.app.control.Badge;
import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.shape.LookNumber;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Targets;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Parameter;

import javafx.geometry.HPos;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** What a burst drives: a row for each value, a number for each lane of it. */
final class BurstDrives extends GridPane {
    private final Session session;
    private final String id;
    private final List<MenuButton> ways = new ArrayList<>();
    private final Map<Target, NumberField> fields = new LinkedHashMap<>();

    BurstDrives(Session session, Burst burst, Look look) {
        super(2, 2);
        this.session = session;
        this.id = burst.id();
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        titles.setMinWidth(40);
        getColumnConstraints().add(titles);
        add(Controls.quiet("Way"), 0, 1);
        List<LaneKind> kinds = look.model().lanes();
        for (int lane = 0; lane < kinds.size(); lane++) {
            Badge badge = new Badge(kinds.get(lane));
            setHalignment(badge, HPos.RIGHT);
            ColumnConstraints column = new ColumnConstraints();
            column.setHalignment(HPos.RIGHT);
            column.setMinWidth(52);
            getColumnConstraints().add(column);
            add(badge, lane + 1, 0);
            add(way(lane, kinds.get(lane)), lane + 1, 1);
        }
        int row = 2;
        for (Map.Entry<String, List<Drive>> each : rows(burst, look).entrySet()) {
            row(row++, each.getKey(), each.getValue(), look);
        }
        add(more(), 0, row, kinds.size() + 1, 1);
    }

    private MenuButton way(int lane, LaneKind kind) {
        MenuButton way =
                Controls.choice(
                        "Which way " + kind.title() + " goes",
                        Way.values(),
                        to ->
                                edit(
                                        "Way: " + Controls.word(to),
                                        b -> Bursting.withWay(b, lane, to)));
        way.setId("burst-way-" + kind.id());
        way.getStyleClass().addAll("tight", "bare");
        way.setMinWidth(USE_PREF_SIZE);
        ways.add(way);
        return way;
    }

    /** Drives of one value in several lanes are one row. */
    private static Map<String, List<Drive>> rows(Burst burst, Look look) {
        Map<String, List<Drive>> rows = new LinkedHashMap<>();
        for (Drive drive : burst.drives()) {
            rows.computeIfAbsent(title(drive.target(), look), t -> new ArrayList<>()).add(drive);
        }
        return rows;
    }

    private static String title(Target target, Look look) {
        String value = Targets.range(look, target).map(Parameter::title).orElse("gone");
        return look.step(target.stepId())
                .map(s -> s.kind().description().title() + " " + value)
                .orElse(value);
    }

    private static int lane(Target target) {
        return Math.max(0, target.lane());
    }

    private void row(int row, String title, List<Drive> drives, Look look) {
        MenuButton name =
                Controls.menu(
                        "burst-drives-" + row,
                        "What it drives",
                        () ->
                                List.of(
                                        item(
                                                "Leave it alone",
                                                () ->
                                                        edit(
                                                                "Drive less",
                                                                b -> without(b, drives)))));
        name.setText(title);
        name.getStyleClass().addAll("tight", "bare");
        name.setTooltip(new Tooltip(title));
        name.setMinWidth(0);
        add(name, 0, row);
        for (Drive drive : drives) {
            Parameter range = Targets.range(look, drive.target()).orElse(null);
            double step = range == null ? 1 : range.step();
            NumberField field =
                    LookNumber.field(
                            "burst-factor-" + row + "-" + lane(drive.target()),
                            new NumberField.Spec("", -1e6, 1e6, 0, step, step < 0.1 ? 2 : 1, true),
                            "Added at the peak"
                                    + (range == null || range.unit().isEmpty()
                                            ? ""
                                            : ", in " + range.unit()),
                            session,
                            "Drive " + title,
                            to -> change(b -> Bursting.withFactor(b, drive.target(), to)));
            field.show(drive.factor());
            setHalignment(field, HPos.RIGHT);
            add(field, lane(drive.target()) + 1, row);
            fields.put(drive.target(), field);
        }
    }

    void show(Burst burst) {
        for (int lane = 0; lane < ways.size(); lane++) {
            ways.get(lane).setText(Controls.word(burst.ways().get(lane)));
        }
        for (Drive drive : burst.drives()) {
            NumberField field = fields.get(drive.target());
            if (field != null) {
                field.show(drive.factor());
            }
        }
    }

    private static Burst without(Burst burst, List<Drive> gone) {
        List<Target> targets = gone.stream().map(Drive::target).toList();
        return burst.withDrives(
                burst.drives().stream().filter(d -> !targets.contains(d.target())).toList());
    }

    /** Any number of any treatment of the look. */
    private MenuButton more() {
        MenuButton more =
                Controls.menu("burst-drive-more", "Lets it drive another value", this::values);
        more.setText("+ value");
        more.getStyleClass().add("tight");
        return more;
    }

    private List<MenuItem> values() {
        Look look = session.state().look().orElseThrow();
        List<MenuItem> items = new ArrayList<>();
        for (Step step : look.steps()) {
            for (Parameter parameter : step.kind().description().parameters()) {
                if (!parameter.title().isEmpty()) {
                    items.add(value(look, step, parameter));
                }
            }
            if (!step.isWhole()
                    && step.kind().description().parameters().stream()
                            .anyMatch(Parameter::jitters)) {
                items.add(
                        value(
                                look,
                                step,
                                Parameter.of(OfLane.JITTER, "jitter", "px", 0, 1e6, 0, 1)));
            }
        }
        return items;
    }

    private MenuItem value(Look look, Step step, Parameter parameter) {
        String title = step.kind().description().title() + " " + parameter.title();
        return item(
                title,
                () ->
                        edit(
                                "Drive " + title,
                                b ->
                                        Bursting.with(
                                                b,
                                                Bursting.drives(
                                                        step, parameter, look.lanes().size()))));
    }

    private UnaryOperator<Look> change(UnaryOperator<Burst> change) {
        return look -> look.withBurst(id, change);
    }

    private void edit(String name, UnaryOperator<Burst> change) {
        session.editLook(name, change(change));
    }
}
