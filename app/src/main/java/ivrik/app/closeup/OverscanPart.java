package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.NumberField;
import ivrik.app.session.Newest;
import ivrik.app.session.Session;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Overscan.Kind;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.render.Overscans;
import ivrik.core.render.Planner;

import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.VBox;

import java.util.Locale;

/** How much the result is scaled up to hide uncovered edges, and which frame demands it. */
final class OverscanPart extends VBox {
    private final Session session;
    private final MenuButton kind;
    private final NumberField scale;
    private final Label word = quiet("");
    private final Newest work = new Newest();
    private double needed = 1;

    /** What the moves demand, and what is in force. */
    private record Found(Overscans.Result demanded, double now) {}

    OverscanPart(Session session) {
        super(4);
        this.session = session;
        kind =
                choice(
                        "Scales the picture up about its middle, so that edges the moves uncover"
                                + " are not seen",
                        Kind.values(),
                        to ->
                                session.editLook(
                                        "Overscan: " + word(to),
                                        l -> l.withOverscan(new Overscan(to, needed))));
        kind.setId("overscan");
        scale =
                new NumberField(
                        new NumberField.Spec("%", 100, 400, 100, 0.5, 2, false),
                        "How large the picture is made",
                        to ->
                                session.editLook(
                                        "Overscan",
                                        l -> l.withOverscan(new Overscan(Kind.FIXED, to / 100))));
        scale.setId("overscan-scale");
        word.setId("overscan-word");
        word.setWrapText(true);
        word.setMinWidth(0);
        getChildren().addAll(row(quiet("Overscan"), kind, scale), word);
    }

    /** The look's overscan, worked out off the interface thread: it needs the moves of all frames. */
    void show(Look look) {
        kind.setText(word(look.overscan().kind()));
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
        Overscans.Result demanded = found.demanded;
        needed = demanded.scale();
        scale.show(100 * found.now);
        word.setText(
                demanded.frame() < 0
                        ? "No edge is uncovered."
                        : String.format(
                                Locale.ROOT,
                                "The moves demand %.2f %%, most at frame %d%s",
                                100 * demanded.scale(),
                                demanded.frame(),
                                found.now >= demanded.scale() ? "." : ": edges show."));
    }
}
