package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.LookApplication;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.session.View.Band;
import ivrik.core.project.Project;

import javafx.scene.Node;

import java.util.SequencedMap;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * The sheets of tiles that can replace the desk.
 *
 * @param own the user's looks
 * @param saveAsPicture writes thumbnails as one picture
 */
public record TileSheets(
        Session session,
        View view,
        TreatmentEdits steps,
        LookApplication laying,
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
            case CHANNEL_COMBINATIONS, NONE ->
                    new ChannelCombinations(session, view, service, saveAsPicture);
        };
    }
}
