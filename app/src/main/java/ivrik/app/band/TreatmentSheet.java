package ivrik.app.band;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

import java.util.List;
import java.util.Locale;

/** All treatments, each as what it would do to this frame; typing leaves those that fit the words. */
public final class TreatmentSheet extends TileBand {
    private static final int TILE = 104;

    /** Closer than the whole picture: what moves by a few pixels is to be seen. */
    private static final double PART = 0.45;

    private final Steps steps;
    private final TextField words = new TextField();

    public TreatmentSheet(Session session, View view, PictureService service, Steps steps) {
        super(
                session,
                view,
                service,
                "Add a treatment",
                "type a few letters, walk with the arrow keys, Enter or a click takes it");
        this.steps = steps;
        words.setId("find-treatment");
        words.setPromptText("blur, fringe, grain ...");
        words.setPrefColumnCount(14);
        words.textProperty().addListener((o, a, b) -> make());
        words.addEventFilter(KeyEvent.KEY_PRESSED, this::passedOn);
        Button back = new Button("Back to the desk");
        back.setOnAction(e -> view.band.set(View.Band.NONE));
        addToHead(words, back);
        focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is && words.getText().isEmpty()) {
                                words.requestFocus();
                            }
                        });
    }

    /** Keys that walk are not the text's. */
    private void passedOn(KeyEvent e) {
        if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            words.end();
        }
    }

    @Override
    List<Tile> tiles() {
        String asked = words.getText().toLowerCase(Locale.ROOT).strip();
        return Treatments.all().stream()
                .filter(t -> fits(t.description(), asked))
                .map(this::tile)
                .toList();
    }

    private static boolean fits(Description d, String asked) {
        String all =
                (d.title() + " " + d.help() + " " + d.group().title()).toLowerCase(Locale.ROOT);
        for (String word : asked.split("\\s+")) {
            if (!all.contains(word)) {
                return false;
            }
        }
        return true;
    }

    private Tile tile(Treatment treatment) {
        String after = session.state().stepId();
        return new Tile(
                treatment.description().id(),
                treatment.description().title(),
                session.lookChange(l -> Steps.with(l, after, treatment, session.project())));
    }

    @Override
    int tileWidth(int count) {
        return TILE;
    }

    @Override
    double part() {
        return PART;
    }

    @Override
    int present(List<Tile> tiles) {
        return words.getText().isBlank() || tiles.isEmpty() ? -1 : 0;
    }

    @Override
    void take(Tile tile) {
        view.trial.set(null);
        view.band.set(View.Band.NONE);
        view.face.set(View.Face.TREATMENT);
        steps.add(Treatments.named(tile.id()));
    }
}
