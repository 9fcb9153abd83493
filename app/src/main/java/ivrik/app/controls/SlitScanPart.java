package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ChannelSourceParameters;
import ivrik.core.look.Look;
import ivrik.core.look.SlitScan;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.project.Source;
import ivrik.core.separation.ChannelKind;

import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/** Slit scan per channel: delay and wipe across the picture, and the fill for missing frames. */
final class SlitScanPart extends VBox {
    private final Session session;
    private final View view;
    private final List<ChannelKind> kinds;
    private final BiFunction<Integer, ChannelKind, Node> beyond;
    private final List<Consumer<State>> showers;
    private final GridPane grid = new GridPane(6, 4);

    /**
     * @param showers receives the functions that show a state
     * @param beyond builds the control for missing frames, by channel index
     */
    SlitScanPart(
            Session session,
            View view,
            List<ChannelKind> kinds,
            BiFunction<Integer, ChannelKind, Node> beyond,
            List<Consumer<State>> showers) {
        super(4);
        this.session = session;
        this.view = view;
        this.kinds = kinds;
        this.beyond = beyond;
        this.showers = showers;
        MenuButton by =
                Controls.menu(
                        "slit-by",
                        "Slit-scan map: the delay grows along a direction, with the brightness of a"
                                + " source, or with the channel's own value",
                        this::directions);
        showers.add(
                s -> {
                    SlitScan slit = slit(s, s.channel());
                    Controls.show(by, value(slit.by(), slit.picture()), direction(slit));
                });
        Region gap = new Region();
        GridPane.setHgrow(gap, Priority.ALWAYS);
        grid.add(gap, 1, 0);
        String[] heads = {"max delay", "wipe", "direction"};
        for (int column = 0; column < heads.length; column++) {
            grid.add(Controls.columnTitle(heads[column]), column + 2, 0);
        }
        getChildren().addAll(row(quiet("Slit scan by"), by), grid);
    }

    /** Builders of the rows of the channels, run one after the other. */
    List<Runnable> pieces() {
        return IntStream.range(0, kinds.size())
                .<Runnable>mapToObj(channel -> () -> makeRow(channel, kinds.get(channel)))
                .toList();
    }

    private void makeRow(int channel, ChannelKind kind) {
        grid.addRow(
                channel + 1,
                new ChannelBadge(kind),
                beyond.apply(channel, kind),
                time(
                        channel,
                        kind,
                        ChannelSourceParameters.SLIT,
                        "Delay at the far edge of the picture, in frames"),
                time(
                        channel,
                        kind,
                        ChannelSourceParameters.WIPE,
                        "Wipe length: frames after the cut at which the far edge changes to the"
                                + " next shot"),
                time(
                        channel,
                        kind,
                        ChannelSourceParameters.ANGLE,
                        "Direction of the far edge, clockwise, in degrees"));
    }

    private NumberField time(int channel, ChannelKind kind, String part, String help) {
        NumberField field =
                TargetedFields.number(
                        session,
                        view,
                        new OfChannelSource(channel, part),
                        kind.id() + "-" + part,
                        "Change slit scan of " + kind.title(),
                        help,
                        showers);
        GridPane.setHalignment(field, HPos.RIGHT);
        return field;
    }

    private static SlitScan slit(State state, int channel) {
        return state.look()
                .map(l -> l.channels().get(channel).channelSource().slitScan())
                .orElse(SlitScan.NONE);
    }

    private String direction(SlitScan slit) {
        return switch (slit.by()) {
            case DIRECTION -> "direction";
            case CHANNEL -> "channel value";
            case PICTURE ->
                    session.project()
                            .source(slit.picture())
                            .map(Source::name)
                            .orElse("missing source");
        };
    }

    private List<MenuItem> directions() {
        List<MenuItem> items = new ArrayList<>();
        items.add(
                item(
                        value(SlitScan.By.DIRECTION, ""),
                        "direction",
                        s -> s.withBy(SlitScan.By.DIRECTION)));
        items.add(
                item(
                        value(SlitScan.By.CHANNEL, ""),
                        "channel value",
                        s -> s.withBy(SlitScan.By.CHANNEL)));
        for (Source source : session.project().sources()) {
            items.add(
                    item(
                            value(SlitScan.By.PICTURE, source.id()),
                            "brightness of " + source.name(),
                            s -> s.withBy(SlitScan.By.PICTURE).withPicture(source.id())));
        }
        return items;
    }

    /** What a menu item stands for: the source matters only for pictures. */
    private static List<Object> value(SlitScan.By by, String source) {
        return List.of(by, by == SlitScan.By.PICTURE ? source : "");
    }

    /** Chosen for all channels together; only the numbers differ between channels. */
    private MenuItem item(Object value, String title, UnaryOperator<SlitScan> change) {
        return Controls.item(
                value,
                title,
                () -> session.editLook("Slit scan by " + title, l -> changed(l, change)));
    }

    private static Look changed(Look look, UnaryOperator<SlitScan> change) {
        Look changed = look;
        for (int channel = 0; channel < look.channels().size(); channel++) {
            changed =
                    changed.withChannel(
                            channel,
                            s ->
                                    s.withChannelSource(
                                            s.channelSource()
                                                    .withSlitScan(
                                                            change.apply(
                                                                    s.channelSource()
                                                                            .slitScan()))));
        }
        return changed;
    }
}
