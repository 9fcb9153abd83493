package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Badge;
import ivrik.app.control.InkWell;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Paint;

import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** How lanes become a picture: the way of all, and each lane's ink, strength, own way and place. */
final class RejoinPart extends VBox implements Part {
    private static final String AS_ALL = "as others";

    private final Session session;
    private final View view;
    private final GridPane lanes = new GridPane(6, 6);

    /** Show what is made with each order of the lanes, and what is made once. */
    private final List<Consumer<Look>> showers = new ArrayList<>();

    private final List<Consumer<Look>> fixed = new ArrayList<>();
    private List<Integer> order = List.of();

    RejoinPart(Session session, View view) {
        this.session = session;
        this.view = view;
        getStyleClass().add("close-up-body");
        Label title = new Label("Rejoin");
        title.getStyleClass().add("title");
        MenuButton way =
                menu(
                        "How the lanes become a picture again. Exact undoes the separation to the"
                                + " last bit; the others lay the lanes on each other");
        way.setId("rejoin-way");
        for (Rejoin each : Rejoin.all()) {
            item(way, each.title(), () -> edit("Rejoin: " + each.id(), l -> l.withRejoin(each)));
        }
        fixed.add(l -> way.setText(l.rejoin().title()));
        Button sheet = new Button("All modes...");
        sheet.setId("open-blends");
        sheet.setTooltip(new Tooltip("This frame in all modes at once"));
        sheet.setOnAction(e -> view.band.set(View.Band.BLENDS));
        Button progressives = new Button("Progressives...");
        progressives.setId("open-progressives");
        progressives.setTooltip(new Tooltip("Each lane alone, each pair, and all together"));
        progressives.setOnAction(e -> view.band.set(View.Band.PROGRESSIVES));
        HBox sheets = new HBox(8, sheet, progressives);
        Label note =
                quiet(
                        "Lanes are laid down from the top of this list to its end. With Exact the"
                                + " order makes no difference.");
        note.setWrapText(true);
        note.setMinWidth(0);
        OverscanPart overscan = new OverscanPart(session);
        getChildren().addAll(row(title, way), sheets, lanes, note, overscan);
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
            makeLanes(look);
        }
        fixed.forEach(s -> s.accept(look));
        showers.forEach(s -> s.accept(look));
    }

    private void makeLanes(Look look) {
        showers.clear();
        lanes.getChildren().clear();
        List<LaneKind> kinds = look.model().lanes();
        for (int place = 0; place < order.size(); place++) {
            int lane = order.get(place);
            LaneKind kind = kinds.get(lane);
            lanes.add(new Badge(kind), 0, place);
            lanes.add(well(lane, kind), 1, place);
            NumberField strength = strength(lane, kind);
            GridPane.setHalignment(strength, HPos.RIGHT);
            lanes.add(strength, 2, place);
            MenuButton own = ownWay(lane, kind);
            GridPane.setHgrow(own, Priority.ALWAYS);
            own.setMaxWidth(Double.MAX_VALUE);
            lanes.add(own, 3, place);
            lanes.add(mover(place), 4, place);
        }
    }

    private Node well(int lane, LaneKind kind) {
        InkWell well =
                new InkWell(
                        kind.title() + " paints with this ink",
                        to ->
                                edit(
                                        "Ink of " + kind.title(),
                                        l ->
                                                l.withLane(
                                                        lane,
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
        showers.add(l -> well.show(l.lanes().get(lane).ink().orElse(kind.ink())));
        return well;
    }

    private NumberField strength(int lane, LaneKind kind) {
        NumberField field =
                new NumberField(
                        new NumberField.Spec("%", 0, 100, 100, 5, 0, false),
                        "How much of " + kind.title() + " is in the picture",
                        to ->
                                edit(
                                        "Strength of " + kind.title(),
                                        l ->
                                                l.withLane(
                                                        lane,
                                                        s ->
                                                                s.withStrength(
                                                                        s.strength()
                                                                                .set(
                                                                                        view.frame
                                                                                                .get(),
                                                                                        to
                                                                                                / 100)))));
        field.setId(kind.id() + "-strength");
        Aimed.at(field, session, view, new Target.OfStrength(lane));
        showers.add(l -> field.show(100 * l.lanes().get(lane).strength().at(view.frame.get())));
        return field;
    }

    private MenuButton ownWay(int lane, LaneKind kind) {
        MenuButton menu = menu("How " + kind.title() + " meets the lanes before it");
        menu.setId(kind.id() + "-blend");
        item(menu, AS_ALL, () -> own(lane, kind, Optional.empty()));
        for (Blend each : Blend.values()) {
            item(menu, each.title(), () -> own(lane, kind, Optional.of(each)));
        }
        showers.add(
                l -> {
                    LaneState state = l.lanes().get(lane);
                    menu.setText(state.blend().map(Blend::title).orElse(AS_ALL));
                    menu.setDisable(l.rejoin().isExact());
                });
        return menu;
    }

    private void own(int lane, LaneKind kind, Optional<Blend> blend) {
        edit(
                kind.title() + ": " + blend.map(Blend::id).orElse(AS_ALL),
                l -> l.withLane(lane, s -> s.withBlend(blend)));
    }

    /** Lays a lane down one place earlier. */
    private Node mover(int place) {
        Button up = new Button("up");
        up.getStyleClass().add("plain");
        up.setId("up-" + place);
        up.setTooltip(new Tooltip("Lay this lane down one place earlier"));
        up.setDisable(place == 0);
        up.setAlignment(Pos.CENTER);
        up.setOnAction(
                e ->
                        edit(
                                "Order of the lanes",
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

    private static void item(MenuButton menu, String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setOnAction(e -> action.run());
        menu.getItems().add(item);
    }
}
