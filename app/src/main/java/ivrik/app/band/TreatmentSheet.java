package ivrik.app.band;

import ivrik.app.control.Finding;
import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.List;

/** All treatments, each as what it would do to this frame; typing leaves those that fit the words. */
public final class TreatmentSheet extends FoundTiles {
    private static final int TILE = 104;

    /** Closer than the whole picture: what moves by a few pixels is to be seen. */
    private static final double PART = 0.45;

    private final Steps steps;

    public TreatmentSheet(Session session, View view, PictureService service, Steps steps) {
        super(
                session,
                view,
                service,
                "Add a treatment",
                "type a few letters, walk with the arrow keys, Enter or a click takes it",
                "find-treatment",
                "blur, fringe, grain ...");
        this.steps = steps;
        finishHead();
    }

    @Override
    List<Tile> tiles() {
        return Treatments.all().stream()
                .filter(t -> Finding.fits(asked(), words(t.description())))
                .map(this::tile)
                .toList();
    }

    /** All that it is looked for by. */
    public static String words(Description d) {
        return String.join(
                " ", d.title(), d.id(), d.help(), d.group().title(), String.join(" ", d.tags()));
    }

    private Tile tile(Treatment treatment) {
        String after = session.state().stepId();
        return new Tile(
                treatment.description().id(),
                treatment.description().title(),
                treatment.description().group().title(),
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
    void take(Tile tile) {
        view.trial.set(null);
        view.band.set(View.Band.NONE);
        view.face.set(View.Face.TREATMENT);
        steps.add(Treatments.named(tile.id()));
    }
}
