package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.widget.Search;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.List;

/** All treatments applied to this frame; typing filters them. */
public final class TreatmentSheet extends FoundTiles {
    private static final int TILE = 104;

    /** Shows the centre of the picture enlarged, so that shifts of a few pixels are visible. */
    private static final double PART = 0.45;

    private final TreatmentEdits steps;

    public TreatmentSheet(
            Session session, View view, PictureService service, TreatmentEdits steps) {
        super(
                session,
                view,
                service,
                "Add treatment",
                "type to search, arrow keys to select, Enter or click to add, Escape to close",
                "find-treatment",
                "blur, fringe, grain ...");
        this.steps = steps;
        finishHead();
    }

    @Override
    List<Tile> tiles() {
        return Treatments.all().stream()
                .filter(t -> Search.fits(asked(), searchText(t.description())))
                .map(this::tile)
                .toList();
    }

    /** All words for search. */
    public static String searchText(Description d) {
        return String.join(
                " ", d.title(), d.id(), d.help(), d.group().title(), String.join(" ", d.tags()));
    }

    private Tile tile(Treatment treatment) {
        String after = session.state().stepId();
        return new Tile(
                treatment.description().id(),
                treatment.description().title(),
                treatment.description().group().title(),
                session.lookChange(
                        l -> TreatmentEdits.with(l, after, treatment, session.project())));
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
    void take(Tile tile) {
        view.trial.set(null);
        view.band.set(View.Band.NONE);
        view.face.set(View.Face.TREATMENT);
        steps.add(Treatments.named(tile.id()));
    }
}
