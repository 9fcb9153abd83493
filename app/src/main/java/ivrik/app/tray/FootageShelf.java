package ivrik.app.tray;

import ivrik.app.control.Finding;
import ivrik.app.control.Revealing;
import ivrik.app.picture.Fault;
import ivrik.core.project.Source;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.layout.VBox;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The footage of the project with small pictures; many stand in low rows, and are found by typing. */
final class FootageShelf extends VBox {
    /** More than so many stand in low rows and can be searched. */
    private static final int MANY = 6;

    private final Tray.Actions actions;
    private final TextField search = new TextField();
    private final Label heading = Tray.heading("Footage");
    private final VBox list = new VBox();
    private final ScrollPane scroll = new ScrollPane(list);
    private final Label none = new Label("Nothing here is called so");
    private final Button bringIn = Tray.wide("bring-in", "Bring in");
    private final Map<String, Image> pictures = new HashMap<>();
    private final Map<String, FootageCard> cards = new LinkedHashMap<>();
    private Map<String, Fault> faults = Map.of();
    private List<Source> made = List.of();

    FootageShelf(Tray.Actions actions) {
        this.actions = actions;
        getStyleClass().add("tray-list");
        list.getStyleClass().add("cards");
        scroll.setFitToWidth(true);
        Revealing.install(scroll);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        search.setId("footage-search");
        search.setPromptText("Find footage");
        search.textProperty().addListener((o, a, b) -> fill());
        none.getStyleClass().add("quiet");
        bringIn.setTooltip(
                new Tooltip(
                        "Movies, stills, vector graphics, numbered sequences; or drop them"
                                + " anywhere"));
        bringIn.setOnAction(e -> actions.bringIn());
        bringIn.setMinHeight(USE_PREF_SIZE);
        show(List.of());
    }

    /** Those of a project. */
    void show(List<Source> sources) {
        made = sources;
        if (sources.size() <= MANY) {
            search.clear();
        }
        fill();
    }

    List<Source> shown() {
        return made;
    }

    private void fill() {
        boolean many = made.size() > MANY;
        heading.setText(many ? "Footage, " + made.size() : "Footage");
        bringIn.setText(made.isEmpty() ? "Bring in a clip" : "Bring in");
        cards.clear();
        for (Source source : made) {
            if (Finding.fits(search.getText(), source.name() + " " + source.path())) {
                FootageCard card = new FootageCard(source, many, actions);
                card.show(pictures.get(source.id()));
                card.show(faults.get(source.id()));
                cards.put(source.id(), card);
            }
        }
        Tray.replace(list, cards.values());
        getChildren().setAll(heading);
        if (many) {
            getChildren().add(search);
        }
        if (!made.isEmpty()) {
            getChildren().add(cards.isEmpty() ? none : scroll);
        }
        getChildren().add(bringIn);
    }

    void showFaults(Map<String, Fault> now) {
        faults = Map.copyOf(now);
        cards.forEach((id, card) -> card.show(faults.get(id)));
    }

    void showPicture(String source, Image image) {
        pictures.put(source, image);
        FootageCard card = cards.get(source);
        if (card != null) {
            card.show(image);
        }
    }
}
