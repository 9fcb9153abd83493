package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.picture.ShownFrame;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
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
 * Thumbnails of this frame, one per edit. Arrow keys and pointer focus a tile and the pane previews it; Enter
 * or a click applies it, Escape returns to the desk.
 */
abstract class TileBand extends BorderPane {
    private static final Logger LOG = LoggerFactory.getLogger(TileBand.class);
    private static final double SIDES = 24;

    /** Weight of row distance relative to column distance in navigation. */
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

    /** The tiles. */
    abstract List<Tile> tiles();

    /** Width of a thumbnail in pixels. */
    abstract int tileWidth(int count);

    /** Width of a tile, enlarged with the text size because of captions. */
    private int wide() {
        return (int) Math.round(tileWidth(tiles.size()) * view.textScale.get());
    }

    /** Visible share of the picture's width, about its centre. */
    double part() {
        return 1;
    }

    /** Whether the focused tile is animated. */
    boolean moves() {
        return false;
    }

    /** Updates after the project or frame changed. */
    void changed() {
        renderAll();
    }

    /** The caption of a tile. */
    Node title(Tile tile) {
        Label title = new Label(tile.title());
        title.setMaxWidth(wide());
        return title;
    }

    /** Text shown without tiles. */
    String emptyText() {
        return "";
    }

    /** Further controls below a tile. */
    List<Node> extras(Tile tile) {
        return List.of();
    }

    /** Whether keys go to a text field. */
    boolean isTyping() {
        return false;
    }

    /** Starts or stops the animation of all tiles. */
    final void playAll(boolean play) {
        if (play) {
            moving.all(tiles.size());
        } else {
            moving.stop();
        }
    }

    /** Applies a tile. */
    abstract void take(Tile tile);

    /** Applies a tile to all channels, by Shift+Enter. */
    void takeForAll(Tile tile) {
        take(tile);
    }

    /** Index of the tile that equals the present state; -1 for none. */
    abstract int present(List<Tile> tiles);

    /** Returns to the desk. */
    final Button back() {
        return Controls.button(
                "close-tiles",
                "Close",
                "Closes the sheet without changes. Key: Escape",
                () -> view.band.set(View.Band.NONE));
    }

    final void addToHead(Node... nodes) {
        for (Node node : nodes) {
            if (node instanceof Labeled words) {
                words.setMinWidth(USE_PREF_SIZE); // a hint is shortened first
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

    /** Rebuilds the tiles. */
    final void make() {
        moving.stop();
        tiles = tiles();
        cards.clear();
        for (int i = 0; i < tiles.size(); i++) {
            cards.add(card(i));
        }
        flow.getChildren().setAll(grouped());
        if (tiles.isEmpty() && !emptyText().isEmpty()) {
            flow.getChildren().add(Controls.hint(emptyText()));
        }
        at = present(tiles);
        mark();
        view.trial.set(null);
        renderAll();
    }

    /** The cards by group, with small groups side by side. */
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
            Tile tile = tiles.get(at);
            if (e.isShiftDown()) {
                takeForAll(tile);
            } else {
                take(tile);
            }
            e.consume();
        } else if (e.getCode() == KeyCode.ESCAPE) {
            view.band.set(View.Band.NONE);
            e.consume();
        }
    }

    /** The nearest tile in the next or previous row; the present one at the end. */
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
            cards.get(i).getStyleClass().remove("marked");
            if (i == at) {
                cards.get(i).getStyleClass().add("marked");
            }
        }
    }

    /** Renders all tiles on its own thread; a later call cancels an earlier one. */
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
            ShownFrame small =
                    service.small(plans.of(frame, () -> generation.get() != mine), width);
            Platform.runLater(
                    () -> {
                        if (generation.get() == mine) {
                            show(number, small.image());
                        }
                    });
        } catch (IvrikException e) {
            LOG.info("a preview failed: {}", e.oneLine());
        } catch (CancelledException e) {
            LOG.debug("another project was opened meanwhile");
        }
    }

    /** The plans of the project with a tile's edit. */
    final Plans plans(int number) {
        return session.plansOf(tiles.get(number).trial().apply(session.project()));
    }

    /** Rendered width of a thumbnail. */
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
