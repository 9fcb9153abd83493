package ivrik.app.band;

import ivrik.app.control.Controls;
import ivrik.app.picture.PictureService;
import ivrik.app.picture.Shown;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Small pictures of this frame, one for each of several edits. Arrow keys and the pointer walk them
 * and the pane follows; Enter or a click takes one, Escape goes back to the desk.
 */
abstract class TileBand extends BorderPane {
    private static final Logger LOG = LoggerFactory.getLogger(TileBand.class);
    private static final double SIDES = 24;

    /** Rows further away count so much more than columns. */
    private static final double FAR_ROW = 1000;

    final Session session;
    final View view;
    final PictureService service;
    private final FlowPane flow = new FlowPane(6, 6);
    private final HBox head = new HBox(12);
    private final AtomicInteger generation = new AtomicInteger();
    private final ChangeListener<Object> changed = (o, a, b) -> Platform.runLater(this::changed);
    private final List<VBox> cards = new ArrayList<>();
    private final MovingTiles moving = new MovingTiles(this);
    private List<Tile> tiles = List.of();
    private int at;

    TileBand(Session session, View view, PictureService service, String title, String hint) {
        this.session = session;
        this.view = view;
        this.service = service;
        getStyleClass().add("desk");
        Label name = new Label(title);
        name.getStyleClass().add("project-name");
        Label how = new Label(hint);
        how.getStyleClass().add("quiet");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        name.setMinWidth(USE_PREF_SIZE);
        how.setMinWidth(0);
        head.getChildren().addAll(name, how, gap);
        head.getStyleClass().addAll("strip", "desk-head");
        flow.getStyleClass().add("tiles");
        ScrollPane scroll = new ScrollPane(flow);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        setTop(head);
        setCenter(scroll);
        setFocusTraversable(true);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        sceneProperty().addListener((o, was, is) -> inScene(is != null));
    }

    /** What there is to see. */
    abstract List<Tile> tiles();

    /** How wide each small picture is, in pixels. */
    abstract int tileWidth(int count);

    /** As wide as that, and wider with larger type, for names stand under them. */
    private int wide() {
        return (int) Math.round(tileWidth(tiles.size()) * view.textScale.get());
    }

    /** How much of the picture's width a small picture shows, about its middle. */
    double part() {
        return 1;
    }

    /** Whether the one that is rested on shows what it does in time. */
    boolean moves() {
        return false;
    }

    /** The project or the frame is another. */
    void changed() {
        renderAll();
    }

    /** What a tile is called, under its picture. */
    Node title(Tile tile) {
        Label title = new Label(tile.title());
        title.setMaxWidth(wide());
        return title;
    }

    /** What is said where there are no tiles. */
    String emptyWord() {
        return "";
    }

    /** What else there is to do with a tile, under its picture. */
    List<Node> extras(Tile tile) {
        return List.of();
    }

    /** Whether keys go into a text. */
    boolean isTyping() {
        return false;
    }

    /** Whether all tiles show what they do in time. */
    final void playAll(boolean play) {
        if (play) {
            moving.all(tiles.size());
        } else {
            moving.stop();
        }
    }

    /** One was chosen. */
    abstract void take(Tile tile);

    /** Which one stands for what is there now; -1 for none. */
    abstract int present(List<Tile> tiles);

    /** Puts the lanes in its place again. */
    final Button back() {
        return Controls.button(
                "back-to-lanes",
                "Back to the lanes",
                "Puts these small pictures away; nothing is changed by that",
                () -> view.band.set(View.Band.NONE));
    }

    final void addToHead(Node... nodes) {
        for (Node node : nodes) {
            if (node instanceof Labeled words) {
                words.setMinWidth(USE_PREF_SIZE); // where room is short, the hint is cut first
            }
        }
        head.getChildren().addAll(nodes);
    }

    private void inScene(boolean is) {
        if (is) {
            session.stateProperty().addListener(changed);
            view.frame.addListener(changed);
            make();
        } else {
            session.stateProperty().removeListener(changed);
            view.frame.removeListener(changed);
            generation.incrementAndGet();
            moving.stop();
            view.trial.set(null);
        }
    }

    /** Makes the tiles anew. */
    final void make() {
        moving.stop();
        tiles = tiles();
        cards.clear();
        for (int i = 0; i < tiles.size(); i++) {
            cards.add(card(i));
        }
        flow.getChildren().setAll(grouped());
        if (tiles.isEmpty() && !emptyWord().isEmpty()) {
            flow.getChildren().add(Controls.hint(emptyWord()));
        }
        at = present(tiles);
        mark();
        view.trial.set(null);
        renderAll();
    }

    /** The cards; those of a group under its name, groups beside each other as far as there is room. */
    private List<Node> grouped() {
        List<Node> nodes = new ArrayList<>();
        String group = "";
        FlowPane row = null;
        for (int i = 0; i < tiles.size(); i++) {
            String own = tiles.get(i).group();
            if (own.isEmpty()) {
                nodes.add(cards.get(i));
                continue;
            }
            if (!own.equals(group)) {
                group = own;
                row = new FlowPane(flow.getHgap(), flow.getVgap());
                row.prefWrapLengthProperty().bind(flow.widthProperty().subtract(SIDES));
                Label heading = new Label(group);
                heading.getStyleClass().addAll("heading", "tile-heading");
                nodes.add(new VBox(heading, row));
            }
            row.getChildren().add(cards.get(i));
        }
        return nodes;
    }

    private VBox card(int number) {
        Tile tile = tiles.get(number);
        int width = wide();
        ImageView picture = new ImageView();
        picture.setFitWidth(width);
        picture.setFitHeight(height(width));
        Node title = title(tile);
        VBox card = new VBox(picture, title);
        card.getChildren().addAll(extras(tile));
        card.setAlignment(Pos.CENTER);
        card.getStyleClass().add("card");
        card.setId("tile-" + tile.id());
        card.setOnMouseEntered(e -> walk(number));
        card.setOnMouseClicked(e -> take(tile));
        return card;
    }

    private double height(int width) {
        var size = session.project().sequence().size();
        return Math.rint((double) width * size.height() / size.width());
    }

    private void keyPressed(KeyEvent e) {
        if (isTyping()) {
            return;
        }
        int to =
                switch (e.getCode()) {
                    case RIGHT -> Math.min(at + 1, tiles.size() - 1);
                    case LEFT -> Math.max(at - 1, 0);
                    case DOWN -> beside(1);
                    case UP -> beside(-1);
                    default -> -1;
                };
        if (to >= 0) {
            walk(to);
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER && at >= 0) {
            take(tiles.get(at));
            e.consume();
        } else if (e.getCode() == KeyCode.ESCAPE) {
            view.band.set(View.Band.NONE);
            e.consume();
        }
    }

    /** The tile of the next row, or the one before, that is nearest across; the present one at the end. */
    private int beside(int rows) {
        if (at < 0) {
            return tiles.isEmpty() ? -1 : 0;
        }
        Point2D from = cards.get(at).localToScene(0, 0);
        int best = at;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < cards.size(); i++) {
            Point2D to = cards.get(i).localToScene(0, 0);
            double down = rows * (to.getY() - from.getY());
            double aside = Math.abs(to.getX() - from.getX());
            if (down > 1 && down * FAR_ROW + aside < least) {
                least = down * FAR_ROW + aside;
                best = i;
            }
        }
        return best;
    }

    private void walk(int to) {
        if (tiles.isEmpty()) {
            return;
        }
        at = to;
        mark();
        moving.restOn(to);
        view.trial.set(tiles.get(to).trial());
        if (!isFocusWithin()) {
            requestFocus();
        }
    }

    private void mark() {
        for (int i = 0; i < cards.size(); i++) {
            cards.get(i).getStyleClass().remove("picked");
            if (i == at) {
                cards.get(i).getStyleClass().add("picked");
            }
        }
    }

    /** Renders all tiles in a thread of its own; a later call makes an earlier one stop. */
    final void renderAll() {
        Project project = session.project();
        if (project.layers().isEmpty() || getScene() == null) {
            return;
        }
        int mine = generation.incrementAndGet();
        long frame = view.frame.get();
        List<Plans> wanted =
                tiles.stream().map(t -> session.plansOf(t.trial().apply(project))).toList();
        int width = renderedWidth();
        Threads.start(
                "ivrik-tiles",
                () -> {
                    for (int i = 0; i < wanted.size() && generation.get() == mine; i++) {
                        render(wanted.get(i), frame, i, width, mine);
                    }
                });
    }

    private void render(Plans plans, long frame, int number, int width, int mine) {
        try {
            Shown small = service.small(plans.of(frame, () -> generation.get() != mine), width);
            Platform.runLater(
                    () -> {
                        if (generation.get() == mine) {
                            show(number, small.image());
                        }
                    });
        } catch (IvrikException e) {
            LOG.info("no small picture: {}", e.oneLine());
        } catch (CancelledException e) {
            LOG.debug("another project was opened meanwhile");
        }
    }

    /** What a tile would make of the project. */
    final Plans plans(int number) {
        return session.plansOf(tiles.get(number).trial().apply(session.project()));
    }

    /** How wide a small picture is made. */
    final int renderedWidth() {
        return (int) (2 * wide() / part());
    }

    final Image shown(int number) {
        return ((ImageView) cards.get(number).getChildren().getFirst()).getImage();
    }

    final void show(int number, Image image) {
        ImageView picture = (ImageView) cards.get(number).getChildren().getFirst();
        picture.setImage(image);
        double w = image.getWidth();
        double h = image.getHeight();
        double edge = (1 - part()) / 2;
        picture.setViewport(new Rectangle2D(edge * w, edge * h, part() * w, part() * h));
    }
}
