package ivrik.app.controls;

import static ivrik.app.widget.Controls.choice;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.text;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ChannelSourceParameters;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.project.Source;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.ChannelKind;

import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** Controls per channel: source, delay, cut offset and slit scan. */
final class ChannelSourcePart extends VBox {
    private static final String OWN = "layer";

    private final Session session;
    private final View view;
    private final List<ChannelKind> kinds;
    private final List<Consumer<State>> showers;
    private final GridPane grid = new GridPane(3, 4);

    /**
     * @param showers receives the functions that show a state
     */
    ChannelSourcePart(
            Session session, View view, List<ChannelKind> kinds, List<Consumer<State>> showers) {
        super(8);
        this.session = session;
        this.view = view;
        this.kinds = kinds;
        this.showers = showers;
        grid.add(quiet("source"), 1, 0);
        grid.add(Controls.columnTitle("delay"), 2, 0);
        grid.add(Controls.columnTitle("cut offset"), 3, 0);
        grid.add(Controls.columnTitle("trail"), 4, 0);
        getChildren().add(grid);
    }

    /** Builders of the controls, run one after the other. */
    List<Runnable> pieces() {
        List<Runnable> pieces = new ArrayList<>();
        for (int i = 0; i < kinds.size(); i++) {
            int channel = i;
            pieces.add(() -> makeRow(channel, kinds.get(channel)));
        }
        SlitScanPart slit = new SlitScanPart(session, view, kinds, this::beyond, showers);
        pieces.add(() -> getChildren().add(slit));
        pieces.addAll(slit.pieces());
        pieces.add(() -> getChildren().add(place()));
        return pieces;
    }

    private void makeRow(int channel, ChannelKind kind) {
        MenuButton source = source(channel, kind);
        GridPane.setHgrow(source, Priority.ALWAYS);
        source.setMaxWidth(Double.MAX_VALUE);
        source.setMinWidth(0);
        grid.addRow(
                channel + 1,
                new ChannelBadge(kind),
                source,
                time(
                        channel,
                        kind,
                        ChannelSourceParameters.DELAY,
                        "Delay of the channel, in frames"),
                time(
                        channel,
                        kind,
                        ChannelSourceParameters.CUT,
                        "Frames after the cut at which the channel changes to the next shot"),
                time(
                        channel,
                        kind,
                        ChannelSourceParameters.TRAIL,
                        "Trail: share of the previous frame that remains where it is lighter, in %"
                                + " per frame"));
    }

    /** Placement of the selected channel's picture, if it is not the layer's own. */
    private Node place() {
        PlacementPart place =
                new PlacementPart(
                        "channel-source",
                        view,
                        (name, change) ->
                                edit(
                                        session.state().channel(),
                                        name,
                                        f -> f.withPlacement(change.apply(f.placement()))),
                        (part, field) -> {});
        place.managedProperty().bind(place.visibleProperty());
        showers.add(
                s -> {
                    ChannelSource channelSource = channelSource(s, s.channel());
                    place.setVisible(!channelSource.source().isEmpty());
                    place.show(channelSource.placement());
                });
        return place;
    }

    private NumberField time(int channel, ChannelKind kind, String part, String help) {
        NumberField field =
                TargetedFields.number(
                        session,
                        view,
                        new OfChannelSource(channel, part),
                        kind.id() + "-" + part,
                        "Change timing of " + kind.title(),
                        help,
                        showers);
        GridPane.setHalignment(field, HPos.RIGHT);
        return field;
    }

    private MenuButton source(int channel, ChannelKind kind) {
        MenuButton menu =
                Controls.menu(
                        kind.id() + "-picture",
                        "Channel source of " + kind.title(),
                        () -> sources(channel, kind));
        showers.add(
                s -> {
                    String source = channelSource(s, channel).source();
                    Controls.show(menu, source, name(source));
                });
        return menu;
    }

    private static ChannelSource channelSource(State state, int channel) {
        return state.look()
                .map(l -> l.channels().get(channel).channelSource())
                .orElse(ChannelSource.LAYER_PICTURE);
    }

    private List<MenuItem> sources(int channel, ChannelKind kind) {
        List<MenuItem> items = new ArrayList<>();
        items.add(source(OWN + " picture", channel, kind, ""));
        for (Source each : session.project().sources()) {
            items.add(source(each.name(), channel, kind, each.id()));
        }
        return items;
    }

    private MenuItem source(String title, int channel, ChannelKind kind, String source) {
        return Controls.item(
                source,
                title,
                () ->
                        edit(
                                channel,
                                "Channel source of " + kind.title(),
                                f -> f.withSource(source)));
    }

    private String name(String source) {
        return source.isEmpty()
                ? OWN
                : session.project().source(source).map(Source::name).orElse("missing");
    }

    private MenuButton beyond(Integer channel, ChannelKind kind) {
        MenuButton menu =
                choice(
                        "Frames outside the clip: freeze the end frame, mirror, wrap, or leave"
                                + " empty",
                        EdgeFill.values(),
                        to -> edit(channel, "Outside clip: " + inTime(to), f -> f.withOutside(to)));
        for (int i = 0; i < menu.getItems().size(); i++) {
            menu.getItems().get(i).setText(inTime(EdgeFill.values()[i]));
        }
        menu.setId(kind.id() + "-beyond");
        menu.getStyleClass().addAll("tight", "bare");
        menu.setMinWidth(USE_PREF_SIZE);
        showers.add(
                s -> {
                    ChannelSource channelSource = channelSource(s, channel);
                    Controls.show(menu, channelSource.outside(), inTime(channelSource.outside()));
                    menu.setVisible(!channelSource.isPlain());
                });
        return menu;
    }

    /** Name of an edge fill in time; a repeated edge is a frozen frame. */
    private static String inTime(EdgeFill fill) {
        return fill == EdgeFill.REPEAT ? "freeze" : text(fill);
    }

    private void edit(int channel, String name, UnaryOperator<ChannelSource> change) {
        session.editLook(
                name,
                l ->
                        l.withChannel(
                                channel,
                                s -> s.withChannelSource(change.apply(s.channelSource()))));
    }
}
