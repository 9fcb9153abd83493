package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.core.look.Amounts;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

/** What a treatment's random numbers are drawn from. */
final class SeedControls extends VBox {
    /** Seeds are any whole numbers; more digits than these are for files. */
    static final double MOST = 1e12;

    private final NumberField seed;
    private final ToggleButton alike = new ToggleButton("the same wherever this seed is used");

    SeedControls(Session session) {
        super(2);
        seed =
                new NumberField(
                        new NumberField.Spec("", 0, MOST, Amounts.FIRST_SEED, 1, 0, false),
                        "Another seed, other random numbers in the lane being worked on",
                        to ->
                                session.editLook(
                                        "Seed",
                                        l ->
                                                l.withAmounts(
                                                        session.state().stepId(),
                                                        session.state().lane(),
                                                        a -> a.withSeed(Math.round(to)))));
        seed.setId("seed");
        alike.getStyleClass().add("plain");
        alike.setId("by-seed");
        alike.setTooltip(
                new Tooltip(
                        "With it, two treatments of one seed draw the same random numbers; without"
                                + " it each draws its own"));
        alike.setOnAction(
                e ->
                        session.editLook(
                                alike.isSelected() ? "The same by seed" : "Its own random numbers",
                                l ->
                                        l.withStep(
                                                session.state().stepId(),
                                                s -> s.withBySeed(alike.isSelected()))));
        getChildren().addAll(row(quiet("Seed"), seed), alike);
    }

    void show(State state) {
        state.amounts().ifPresent(a -> seed.show(a.seed()));
        state.step().ifPresent(s -> alike.setSelected(s.bySeed()));
    }
}
