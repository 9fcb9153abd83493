package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Badge;
import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.core.look.FeedParts;
import ivrik.core.look.Look;
import ivrik.core.look.Slit;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.project.Source;
import ivrik.core.separation.LaneKind;

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

/**
 * How each lane's time changes across the picture: later and later, and cutting later and later; and what
 * stands for frames before the first and after the last.
 */
final class SlitPart extends VBox {
    private final Session session;
    private final View view;
    private final List<LaneKind> kinds;
    private final BiFunction<Integer, LaneKind, Node> beyond;
    private final List<Consumer<State>> showers;
    private final GridPane grid = new GridPane(6, 4);

    /**
     * @param showers gets what shows a state
     * @param beyond makes the control for what stands for frames that are missing, for the number of a lane
     */
    SlitPart(
            Session session,
            View view,
            List<LaneKind> kinds,
            BiFunction<Integer, LaneKind, Node> beyond,
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
                        "What says how far across a place is: a direction, the brightness of a"
                                + " picture, or each lane's own value",
                        this::ways);
        showers.add(s -> by.setText(way(slit(s, s.lane()))));
        Region gap = new Region();
        GridPane.setHgrow(gap, Priority.ALWAYS);
        grid.add(gap, 1, 0);
        String[] heads = {"behind there", "wipe takes", "towards"};
        for (int column = 0; column < heads.length; column++) {
            grid.add(quiet(heads[column]), column + 2, 0);
        }
        getChildren().addAll(row(quiet("Across the picture, by"), by), grid);
    }

    /** What makes the rows of the lanes, one by one. */
    List<Runnable> pieces() {
        return IntStream.range(0, kinds.size())
                .<Runnable>mapToObj(lane -> () -> makeRow(lane, kinds.get(lane)))
                .toList();
    }

    private void makeRow(int lane, LaneKind kind) {
        grid.addRow(
                lane + 1,
                new Badge(kind),
                beyond.apply(lane, kind),
                time(lane, kind, FeedParts.SLIT, "Frames behind at the far end of the picture"),
                time(
                        lane,
                        kind,
                        FeedParts.WIPE,
                        "Frames after the cut that the far end goes to the next shot: a wipe"),
                time(lane, kind, FeedParts.ANGLE, "Which way the far end lies, clockwise"));
    }

    private NumberField time(int lane, LaneKind kind, String part, String help) {
        NumberField field =
                Aimed.number(
                        session,
                        view,
                        new OfFeed(lane, part),
                        kind.id() + "-slit-" + part,
                        "Time of " + kind.title() + " across the picture",
                        help,
                        showers);
        GridPane.setHalignment(field, HPos.RIGHT);
        return field;
    }

    private static Slit slit(State state, int lane) {
        return state.look().map(l -> l.lanes().get(lane).feed().slit()).orElse(Slit.NONE);
    }

    private String way(Slit slit) {
        return switch (slit.by()) {
            case DIRECTION -> "a direction";
            case LANE -> "its own value";
            case PICTURE ->
                    session.project()
                            .source(slit.picture())
                            .map(Source::name)
                            .orElse("a picture that is missing");
        };
    }

    private List<MenuItem> ways() {
        List<MenuItem> items = new ArrayList<>();
        items.add(item("a direction", s -> s.withBy(Slit.By.DIRECTION)));
        items.add(item("its own value", s -> s.withBy(Slit.By.LANE)));
        for (Source source : session.project().sources()) {
            items.add(
                    item(
                            "the brightness of " + source.name(),
                            s -> s.withBy(Slit.By.PICTURE).withPicture(source.id())));
        }
        return items;
    }

    /** Chosen for all lanes: what differs between them is how much. */
    private MenuItem item(String title, UnaryOperator<Slit> change) {
        return Controls.item(
                title, () -> session.editLook("Across by " + title, l -> changed(l, change)));
    }

    private static Look changed(Look look, UnaryOperator<Slit> change) {
        Look changed = look;
        for (int lane = 0; lane < look.lanes().size(); lane++) {
            changed =
                    changed.withLane(
                            lane,
                            s -> s.withFeed(s.feed().withSlit(change.apply(s.feed().slit()))));
        }
        return changed;
    }
}
