package ivrik.app.controls;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.Controls;
import ivrik.core.look.Dial;
import ivrik.core.look.DialEdits;
import ivrik.core.look.FilterPair;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfDial;

import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;

/** The dials of a look in two columns: name and value. */
final class DialsPart extends GridPane {
    /** Longest name that leaves room for two columns. */
    private static final int SHORT = 10;

    /**
     * @param showers receives the functions that show a state
     */
    DialsPart(Session session, View view, Look look, List<Consumer<State>> showers) {
        super(8, 2);
        Label head = new Label("Dials of " + look.displayName());
        head.getStyleClass().add("heading");
        add(head, 0, 0, 4, 1);
        List<Dial> dials = ordered(look);
        boolean beside = dials.stream().allMatch(d -> shortened(d.title()).length() <= SHORT);
        for (int i = 0; i < dials.size(); i++) {
            Dial dial = dials.get(i);
            Region field = field(session, view, dial, "dial-" + dial.name(), showers);
            Label name = Controls.quiet(shortened(dial.title()));
            name.setTooltip(new javafx.scene.control.Tooltip(dial.title()));
            add(name, beside ? i % 2 * 2 : 0, 1 + (beside ? i / 2 : i));
            add(field, beside ? i % 2 * 2 + 1 : 1, 1 + (beside ? i / 2 : i));
        }
    }

    /** The dials of a look; pairs of colours are first. */
    static List<Dial> ordered(Look look) {
        return look.dials().stream()
                .sorted(Comparator.comparing(d -> !FilterPairWells.fits(d)))
                .toList();
    }

    /** The value of a dial. */
    static Region field(
            Session session, View view, Dial dial, String id, List<Consumer<State>> showers) {
        if (!dial.choices().isEmpty()) {
            return choice(session, view, dial, id, showers);
        }
        return TargetedFields.number(
                session,
                view,
                new OfDial(dial.name()),
                id,
                "Change dial " + dial.title(),
                dial.title() + ", on the command line " + dial.name(),
                showers);
    }

    /** The chosen word of a dial; pairs of colours also have wells. */
    private static Region choice(
            Session session, View view, Dial dial, String id, List<Consumer<State>> showers) {
        Consumer<String> choose =
                choice -> {
                    double value = dial.valueOf(choice).orElseThrow();
                    session.editLook(
                            "Change dial " + dial.title(),
                            l -> set(l, dial, view.frame.get(), value));
                };
        MenuButton menu = Controls.menu(id, dial.title() + ", on the command line " + dial.name());
        for (String choice : dial.choices()) {
            menu.getItems().add(Controls.item(choice, shown(choice), () -> choose.accept(choice)));
        }
        FilterPairWells wells =
                FilterPairWells.fits(dial) ? new FilterPairWells(dial, choose) : null;
        showers.add(
                s ->
                        s.look().stream()
                                .flatMap(l -> l.dials().stream())
                                .filter(d -> d.name().equals(dial.name()))
                                .map(d -> d.choice(d.value().at(view.frame.get())))
                                .forEach(
                                        choice -> {
                                            Controls.show(menu, choice, shown(choice));
                                            if (wells != null) {
                                                wells.show(choice);
                                            }
                                        }));
        return wells == null ? menu : new HBox(6, wells, menu);
    }

    /** A choice as text; pairs of colours keep their hyphen. */
    private static String shown(String choice) {
        return FilterPair.of(choice).isPresent() ? choice : choice.replace('-', ' ');
    }

    private static Look set(Look look, Dial dial, long frame, double value) {
        return DialEdits.with(look, dial.name(), d -> d.withValue(d.value().set(frame, value)));
    }

    /** The part of a title before a colon; the tooltip has the rest. */
    private static String shortened(String title) {
        int colon = title.indexOf(':');
        return colon < 0 ? title : title.substring(0, colon);
    }
}
