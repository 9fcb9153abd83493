package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.Search;

import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

import java.util.List;

/** Tiles that are filtered by typing. */
abstract class FoundTiles extends TileBand {
    private final TextField search = new TextField();

    /**
     * @param id id of the text field
     * @param prompt prompt of the text field
     */
    FoundTiles(
            Session session,
            View view,
            PictureService service,
            String title,
            String hint,
            String id,
            String prompt) {
        super(session, view, service, title, hint);
        search.setId(id);
        Controls.explain(search, "Searches names and keywords");
        search.setPromptText(prompt);
        search.setPrefColumnCount(14);
        search.textProperty().addListener((o, a, b) -> make());
        search.addEventFilter(KeyEvent.KEY_PRESSED, this::passedOn);
        addToHead(search);
        focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is && search.getText().isEmpty()) {
                                search.requestFocus();
                            }
                        });
    }

    /** Adds the text field after the rest of the header. */
    final void finishHead() {
        addToHead(back());
    }

    /** Focuses the text field. */
    final void typeOn() {
        search.requestFocus();
        search.end();
    }

    /** The typed text. */
    final String asked() {
        return search.getText();
    }

    /** Passes navigation keys from the text field to the tiles. */
    private void passedOn(KeyEvent e) {
        if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            search.end();
        }
    }

    @Override
    final int present(List<Tile> tiles) {
        return search.getText().isBlank() || tiles.isEmpty()
                ? -1
                : Search.best(asked(), tiles.stream().map(Tile::title).toList());
    }
}
