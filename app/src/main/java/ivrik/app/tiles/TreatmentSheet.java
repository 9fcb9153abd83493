package ivrik.app.tiles;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.TreatmentEdits.Scope;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.Search;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import javafx.scene.control.ToggleButton;

import java.util.List;

/** All treatments applied to this frame; typing filters them. */
public final class TreatmentSheet extends FoundTiles {
    private static final int TILE = 104;

    /** Shows the centre of the picture enlarged, so that shifts of a few pixels are visible. */
    private static final double PART = 0.45;

    private final TreatmentEdits steps;
    private final ToggleButton all =
            Controls.toggle(
                    "treat-all-channels",
                    "All channels",
                    "Gives all channels equal settings. Off: treats the selected channel only. Key:"
                            + " Shift+Enter adds to all channels");

    public TreatmentSheet(
            Session session, View view, PictureService service, TreatmentEdits steps) {
        super(
                session,
                view,
                service,
                "Add treatment",
                "type to search, arrow keys to select, Enter adds to the selected channel,"
                        + " Shift+Enter to all, Escape closes",
                "find-treatment",
                "blur, fringe, grain ...");
        this.steps = steps;
        all.selectedProperty()
                .addListener(
                        (o, a, b) -> {
                            make();
                            typeOn();
                        });
        addToHead(all);
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
        return new Tile(
                treatment.description().id(),
                treatment.description().title(),
                treatment.description().group().title(),
                session.lookChange(l -> shown(l, treatment)));
    }

    /** Grading treatments are added at rest, so their tiles show the example settings instead. */
    private Look shown(Look look, Treatment treatment) {
        return treatment.description().is(Trait.GRADES)
                ? TreatmentEdits.with(
                        look,
                        session.state(),
                        Step.withExampleSettings(
                                look.freeId(treatment), treatment, look.channels().size()))
                : TreatmentEdits.with(look, session.state(), treatment, scope());
    }

    private Scope scope() {
        return all.isSelected() ? Scope.ALL : Scope.SELECTED;
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
        add(tile, scope());
    }

    @Override
    void takeForAll(Tile tile) {
        add(tile, Scope.ALL);
    }

    private void add(Tile tile, Scope scope) {
        view.trial.set(null);
        view.band.set(View.Band.NONE);
        view.face.set(View.Face.TREATMENT);
        steps.add(Treatments.named(tile.id()), scope);
    }
}
