package ivrik.app.closeup;

import static ivrik.app.closeup.Controls.choice;
import static ivrik.app.closeup.Controls.quiet;
import static ivrik.app.closeup.Controls.row;
import static ivrik.app.closeup.Controls.word;

import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Overscan.Kind;
import ivrik.core.project.Layer;
import ivrik.core.render.Overscans;

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
                                        l -> l.withOverscan(new Overscan(to, demanded(l)))));
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

    private double demanded(Look look) {
        return session.state().layer().map(l -> result(l, look).scale()).orElse(1.0);
    }

    private Overscans.Result result(Layer layer, Look look) {
        return Overscans.demanded(look, layer.range(), session.project().sequence());
    }

    void show(Look look) {
        Layer layer = session.state().layer().orElseThrow();
        Overscans.Result demanded = result(layer, look);
        double now = Overscans.of(look, layer.range(), session.project().sequence()).scale();
        kind.setText(word(look.overscan().kind()));
        scale.show(100 * now);
        word.setText(
                demanded.frame() < 0
                        ? "No edge is uncovered."
                        : String.format(
                                Locale.ROOT,
                                "The moves demand %.2f %%, most at frame %d%s",
                                100 * demanded.scale(),
                                demanded.frame(),
                                now >= demanded.scale() ? "." : ": edges show."));
    }
}
