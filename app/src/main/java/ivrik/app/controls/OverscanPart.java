package ivrik.app.controls;

import static ivrik.app.widget.Controls.choice;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;
import static ivrik.app.widget.Controls.text;

import ivrik.app.session.LatestTask;
import ivrik.app.session.Session;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Overscan.Kind;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.render.OverscanFinder;
import ivrik.core.render.Planner;

import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.VBox;

import java.util.Locale;

/** Overscan: the scale that hides uncovered edges, and the frame that requires it. */
final class OverscanPart extends VBox {
    private final Session session;
    private final MenuButton kind;
    private final NumberField scale;
    private final Label status = quiet("");
    private final LatestTask work = new LatestTask();
    private double needed = 1;

    /** Required and effective overscan. */
    private record Found(OverscanFinder.Result demanded, double now) {}

    OverscanPart(Session session) {
        super(4);
        this.session = session;
        kind =
                choice(
                        "Overscan: enlarges the picture so that no uncovered edge shows",
                        Kind.values(),
                        to ->
                                session.editLook(
                                        "Overscan: " + text(to),
                                        l -> l.withOverscan(new Overscan(to, needed))));
        kind.setId("overscan");
        scale =
                new NumberField(
                        new NumberField.Spec("%", 100, 400, 100, 0.5, 2, false),
                        "Overscan scale, in %",
                        to ->
                                session.editLook(
                                        "Overscan",
                                        l -> l.withOverscan(new Overscan(Kind.FIXED, to / 100))));
        scale.setId("overscan-scale");
        status.setId("overscan-text");
        status.setWrapText(true);
        status.setMinWidth(0);
        getChildren().addAll(row(quiet("Overscan"), kind, scale), status);
    }

    /**
     * Shows the look's overscan, computed off the interface thread because it needs the moves of all frames.
     */
    void show(Look look) {
        Controls.show(kind, look.overscan().kind(), text(look.overscan().kind()));
        Layer layer = session.state().layer().orElseThrow();
        LayerLook layerLook = session.state().layerLook().orElseThrow();
        Planner planner = session.plans().planner();
        work.ask(
                cancel ->
                        new Found(
                                planner.demanded(layer, layerLook, cancel),
                                planner.overscan(layer, layerLook, cancel)),
                this::show);
    }

    private void show(Found found) {
        OverscanFinder.Result demanded = found.demanded;
        needed = demanded.scale();
        scale.show(100 * found.now);
        status.setText(
                demanded.frame() < 0
                        ? "No uncovered edges."
                        : String.format(
                                Locale.ROOT,
                                "The moves need %.2f %%, the most at frame %d%s",
                                100 * demanded.scale(),
                                demanded.frame(),
                                found.now >= demanded.scale() ? "." : ": uncovered edges show."));
    }
}
