package ivrik.app.closeup;

import ivrik.app.control.Controls;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.core.look.Dial;
import ivrik.core.look.Dialling;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfDial;

import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

import java.util.List;
import java.util.function.Consumer;

/** The dials of a look: a name and a number each, two beside each other. */
final class DialsPart extends GridPane {
    /** Names of so many letters leave room for two dials beside each other. */
    private static final int SHORT = 10;

    /**
     * @param showers gets what shows a state
     */
    DialsPart(Session session, View view, Look look, List<Consumer<State>> showers) {
        super(8, 2);
        Label head = new Label("Dials of " + look.shownName());
        head.getStyleClass().add("heading");
        add(head, 0, 0, 4, 1);
        boolean beside =
                look.dials().stream().allMatch(d -> shortened(d.title()).length() <= SHORT);
        for (int i = 0; i < look.dials().size(); i++) {
            Dial dial = look.dials().get(i);
            Region field = field(session, view, dial, "dial-" + dial.name(), showers);
            Label name = Controls.quiet(shortened(dial.title()));
            name.setTooltip(new javafx.scene.control.Tooltip(dial.title()));
            add(name, beside ? i % 2 * 2 : 0, 1 + (beside ? i / 2 : i));
            add(field, beside ? i % 2 * 2 + 1 : 1, 1 + (beside ? i / 2 : i));
        }
    }

    /** Where a dial stands. */
    static Region field(
            Session session, View view, Dial dial, String id, List<Consumer<State>> showers) {
        if (!dial.words().isEmpty()) {
            return choice(session, view, dial, id, showers);
        }
        return Aimed.number(
                session,
                view,
                new OfDial(dial.name()),
                id,
                "Dial " + dial.title(),
                dial.title() + ", on the command line " + dial.name(),
                showers);
    }

    /** Which of a dial's words is chosen; of two colours each, in wells too. */
    private static Region choice(
            Session session, View view, Dial dial, String id, List<Consumer<State>> showers) {
        Consumer<String> choose =
                word -> {
                    double value = dial.valueOf(word).orElseThrow();
                    session.editLook(
                            "Dial " + dial.title(), l -> set(l, dial, view.frame.get(), value));
                };
        MenuButton menu = Controls.menu(id, dial.title() + ", on the command line " + dial.name());
        for (String word : dial.words()) {
            menu.getItems().add(Controls.item(word, () -> choose.accept(word)));
        }
        PairWells wells = PairWells.fits(dial) ? new PairWells(dial, choose) : null;
        showers.add(
                s ->
                        s.look().stream()
                                .flatMap(l -> l.dials().stream())
                                .filter(d -> d.name().equals(dial.name()))
                                .map(d -> d.word(d.value().at(view.frame.get())))
                                .forEach(
                                        word -> {
                                            menu.setText(word);
                                            if (wells != null) {
                                                wells.show(word);
                                            }
                                        }));
        return wells == null ? menu : new HBox(6, wells, menu);
    }

    private static Look set(Look look, Dial dial, long frame, double value) {
        return Dialling.with(look, dial.name(), d -> d.withValue(d.value().set(frame, value)));
    }

    /** What stands before a colon: the rest is for the tooltip. */
    private static String shortened(String title) {
        int colon = title.indexOf(':');
        return colon < 0 ? title : title.substring(0, colon);
    }
}
