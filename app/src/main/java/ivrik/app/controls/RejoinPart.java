package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.Controls;
import ivrik.app.widget.InkWell;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Paint;

import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** Controls of the rejoin: its method, and each channel's ink, strength, blend mode and order. */
final class RejoinPart extends VBox implements ControlsPart {
    private static final String AS_ALL = "as set above";

    private final Session session;
    private final View view;
    private final GridPane channels = new GridPane(6, 6);

    /**
     * Functions that show a look, for controls that are rebuilt with the order and for the others.
     */
    private final List<Consumer<Look>> showers = new ArrayList<>();

    private final List<Consumer<Look>> fixed = new ArrayList<>();
    private List<Integer> order = List.of();

    RejoinPart(Session session, View view) {
        this.session = session;
        this.view = view;
        getStyleClass().add("controls-body");
        Label title = new Label("Rejoin");
        title.getStyleClass().add("title");
        MenuButton direction =
                menu(
                        "How the channels are put back together. Exact inverts the separation bit"
                                + " for bit; a blend mode layers the channels instead");
        direction.setId("rejoin-mode");
        for (Rejoin each : Rejoin.all()) {
            item(
                    direction,
                    each,
                    each.title(),
                    () -> edit("Rejoin: " + each.id(), l -> l.withRejoin(each)));
        }
        fixed.add(l -> Controls.show(direction, l.rejoin(), l.rejoin().title()));
        Button sheet = new Button("Show blend sheet...");
        sheet.setId("open-blends");
        sheet.setTooltip(new Tooltip("Previews this frame in every blend mode"));
        sheet.setOnAction(e -> view.band.set(View.Band.BLENDS));
        Button channelCombinations = new Button("Show channel combinations...");
        channelCombinations.setId("open-channel-combinations");
        channelCombinations.setTooltip(
                new Tooltip("Shows each channel alone, each pair, and all together"));
        channelCombinations.setOnAction(e -> view.band.set(View.Band.CHANNEL_COMBINATIONS));
        VBox sheets = new VBox(4, sheet, channelCombinations);
        Label note =
                quiet(
                        "Channels blend from the top of this list to the bottom. With Exact the"
                                + " order has no effect.");
        note.setWrapText(true);
        note.setMinWidth(0);
        OverscanPart overscan = new OverscanPart(session);
        getChildren().addAll(row(title, direction), sheets, channels, note, overscan);
        fixed.add(overscan::show);
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void show(State state) {
        Look look = state.look().orElse(null);
        if (look == null) {
            return;
        }
        if (!order.equals(look.order())) {
            order = look.order();
            makeChannels(look);
        }
        fixed.forEach(s -> s.accept(look));
        showers.forEach(s -> s.accept(look));
    }

    private void makeChannels(Look look) {
        showers.clear();
        channels.getChildren().clear();
        List<ChannelKind> kinds = look.model().channels();
        for (int place = 0; place < order.size(); place++) {
            int channel = order.get(place);
            ChannelKind kind = kinds.get(channel);
            channels.add(new ChannelBadge(kind), 0, place);
            channels.add(well(channel, kind), 1, place);
            NumberField strength = strength(channel, kind);
            GridPane.setHalignment(strength, HPos.RIGHT);
            channels.add(strength, 2, place);
            MenuButton own = ownBlend(channel, kind);
            GridPane.setHgrow(own, Priority.ALWAYS);
            own.setMaxWidth(Double.MAX_VALUE);
            channels.add(own, 3, place);
            channels.add(mover(place), 4, place);
        }
    }

    private Node well(int channel, ChannelKind kind) {
        InkWell well =
                new InkWell(
                        "Ink of "
                                + kind.title()
                                + ": the colour in which the channel contributes to the picture",
                        to ->
                                edit(
                                        "Ink of " + kind.title(),
                                        l ->
                                                l.withChannel(
                                                        channel,
                                                        s ->
                                                                s.withInk(
                                                                        Optional.of(to)
                                                                                .filter(
                                                                                        i ->
                                                                                                !i
                                                                                                        .equals(
                                                                                                                kind
                                                                                                                        .ink()))))));
        well.setId(kind.id() + "-ink");
        well.setRest(kind.ink());
        well.setDisable(kind.paint() == Paint.ANGLE);
        showers.add(l -> well.show(l.channels().get(channel).ink().orElse(kind.ink())));
        return well;
    }

    private NumberField strength(int channel, ChannelKind kind) {
        NumberField field =
                new NumberField(
                        new NumberField.Spec("%", 0, 100, 100, 5, 0, false),
                        "Strength of " + kind.title() + " in the rejoin, in %",
                        to ->
                                edit(
                                        "Strength of " + kind.title(),
                                        l ->
                                                l.withChannel(
                                                        channel,
                                                        s ->
                                                                s.withStrength(
                                                                        s.strength()
                                                                                .set(
                                                                                        view.frame
                                                                                                .get(),
                                                                                        to
                                                                                                / 100)))));
        field.setId(kind.id() + "-strength");
        TargetedFields.at(field, session, view, new Target.OfStrength(channel));
        showers.add(
                l -> field.show(100 * l.channels().get(channel).strength().at(view.frame.get())));
        return field;
    }

    private MenuButton ownBlend(int channel, ChannelKind kind) {
        MenuButton menu =
                menu("Blend of " + kind.title() + " with the channels above it in the list");
        menu.setId(kind.id() + "-blend");
        item(menu, Optional.empty(), AS_ALL, () -> own(channel, kind, Optional.empty()));
        for (Blend each : Blend.values()) {
            item(
                    menu,
                    Optional.of(each),
                    each.title(),
                    () -> own(channel, kind, Optional.of(each)));
        }
        showers.add(
                l -> {
                    ChannelState state = l.channels().get(channel);
                    Controls.show(
                            menu, state.blend(), state.blend().map(Blend::title).orElse(AS_ALL));
                    menu.setDisable(l.rejoin().isExact());
                });
        return menu;
    }

    private void own(int channel, ChannelKind kind, Optional<Blend> blend) {
        edit(
                kind.title() + ": " + blend.map(Blend::id).orElse(AS_ALL),
                l -> l.withChannel(channel, s -> s.withBlend(blend)));
    }

    /** Moves a channel one place down in the stacking order. */
    private Node mover(int place) {
        Button up = new Button("up");
        up.getStyleClass().add("plain");
        up.setId("up-" + place);
        up.setTooltip(new Tooltip("Moves this channel one place up the list"));
        up.setDisable(place == 0);
        up.setAlignment(Pos.CENTER);
        up.setOnAction(
                e ->
                        edit(
                                "Reorder channels",
                                l -> {
                                    List<Integer> changed = new ArrayList<>(l.order());
                                    Collections.swap(changed, place, place - 1);
                                    return l.withOrder(changed);
                                }));
        return up;
    }

    private void edit(String name, UnaryOperator<Look> change) {
        session.editLook(name, change);
    }

    private static MenuButton menu(String help) {
        MenuButton menu = new MenuButton();
        menu.getStyleClass().add("plain");
        menu.setTooltip(new Tooltip(help));
        return menu;
    }

    private static void item(MenuButton menu, Object value, String title, Runnable action) {
        menu.getItems().add(Controls.item(value, title, action));
    }
}
