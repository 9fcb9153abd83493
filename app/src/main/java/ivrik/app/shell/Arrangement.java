package ivrik.app.shell;

import ivrik.app.desk.Desk;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;

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

/** Layout of the window: tray, panes and controls above the desk, and collapsed parts. */
final class Arrangement extends SplitPane {
    private static final double DIVIDER = 2;

    private final View view;
    private final SavedPreferences remembered;
    private final Node tray;
    private final Node controls;
    private final Desk desk;
    private final Function<View.Band, Node> bands;
    private final List<? extends Node> frames;
    private final Node scopes;
    private final BorderPane middle;
    private final SplitPane panes = new SplitPane();
    private final SplitPane upper = new SplitPane();

    /** Requested height of the desk unless it needs more; negative for the saved height. */
    private double wanted = -1;

    /** Requested edges of tray and controls as shares of the width; null for the saved ones. */
    private double between = 0.5;

    private double[] across;

    /**
     * @param frames the two panes
     * @param bands provides the tiles that replace the desk
     * @param scopes scopes beside the panes
     * @param over shown over empty panes
     */
    Arrangement(
            View view,
            SavedPreferences remembered,
            Node tray,
            List<? extends Node> frames,
            Node over,
            Node footer,
            Node scopes,
            Node controls,
            Desk desk,
            Function<View.Band, Node> bands) {
        this.view = view;
        this.remembered = remembered;
        this.tray = tray;
        this.controls = controls;
        this.desk = desk;
        this.bands = bands;
        this.frames = frames;
        this.scopes = scopes;
        middle = new BorderPane(new StackPane(panes, over));
        middle.setBottom(footer);
        for (Node fixed : List.of(tray, controls, desk)) {
            SplitPane.setResizableWithParent(fixed, false);
        }
        setOrientation(Orientation.VERTICAL);
        for (var fold :
                List.of(
                        view.twoPanes,
                        view.trayShown,
                        view.controlsShown,
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
        if (view.controlsShown.get() && !only) {
            parts.add(controls);
        }
        upper.getItems().setAll(parts);
        getItems().setAll(only ? List.of(upper) : List.of(upper, lower()));
        Platform.runLater(this::setShares);
    }

    /** The desk, or tiles with the focus. */
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

    /** Restores the requested division of the two panes when space allows. */
    private void makePanes() {
        panes.setDividerPositions(between);
    }

    /** Restores the requested widths of tray and controls when space allows. */
    private void makeWidths() {
        if (across == null) {
            across = new double[] {remembered.get().trayShare(), remembered.get().controlsShare()};
        }
        if (upper.getItems().size() == 3) {
            upper.setDividerPositions(across);
        } else if (upper.getItems().size() == 2) {
            boolean left = upper.getItems().getFirst() == tray;
            upper.setDividerPositions(across[left ? 0 : 1]);
        }
    }

    /** Restores the requested height of the desk, enlarged to show all channels and layers. */
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

    /** Records a dragged edge as the request. */
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

    /** Saves the widths if all parts are visible. */
    void remember() {
        if (across != null && wanted >= 0) {
            remembered.change(
                    s ->
                            s.withShares(
                                    across[0], across[1], 1 - wanted / getHeight(), desk.share()));
        }
    }
}
