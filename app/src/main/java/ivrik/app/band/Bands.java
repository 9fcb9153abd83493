package ivrik.app.band;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Laying;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.session.View.Band;
import ivrik.core.project.Project;

import javafx.scene.Node;

import java.util.SequencedMap;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * The sheets that can stand in the place of the desk.
 *
 * @param own the user's looks
 * @param saveAsPicture writes small pictures as one
 */
public record Bands(
        Session session,
        View view,
        Steps steps,
        Laying laying,
        PictureService service,
        OwnLooks own,
        Consumer<SequencedMap<String, Project>> saveAsPicture)
        implements Function<Band, Node> {
    @Override
    public Node apply(Band band) {
        return switch (band) {
            case BLENDS -> new BlendSheet(session, view, service);
            case LOOKS -> new LookSheet(session, view, service, laying, own.all());
            case TAKES -> new TakeSheet(session, view, service);
            case TREATMENTS -> new TreatmentSheet(session, view, service, steps);
            case PROGRESSIVES, NONE -> new Progressives(session, view, service, saveAsPicture);
        };
    }
}
