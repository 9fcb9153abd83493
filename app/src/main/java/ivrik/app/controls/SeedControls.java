package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ChannelSettings;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

/** Seed of a treatment's random numbers. */
final class SeedControls extends VBox {
    /** Largest seed in the window; files may have larger ones. */
    static final double MAX = 1e12;

    private final NumberField seed;
    private final ToggleButton shared = new ToggleButton("share pattern by seed");

    SeedControls(Session session) {
        super(2);
        seed =
                new NumberField(
                        new NumberField.Spec("", 0, MAX, ChannelSettings.FIRST_SEED, 1, 0, false),
                        "Seed of the random pattern in the selected channel",
                        to ->
                                session.editLook(
                                        "Seed",
                                        l ->
                                                l.withSettings(
                                                        session.state().stepId(),
                                                        session.state().channel(),
                                                        a -> a.withSeed(Math.round(to)))));
        seed.setId("seed");
        shared.getStyleClass().add("plain");
        shared.setId("by-seed");
        shared.setTooltip(
                new Tooltip(
                        "On: treatments with the same seed use the same random pattern. Off: each"
                                + " has its own"));
        shared.setOnAction(
                e ->
                        session.editLook(
                                shared.isSelected()
                                        ? "Share pattern by seed"
                                        : "Independent pattern",
                                l ->
                                        l.withStep(
                                                session.state().stepId(),
                                                s -> s.withBySeed(shared.isSelected()))));
        getChildren().addAll(row(quiet("Seed"), seed), shared);
    }

    void show(State state) {
        state.settings().ifPresent(a -> seed.show(a.seed()));
        state.step().ifPresent(s -> shared.setSelected(s.bySeed()));
    }
}
