package ivrik.app.band;

import ivrik.app.control.Controls;
import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.View;

import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

import java.util.List;

/** Small pictures that are found by typing. */
abstract class FoundTiles extends TileBand {
    private final TextField words = new TextField();

    /**
     * @param id of the field that is typed in
     * @param prompt what may be typed
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
        words.setId(id);
        Controls.explain(words, "Shows only what has these letters in its name or its words");
        words.setPromptText(prompt);
        words.setPrefColumnCount(14);
        words.textProperty().addListener((o, a, b) -> make());
        words.addEventFilter(KeyEvent.KEY_PRESSED, this::passedOn);
        addToHead(words);
        focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is && words.getText().isEmpty()) {
                                words.requestFocus();
                            }
                        });
    }

    /** After whatever else stands in the head. */
    final void finishHead() {
        addToHead(back());
    }

    /** What is typed next goes into the field again. */
    final void typeOn() {
        words.requestFocus();
        words.end();
    }

    /** What was typed. */
    final String asked() {
        return words.getText();
    }

    /** Keys that walk are not the text's. */
    private void passedOn(KeyEvent e) {
        if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            words.end();
        }
    }

    @Override
    final int present(List<Tile> tiles) {
        return words.getText().isBlank() || tiles.isEmpty() ? -1 : 0;
    }
}
