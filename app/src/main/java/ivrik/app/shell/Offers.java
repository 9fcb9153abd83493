package ivrik.app.shell;

import ivrik.app.band.TreatmentSheet;
import ivrik.app.session.Laying;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.Steps;
import ivrik.app.session.Traced;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.Glossary;
import ivrik.app.sheet.Sheets;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.project.Layer;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.encode.Preset;
import ivrik.media.file.LookLibrary.Kept;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;

/** Looks, treatments, layers, dials, forms of export and words as commands: they are in no menu, but are found by typing. */
final class Offers {
    private final Steps steps;
    private final Laying laying;
    private final View view;
    private final OwnLooks own;
    private final Session session;
    private final Sheets sheets;
    private final Exporting exporting;

    Offers(
            Session session,
            Steps steps,
            Laying laying,
            View view,
            OwnLooks own,
            Sheets sheets,
            Exporting exporting) {
        this.session = session;
        this.sheets = sheets;
        this.exporting = exporting;
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
                            () -> add(each),
                            enabled,
                            TreatmentSheet.words(each.description())));
        }
        layers(all);
        dials(all);
        exports(all, enabled);
        Glossary.words()
                .forEach(
                        (word, sense) ->
                                all.add(
                                        offer(
                                                "word-" + word,
                                                "Help",
                                                "What is: " + word,
                                                () -> sheets.tell(word, sense),
                                                "meaning explain " + sense)));
        return all;
    }

    private void layers(List<Command> all) {
        for (Layer each : session.project().layers()) {
            all.add(
                    offer(
                            "layer-" + each.id(),
                            "Layer",
                            "Work on the layer " + each.name(),
                            () -> session.selectLayer(each.id()),
                            "select"));
        }
    }

    private void dials(List<Command> all) {
        List<Dial> dials = session.state().look().map(Look::dials).orElse(List.of());
        for (Dial each : dials) {
            all.add(
                    offer(
                            "dial-" + each.name(),
                            "Dial",
                            each.title(),
                            () -> {
                                view.closeUpShown.set(true);
                                view.face.set(View.Face.LOOK);
                                view.traced.set(new Traced.Other(new Target.OfDial(each.name())));
                            },
                            "dial of the look"));
        }
    }

    private void exports(List<Command> all, BooleanSupplier enabled) {
        for (Preset each : Preset.values()) {
            all.add(
                    new Command(
                            "export-for-" + each.id(),
                            "Export",
                            () -> "Export for " + each.title(),
                            () -> exporting.show(each),
                            enabled,
                            each.form().title()));
        }
        for (Form each : Forms.all()) {
            all.add(
                    new Command(
                            "export-as-" + each.id(),
                            "Export",
                            () -> "Export as " + each.title(),
                            () -> exporting.show(each),
                            enabled,
                            each.id() + " " + each.ending()));
        }
    }

    private static Command offer(
            String id, String menu, String title, Runnable action, String words) {
        return new Command(id, menu, () -> title, action, () -> true, words);
    }

    private Command use(Look look, String group, BooleanSupplier enabled) {
        return new Command(
                "use-" + look.name(),
                "Look",
                look::shownName,
                () -> laying.lay(look, Laying.How.INSTEAD),
                enabled,
                look.words() + " " + group);
    }

    private void add(Treatment treatment) {
        view.face.set(View.Face.TREATMENT);
        steps.add(treatment);
    }
}
