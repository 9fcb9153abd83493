package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.Badge;
import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.core.look.Feed;
import ivrik.core.look.FeedParts;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.project.Source;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.LaneKind;

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

/** For each lane: whose picture it takes, how many frames behind, when it cuts, and its time across the picture. */
final class FeedPart extends VBox {
    private static final String OWN = "its own";

    private final Session session;
    private final View view;
    private final List<LaneKind> kinds;
    private final List<Consumer<State>> showers;
    private final GridPane grid = new GridPane(3, 4);

    /**
     * @param showers gets what shows a state
     */
    FeedPart(Session session, View view, List<LaneKind> kinds, List<Consumer<State>> showers) {
        super(8);
        this.session = session;
        this.view = view;
        this.kinds = kinds;
        this.showers = showers;
        grid.add(quiet("picture"), 1, 0);
        grid.add(quiet("behind"), 2, 0);
        grid.add(quiet("cuts later"), 3, 0);
        grid.add(quiet("lingers"), 4, 0);
        getChildren().add(grid);
    }

    /** What makes all of it, piece by piece. */
    List<Runnable> pieces() {
        List<Runnable> pieces = new ArrayList<>();
        for (int i = 0; i < kinds.size(); i++) {
            int lane = i;
            pieces.add(() -> makeRow(lane, kinds.get(lane)));
        }
        SlitPart slit = new SlitPart(session, view, kinds, this::beyond, showers);
        pieces.add(() -> getChildren().add(slit));
        pieces.addAll(slit.pieces());
        pieces.add(() -> getChildren().add(place()));
        return pieces;
    }

    private void makeRow(int lane, LaneKind kind) {
        MenuButton source = source(lane, kind);
        GridPane.setHgrow(source, Priority.ALWAYS);
        source.setMaxWidth(Double.MAX_VALUE);
        source.setMinWidth(0);
        grid.addRow(
                lane + 1,
                new Badge(kind),
                source,
                time(lane, kind, FeedParts.DELAY, "How many frames behind now it is"),
                time(
                        lane,
                        kind,
                        FeedParts.CUT,
                        "How many frames after the cut it goes to the next shot"),
                time(
                        lane,
                        kind,
                        FeedParts.LINGER,
                        "How much is still there a frame later, where nothing lighter has come"));
    }

    /** Where the picture of the lane being worked on lies, if that is not its own. */
    private Node place() {
        PlacePart place =
                new PlacePart(
                        "feed",
                        view,
                        (name, change) ->
                                edit(
                                        session.state().lane(),
                                        name,
                                        f -> f.withPlace(change.apply(f.place()))),
                        (part, field) -> {});
        place.managedProperty().bind(place.visibleProperty());
        showers.add(
                s -> {
                    Feed feed = feed(s, s.lane());
                    place.setVisible(!feed.source().isEmpty());
                    place.show(feed.place());
                });
        return place;
    }

    private NumberField time(int lane, LaneKind kind, String part, String help) {
        NumberField field =
                Aimed.number(
                        session,
                        view,
                        new OfFeed(lane, part),
                        kind.id() + "-" + part,
                        "Time of " + kind.title(),
                        help,
                        showers);
        GridPane.setHalignment(field, HPos.RIGHT);
        return field;
    }

    private MenuButton source(int lane, LaneKind kind) {
        MenuButton menu =
                Controls.menu(
                        kind.id() + "-picture",
                        "The picture that " + kind.title() + " is taken from",
                        () -> sources(lane, kind));
        showers.add(s -> menu.setText(name(feed(s, lane).source())));
        return menu;
    }

    private static Feed feed(State state, int lane) {
        return state.look().map(l -> l.lanes().get(lane).feed()).orElse(Feed.OWN);
    }

    private List<MenuItem> sources(int lane, LaneKind kind) {
        List<MenuItem> items = new ArrayList<>();
        items.add(source(OWN + " picture", lane, kind, ""));
        for (Source each : session.project().sources()) {
            items.add(source(each.name(), lane, kind, each.id()));
        }
        return items;
    }

    private MenuItem source(String title, int lane, LaneKind kind, String source) {
        return Controls.item(
                title, () -> edit(lane, "Picture of " + kind.title(), f -> f.withSource(source)));
    }

    private String name(String source) {
        return source.isEmpty()
                ? OWN
                : session.project().source(source).map(Source::name).orElse("missing");
    }

    private MenuButton beyond(Integer lane, LaneKind kind) {
        MenuButton menu =
                choice(
                        "What stands for frames before the first and after the last",
                        EdgeFill.values(),
                        to -> edit(lane, "Beyond: " + inTime(to), f -> f.withBeyond(to)));
        for (int i = 0; i < menu.getItems().size(); i++) {
            menu.getItems().get(i).setText(inTime(EdgeFill.values()[i]));
        }
        menu.setId(kind.id() + "-beyond");
        menu.getStyleClass().addAll("tight", "bare");
        menu.setMinWidth(USE_PREF_SIZE);
        showers.add(
                s -> {
                    Feed feed = feed(s, lane);
                    menu.setText(inTime(feed.beyond()));
                    menu.setVisible(!feed.isPlain());
                });
        return menu;
    }

    /** In time a repeated edge is a frame that is held. */
    private static String inTime(EdgeFill fill) {
        return fill == EdgeFill.REPEAT ? "freeze" : word(fill);
    }

    private void edit(int lane, String name, UnaryOperator<Feed> change) {
        session.editLook(name, l -> l.withLane(lane, s -> s.withFeed(change.apply(s.feed()))));
    }
}
