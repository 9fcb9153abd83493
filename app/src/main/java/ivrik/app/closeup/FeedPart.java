package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.Badge;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.look.Feed;
import ivrik.core.look.Look;
import ivrik.core.project.Source;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.LaneKind;

import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** For each lane: whose picture it takes, how many frames behind, and what stands for missing ones. */
final class FeedPart extends VBox {
    private static final String OWN = "its own picture";
    private static final int LONGEST_DELAY = 10_000;

    private final Session session;
    private final List<Consumer<Look>> showers = new ArrayList<>();
    private final PlacePart place;

    FeedPart(Session session, View view, List<LaneKind> kinds) {
        super(8);
        this.session = session;
        GridPane grid = new GridPane(6, 4);
        for (int lane = 0; lane < kinds.size(); lane++) {
            LaneKind kind = kinds.get(lane);
            grid.add(new Badge(kind), 0, lane);
            MenuButton source = source(lane, kind);
            GridPane.setHgrow(source, Priority.ALWAYS);
            source.setMaxWidth(Double.MAX_VALUE);
            grid.add(source, 1, lane);
            grid.add(delay(lane, kind), 2, lane);
            grid.add(beyond(lane, kind), 3, lane);
        }
        place =
                new PlacePart(
                        "feed",
                        view,
                        (name, change) ->
                                edit(
                                        session.state().lane(),
                                        name,
                                        f -> f.withPlace(change.apply(f.place()))));
        getChildren().addAll(grid, place);
    }

    private MenuButton source(int lane, LaneKind kind) {
        MenuButton menu = new MenuButton();
        menu.getStyleClass().add("plain");
        menu.setId(kind.id() + "-picture");
        menu.setTooltip(new Tooltip("The picture that " + kind.title() + " is taken from"));
        menu.setOnShowing(e -> fill(menu, lane, kind));
        fill(menu, lane, kind);
        showers.add(l -> menu.setText(name(l.lanes().get(lane).feed().source())));
        return menu;
    }

    private void fill(MenuButton menu, int lane, LaneKind kind) {
        menu.getItems().clear();
        add(menu, OWN, lane, kind, "");
        for (Source each : session.project().sources()) {
            add(menu, each.name(), lane, kind, each.id());
        }
    }

    private void add(MenuButton menu, String title, int lane, LaneKind kind, String source) {
        MenuItem item = new MenuItem(title);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> edit(lane, "Picture of " + kind.title(), f -> f.withSource(source)));
        menu.getItems().add(item);
    }

    private String name(String source) {
        return source.isEmpty()
                ? OWN
                : session.project().source(source).map(Source::name).orElse("missing");
    }

    private NumberField delay(int lane, LaneKind kind) {
        NumberField field =
                new NumberField(
                        new NumberField.Spec("fr", -LONGEST_DELAY, LONGEST_DELAY, 0, 1, 0, true),
                        "How many frames " + kind.title() + " is behind",
                        to ->
                                edit(
                                        lane,
                                        "Delay of " + kind.title(),
                                        f -> f.withDelayFrames((int) Math.round(to))));
        field.setId(kind.id() + "-delay");
        showers.add(l -> field.show(l.lanes().get(lane).feed().delayFrames()));
        return field;
    }

    private MenuButton beyond(int lane, LaneKind kind) {
        MenuButton menu =
                choice(
                        "What stands for frames before the first and after the last",
                        EdgeFill.values(),
                        to -> edit(lane, "Beyond: " + inTime(to), f -> f.withBeyond(to)));
        for (int i = 0; i < menu.getItems().size(); i++) {
            menu.getItems().get(i).setText(inTime(EdgeFill.values()[i]));
        }
        menu.setId(kind.id() + "-beyond");
        showers.add(
                l -> {
                    Feed feed = l.lanes().get(lane).feed();
                    menu.setText(inTime(feed.beyond()));
                    menu.setVisible(feed.delayFrames() != 0);
                });
        return menu;
    }

    /** In time a repeated edge is a frame that is held. */
    private static String inTime(EdgeFill fill) {
        return fill == EdgeFill.REPEAT ? "hold" : word(fill);
    }

    private void edit(int lane, String name, UnaryOperator<Feed> change) {
        session.editLook(name, l -> l.withLane(lane, s -> s.withFeed(change.apply(s.feed()))));
    }

    void show(State state, Look look) {
        showers.forEach(s -> s.accept(look));
        Feed feed = look.lanes().get(state.lane()).feed();
        boolean other = !feed.source().isEmpty();
        place.setVisible(other);
        place.setManaged(other);
        place.show(feed.place());
    }
}
