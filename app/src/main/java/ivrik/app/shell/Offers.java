package ivrik.app.shell;

import ivrik.app.band.TreatmentSheet;
import ivrik.app.session.Laying;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;

/** Looks and treatments as commands: they are in no menu, but are found by typing. */
final class Offers {
    private final Steps steps;
    private final Laying laying;
    private final View view;

    Offers(Steps steps, Laying laying, View view) {
        this.steps = steps;
        this.laying = laying;
        this.view = view;
    }

    /**
     * @param enabled whether there is anything to use them on
     */
    List<Command> all(BooleanSupplier enabled) {
        List<Command> all = new ArrayList<>();
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            all.add(
                    new Command(
                            "use-" + each.look().name(),
                            "Look",
                            each.look()::shownName,
                            null,
                            () -> laying.lay(each.shownOff(), Laying.How.INSTEAD),
                            enabled,
                            each.look().words() + " " + each.group().title()));
        }
        for (Treatment each : Treatments.all()) {
            all.add(
                    new Command(
                            "add-" + each.description().id(),
                            "Treatment",
                            each.description()::title,
                            null,
                            () -> add(each),
                            enabled,
                            TreatmentSheet.words(each.description())));
        }
        return all;
    }

    private void add(Treatment treatment) {
        view.face.set(View.Face.TREATMENT);
        steps.add(treatment);
    }
}
