package ivrik.app.shell;

import ivrik.app.band.TreatmentSheet;
import ivrik.app.session.Laying;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;
import ivrik.media.file.LookLibrary.Kept;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;

/** Looks and treatments as commands: they are in no menu, but are found by typing. */
final class Offers {
    private final Steps steps;
    private final Laying laying;
    private final View view;
    private final OwnLooks own;

    Offers(Steps steps, Laying laying, View view, OwnLooks own) {
        this.steps = steps;
        this.laying = laying;
        this.view = view;
        this.own = own;
    }

    /**
     * @param enabled whether there is anything to use them on
     */
    List<Command> all(BooleanSupplier enabled) {
        List<Command> all = new ArrayList<>();
        for (Kept each : own.all().get()) {
            all.add(use(each.look(), "yours", enabled));
        }
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            all.add(use(each.shownOff(), each.group().title(), enabled));
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

    private Command use(Look look, String group, BooleanSupplier enabled) {
        return new Command(
                "use-" + look.name(),
                "Look",
                look::shownName,
                null,
                () -> laying.lay(look, Laying.How.INSTEAD),
                enabled,
                look.words() + " " + group);
    }

    private void add(Treatment treatment) {
        view.face.set(View.Face.TREATMENT);
        steps.add(treatment);
    }
}
