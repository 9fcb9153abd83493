package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.app.control.InkWell;
import ivrik.app.session.Session;
import ivrik.core.project.Ground;
import ivrik.core.separation.Ink;

import javafx.geometry.Pos;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.HBox;

/** What lies beneath all layers: nothing, black, paper, or any colour. */
final class GroundChoice extends HBox {
    private static final Ink FIRST = Ink.parse("808080");

    private final Session session;
    private final MenuButton menu =
            Controls.menu(
                    "sequence-ground",
                    "What is seen where no layer covers it; with nothing the picture leaves with"
                            + " alpha");
    private final InkWell well = new InkWell("The colour beneath all layers", this::set);

    GroundChoice(Session session) {
        super(8);
        this.session = session;
        setAlignment(Pos.CENTER_LEFT);
        well.setId("sequence-ground-colour");
        well.setRest(FIRST);
        menu.getItems()
                .addAll(
                        Controls.item(word(Ground.NOTHING), () -> set(Ground.NOTHING)),
                        Controls.item(word(Ground.BLACK), () -> set(Ground.BLACK)),
                        Controls.item(word(Ground.PAPER), () -> set(Ground.PAPER)),
                        Controls.item(word(Ground.of(FIRST)), () -> set(FIRST)));
        getChildren().addAll(menu, well);
        show();
    }

    private void set(Ink colour) {
        set(Ground.of(colour));
    }

    private void set(Ground ground) {
        session.edit(
                "Ground: " + word(ground), p -> p.withSequence(p.sequence().withGround(ground)));
        show();
    }

    private void show() {
        Ground ground = session.project().sequence().ground();
        menu.setText(word(ground));
        well.setVisible(word(ground).equals(word(Ground.of(FIRST))));
        ground.colour().ifPresent(well::show);
    }

    private static String word(Ground ground) {
        return switch (ground.id()) {
            case "nothing" -> "nothing, with alpha";
            case "black" -> "black";
            case "paper" -> "paper white";
            default -> "a colour";
        };
    }
}
