package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.look.Look;
import ivrik.core.motion.Jitter;

import javafx.geometry.Pos;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.function.UnaryOperator;

/** The jitter of the lane being worked on, or of all that are not held. */
final class JitterControls extends VBox {
    private final Session session;
    private final View view;
    private final NumberField amount;
    private final NumberField rate;
    private final NumberField seed;
    private final NumberField octaves;
    private final MenuButton kind;
    private final ToggleButton all = new ToggleButton("all lanes");

    JitterControls(Session session, View view) {
        super(2);
        this.session = session;
        this.view = view;
        amount =
                new NumberField(
                        new NumberField.Spec("px", 0, 400, 0, 0.5, 1, false),
                        "Random movement of the lane being worked on: at most so far either way",
                        to ->
                                edit(
                                        "Jitter amount",
                                        j -> j.withAmount(j.amount().set(view.frame.get(), to))));
        amount.setId("jitter-amount");
        rate =
                new NumberField(
                        new NumberField.Spec(
                                "Hz",
                                0,
                                Jitter.MAX_FREQUENCY_HZ,
                                Jitter.NONE.frequencyHz(),
                                1,
                                0,
                                false),
                        "New places a second",
                        to -> edit("Jitter rate", j -> j.withFrequencyHz(to)));
        seed =
                new NumberField(
                        new NumberField.Spec("", 0, SeedControls.MOST, 1, 1, 0, false),
                        "Another seed, another movement",
                        to -> edit("Jitter seed", j -> j.withSeed((long) to)));
        octaves =
                new NumberField(
                        new NumberField.Spec("", 1, Jitter.MOST_OCTAVES, 1, 1, 0, false),
                        "Finer movement on top, each octave twice as fast and half as far",
                        to -> edit("Jitter octaves", j -> j.withOctaves((int) Math.rint(to))));
        octaves.setId("jitter-octaves");
        kind =
                choice(
                        "Gliding, or jumping",
                        Jitter.Kind.values(),
                        to -> edit("Jitter: " + word(to), j -> j.withKind(to)));
        kind.setId("jitter-kind");
        all.getStyleClass().add("plain");
        all.setId("jitter-all");
        all.setTooltip(
                new Tooltip(
                        "Changes the jitter of every lane that is not held, each moving its own"
                                + " way"));
        HBox seeded = new HBox(2, quiet("seed"), seed);
        seeded.setAlignment(Pos.CENTER);
        HBox finer = new HBox(2, quiet("octaves"), octaves);
        finer.setAlignment(Pos.CENTER);
        getChildren()
                .addAll(row(quiet("Jitter"), kind, all), row(amount, rate), row(finer, seeded));
    }

    void show(State state) {
        state.step()
                .ifPresent(
                        step -> {
                            Jitter j = step.amounts(state.lane()).jitter();
                            amount.show(j.amount().at(view.frame.get()));
                            rate.show(j.frequencyHz());
                            seed.show(j.seed());
                            octaves.show(j.octaves());
                            kind.setText(word(j.kind()));
                        });
    }

    private void edit(String name, UnaryOperator<Jitter> change) {
        String step = session.state().stepId();
        int lane = session.state().lane();
        session.editLook(
                name,
                look -> {
                    Look changed = look;
                    for (int i = 0; i < look.lanes().size(); i++) {
                        if (i == lane || all.isSelected() && !look.lanes().get(i).hold()) {
                            changed =
                                    changed.withAmounts(
                                            step, i, a -> a.withJitter(change.apply(a.jitter())));
                        }
                    }
                    return changed;
                });
    }
}
