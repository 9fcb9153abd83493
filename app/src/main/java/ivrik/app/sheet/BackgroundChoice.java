package ivrik.app.sheet;

import ivrik.app.session.Session;
import ivrik.app.widget.Controls;
import ivrik.app.widget.InkWell;
import ivrik.core.project.Background;
import ivrik.core.separation.Ink;

import javafx.geometry.Pos;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;

import java.util.List;

/** The background below all layers: transparent, black, paper, or any colour. */
final class BackgroundChoice extends HBox {
    private static final Ink FIRST = Ink.parse("808080");
    private static final String CUSTOM = "custom";

    private final Session session;
    private final MenuButton menu =
            Controls.menu(
                    "sequence-background",
                    "Background where no layer covers the sequence. Transparent exports an alpha"
                            + " channel");
    private final InkWell well = new InkWell("Background colour", this::set);

    BackgroundChoice(Session session) {
        super(8);
        this.session = session;
        setAlignment(Pos.CENTER_LEFT);
        well.setId("sequence-background-colour");
        well.setRest(FIRST);
        menu.getItems()
                .addAll(
                        item(Background.TRANSPARENT),
                        item(Background.BLACK),
                        item(Background.PAPER),
                        item(Background.of(FIRST)));
        getChildren().addAll(menu, well);
        show();
    }

    private MenuItem item(Background background) {
        return Controls.item(kind(background), title(background), () -> set(background));
    }

    private void set(Ink colour) {
        set(Background.of(colour));
    }

    private void set(Background background) {
        session.edit(
                "Background: " + title(background),
                p -> p.withSequence(p.sequence().withBackground(background)));
        show();
    }

    private void show() {
        Background background = session.project().sequence().background();
        Controls.show(menu, kind(background), title(background));
        well.setVisible(kind(background).equals(CUSTOM));
        background.colour().ifPresent(well::show);
    }

    /** The id of a named background; {@link #CUSTOM} for any other colour. */
    private static String kind(Background background) {
        boolean named =
                List.of(Background.TRANSPARENT, Background.BLACK, Background.PAPER)
                        .contains(background);
        return named ? background.id() : CUSTOM;
    }

    private static String title(Background background) {
        return switch (kind(background)) {
            case "paper" -> "paper white";
            case CUSTOM -> "custom colour";
            default -> background.id();
        };
    }
}
