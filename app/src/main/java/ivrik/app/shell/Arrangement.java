package ivrik.app.shell;

import ivrik.app.control.Controls;
import ivrik.app.desk.Desk;
import ivrik.app.session.View;

import javafx.application.Platform;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.SplitPane;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** How the parts of the window lie: tray, panes and close-up over the desk; what is folded away. */
final class Arrangement extends SplitPane {
    private static final double DIVIDER = 2;

    private final View view;
    private final Remembered remembered;
    private final Node tray;
    private final Node closeUp;
    private final Desk desk;
    private final Function<View.Band, Node> bands;
    private final List<? extends Node> frames;
    private final Node scopes;
    private final BorderPane middle;
    private final SplitPane panes = new SplitPane();
    private final SplitPane upper = new SplitPane();

    /** How high the desk is wanted, where its lanes and layers need no more; below 0 as it was remembered. */
    private double wanted = -1;

    /** Where tray and close-up are wanted to end and begin, as shares of the width; null as it was remembered. */
    private double between = 0.5;

    private double[] across;

    /**
     * @param frames the first pane and the second
     * @param bands makes what stands in the place of the desk
     * @param scopes the instruments beside the panes
     * @param over what lies over the panes while there is nothing in them
     */
    Arrangement(
            View view,
            Remembered remembered,
            Node tray,
            List<? extends Node> frames,
            Node over,
            Node footer,
            Node scopes,
            Node closeUp,
            Desk desk,
            Function<View.Band, Node> bands) {
        this.view = view;
        this.remembered = remembered;
        this.tray = tray;
        this.closeUp = closeUp;
        this.desk = desk;
        this.bands = bands;
        this.frames = frames;
        this.scopes = scopes;
        middle = new BorderPane(new StackPane(panes, over));
        middle.setBottom(footer);
        for (Node fixed : List.of(tray, closeUp, desk)) {
            SplitPane.setResizableWithParent(fixed, false);
        }
        setOrientation(Orientation.VERTICAL);
        for (var fold :
                List.of(
                        view.twoPanes,
                        view.trayShown,
                        view.closeUpShown,
                        view.pictureOnly,
                        view.scopes)) {
            fold.addListener((o, a, b) -> lay());
        }
        view.band.addListener((o, a, b) -> lay());
        view.textScale.addListener((o, a, b) -> Platform.runLater(this::setShares));
        addEventFilter(MouseEvent.MOUSE_RELEASED, this::dragged);
        upper.widthProperty().addListener((o, a, b) -> Platform.runLater(this::makeWidths));
        panes.widthProperty().addListener((o, a, b) -> Platform.runLater(this::makePanes));
        heightProperty().addListener((o, a, b) -> Platform.runLater(this::makeRoom));
        desk.leastHeight().addListener((o, a, b) -> Platform.runLater(this::makeRoom));
        lay();
        Platform.runLater(() -> desk.setShare(remembered.get().timeShare()));
    }

    private void lay() {
        boolean only = view.pictureOnly.get();
        middle.setRight(view.scopes.get() ? scopes : null);
        panes.getItems().setAll(view.twoPanes.get() ? frames : frames.subList(0, 1));
        List<Node> parts = new ArrayList<>();
        if (view.trayShown.get() && !only) {
            parts.add(tray);
        }
        parts.add(middle);
        if (view.closeUpShown.get() && !only) {
            parts.add(closeUp);
        }
        upper.getItems().setAll(parts);
        getItems().setAll(only ? List.of(upper) : List.of(upper, lower()));
        Platform.runLater(this::setShares);
    }

    /** The desk, or a sheet of small pictures in its place, which then has the keys. */
    private Node lower() {
        if (view.band.get() == View.Band.NONE) {
            return desk;
        }
        Node band = bands.apply(view.band.get());
        SplitPane.setResizableWithParent(band, false);
        Platform.runLater(band::requestFocus);
        return band;
    }

    private void setShares() {
        makeRoom();
        makePanes();
        makeWidths();
    }

    /** Two panes share their room as it is wanted, however little there was of it meanwhile. */
    private void makePanes() {
        panes.setDividerPositions(between);
    }

    /** Tray and close-up are as wide as they are wanted; whatever they needed meanwhile they give back. */
    private void makeWidths() {
        if (across == null) {
            across = new double[] {remembered.get().trayShare(), remembered.get().closeUpShare()};
        }
        if (upper.getItems().size() == 3) {
            upper.setDividerPositions(across);
        } else if (upper.getItems().size() == 2) {
            boolean left = upper.getItems().getFirst() == tray;
            upper.setDividerPositions(across[left ? 0 : 1]);
        }
    }

    /** The desk is as high as it is wanted, and higher while its lanes and layers would not be seen. */
    private void makeRoom() {
        if (getHeight() == 0 || getItems().size() < 2) {
            return;
        }
        if (wanted < 0) {
            wanted = (1 - remembered.get().deskShare()) * getHeight();
        }
        boolean isDesk = getItems().getLast() == desk;
        double least = isDesk ? desk.leastHeight().get() + DIVIDER / 2 : 0;
        setDividerPositions(1 - Math.max(wanted, least) / getHeight());
    }

    /** What an edge is dragged to is what is wanted from then on. */
    private void dragged(MouseEvent e) {
        if (Controls.isDivider(e, this)) {
            wanted = (1 - getDividerPositions()[0]) * getHeight();
        }
        if (Controls.isDivider(e, panes) && panes.getItems().size() == 2) {
            between = panes.getDividerPositions()[0];
        }
        if (Controls.isDivider(e, upper) && upper.getItems().size() == 3) {
            across = upper.getDividerPositions();
        }
    }

    /** Keeps the widths for the next start, if all parts are there. */
    void remember() {
        if (across != null && wanted >= 0) {
            remembered.change(
                    s ->
                            s.withShares(
                                    across[0], across[1], 1 - wanted / getHeight(), desk.share()));
        }
    }
}
