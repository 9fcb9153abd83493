package ivrik.app.tray;

import ivrik.app.picture.SourceFault;
import ivrik.app.widget.ScrollToFocus;
import ivrik.app.widget.Search;
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

/** The project's footage with thumbnails; many sources use low rows and a search field. */
final class FootageShelf extends VBox {
    /** Number of sources above which rows are low and a search field is shown. */
    private static final int MANY = 6;

    private final Tray.Actions actions;
    private final TextField search = new TextField();
    private final Label heading = Tray.heading("Footage");
    private final VBox list = new VBox();
    private final ScrollPane scroll = new ScrollPane(list);
    private final Label none = new Label("No match");
    private final Button importFootage = Tray.wide("import-footage", "Import...");
    private final Map<String, Image> pictures = new HashMap<>();
    private final Map<String, FootageCard> cards = new LinkedHashMap<>();
    private Map<String, SourceFault> faults = Map.of();
    private List<Source> made = List.of();

    FootageShelf(Tray.Actions actions) {
        this.actions = actions;
        getStyleClass().add("tray-list");
        list.getStyleClass().add("cards");
        scroll.setFitToWidth(true);
        ScrollToFocus.install(scroll);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        search.setId("footage-search");
        search.setPromptText("Find footage");
        search.textProperty().addListener((o, a, b) -> fill());
        none.getStyleClass().add("quiet");
        importFootage.setTooltip(
                new Tooltip(
                        "Imports movies, stills, vector graphics or numbered sequences. Files can"
                                + " also be dropped on the window"));
        importFootage.setOnAction(e -> actions.importFootage());
        importFootage.setMinHeight(USE_PREF_SIZE);
        show(List.of());
    }

    /** Shows the sources of a project. */
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
        importFootage.setText(made.isEmpty() ? "Import..." : "Import...");
        cards.clear();
        for (Source source : made) {
            if (Search.fits(search.getText(), source.name() + " " + source.path())) {
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
        getChildren().add(importFootage);
    }

    void showFaults(Map<String, SourceFault> now) {
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
