package ivrik.app.controls;

import static ivrik.app.widget.Controls.item;

import ivrik.app.session.Session;
import ivrik.app.shape.LookNumber;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Targets;
import ivrik.core.separation.ChannelKind;
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

/** The driven values of a burst: one row per value, one number per channel. */
final class BurstValues extends GridPane {
    private final Session session;
    private final String id;
    private final List<MenuButton> directions = new ArrayList<>();
    private final Map<Target, NumberField> fields = new LinkedHashMap<>();

    BurstValues(Session session, Burst burst, Look look) {
        super(2, 2);
        this.session = session;
        this.id = burst.id();
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        titles.setMinWidth(40);
        getColumnConstraints().add(titles);
        add(Controls.quiet("Direction"), 0, 1);
        List<ChannelKind> kinds = look.model().channels();
        for (int channel = 0; channel < kinds.size(); channel++) {
            ChannelBadge badge = new ChannelBadge(kinds.get(channel));
            setHalignment(badge, HPos.RIGHT);
            ColumnConstraints column = new ColumnConstraints();
            column.setHalignment(HPos.RIGHT);
            column.setMinWidth(52);
            getColumnConstraints().add(column);
            add(badge, channel + 1, 0);
            add(direction(channel, kinds.get(channel)), channel + 1, 1);
        }
        int row = 2;
        for (Map.Entry<String, List<Drive>> each : rows(burst, look).entrySet()) {
            row(row++, each.getKey(), each.getValue(), look);
        }
        add(more(), 0, row, kinds.size() + 1, 1);
    }

    private MenuButton direction(int channel, ChannelKind kind) {
        MenuButton direction =
                Controls.choice(
                        "Direction of " + kind.title() + ": as set, reversed, fixed or random",
                        Direction.values(),
                        to ->
                                edit(
                                        "Direction: " + Controls.text(to),
                                        b -> BurstEdits.withDirection(b, channel, to)));
        direction.setId("burst-direction-" + kind.id());
        direction.getStyleClass().addAll("tight", "bare");
        direction.setMinWidth(USE_PREF_SIZE);
        directions.add(direction);
        return direction;
    }

    /** Groups the drives of one value in several channels. */
    private static Map<String, List<Drive>> rows(Burst burst, Look look) {
        Map<String, List<Drive>> rows = new LinkedHashMap<>();
        for (Drive drive : burst.drives()) {
            rows.computeIfAbsent(title(drive.target(), look), t -> new ArrayList<>()).add(drive);
        }
        return rows;
    }

    private static String title(Target target, Look look) {
        String value = Targets.range(look, target).map(Parameter::title).orElse("deleted");
        return look.step(target.stepId())
                .map(s -> s.kind().description().title() + " " + value)
                .orElse(value);
    }

    private static int channel(Target target) {
        return Math.max(0, target.channel());
    }

    private void row(int row, String title, List<Drive> drives, Look look) {
        MenuButton name =
                Controls.menu(
                        "burst-drives-" + row,
                        "Value driven by the burst",
                        () ->
                                List.of(
                                        item(
                                                "Remove value",
                                                () ->
                                                        edit(
                                                                "Remove driven value",
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
                            "burst-factor-" + row + "-" + channel(drive.target()),
                            new NumberField.Spec("", -1e6, 1e6, 0, step, step < 0.1 ? 2 : 1, true),
                            "Amount added at the peak"
                                    + (range == null || range.unit().isEmpty()
                                            ? ""
                                            : ", in " + range.unit()),
                            session,
                            "Drive " + title,
                            to -> change(b -> BurstEdits.withFactor(b, drive.target(), to)));
            field.show(drive.factor());
            setHalignment(field, HPos.RIGHT);
            add(field, channel(drive.target()) + 1, row);
            fields.put(drive.target(), field);
        }
    }

    void show(Burst burst) {
        for (int channel = 0; channel < directions.size(); channel++) {
            Direction direction = burst.directions().get(channel);
            Controls.show(directions.get(channel), direction, Controls.text(direction));
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

    /** Adds any number of any treatment. */
    private MenuButton more() {
        MenuButton more =
                Controls.menu(
                        "burst-drive-more", "Adds a value for the burst to drive", this::values);
        more.setText("add value");
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
                                Parameter.of(OfChannel.JITTER, "jitter", "px", 0, 1e6, 0, 1)));
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
                                        BurstEdits.with(
                                                b,
                                                BurstEdits.drives(
                                                        step, parameter, look.channels().size()))));
    }

    private UnaryOperator<Look> change(UnaryOperator<Burst> change) {
        return look -> look.withBurst(id, change);
    }

    private void edit(String name, UnaryOperator<Burst> change) {
        session.editLook(name, change(change));
    }
}
