package ivrik.app.shell;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.LookApplication;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.Glossary;
import ivrik.app.sheet.Sheets;
import ivrik.app.tiles.TreatmentSheet;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.project.Layer;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.Preset;
import ivrik.media.file.LookLibrary.SavedLook;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;

/**
 * Looks, treatments, layers, dials, export formats and glossary words as commands that are found by typing
 * but are in no menu.
 */
final class SearchEntries {
    private final TreatmentEdits steps;
    private final LookApplication laying;
    private final View view;
    private final OwnLooks own;
    private final Session session;
    private final Sheets sheets;
    private final Exporting exporting;

    SearchEntries(
            Session session,
            TreatmentEdits steps,
            LookApplication laying,
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
     * @param enabled whether there is anything to apply them to
     */
    List<Command> all(BooleanSupplier enabled) {
        List<Command> all = new ArrayList<>();
        for (SavedLook each : own.all().get()) {
            all.add(use(each.look(), "yours", enabled));
        }
        for (BuiltInLook each : BuiltInLooks.shelf()) {
            all.add(use(each.withExampleSettings(), each.group().title(), enabled));
        }
        for (Treatment each : Treatments.all()) {
            all.add(
                    new Command(
                            "add-" + each.description().id(),
                            "Treatment",
                            each.description()::title,
                            () -> add(each),
                            enabled,
                            TreatmentSheet.searchText(each.description())));
        }
        layers(all);
        dials(all);
        exports(all, enabled);
        Glossary.entries()
                .forEach(
                        (word, sense) ->
                                all.add(
                                        offer(
                                                Glossary.ID + word,
                                                "Help",
                                                "Glossary: " + word,
                                                () -> sheets.report(word, sense),
                                                "meaning explain " + sense)));
        return all;
    }

    private void layers(List<Command> all) {
        for (Layer each : session.project().layers()) {
            all.add(
                    offer(
                            "layer-" + each.id(),
                            "Layer",
                            "Select layer " + each.name(),
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
                                view.controlsShown.set(true);
                                view.face.set(View.Face.LOOK);
                                view.graphed.set(
                                        new GraphTargets.Other(new Target.OfDial(each.name())));
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
                            () -> "Export preset: " + each.title(),
                            () -> exporting.show(each),
                            enabled,
                            each.format().title()));
        }
        for (ExportFormat each : ExportFormats.all()) {
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
            String id, String menu, String title, Runnable action, String keywords) {
        return new Command(id, menu, () -> title, action, () -> true, keywords);
    }

    private Command use(Look look, String group, BooleanSupplier enabled) {
        return new Command(
                "use-" + look.name(),
                "Look",
                look::displayName,
                () -> laying.apply(look, LookApplication.How.INSTEAD),
                enabled,
                look.searchText() + " " + group);
    }

    private void add(Treatment treatment) {
        view.face.set(View.Face.TREATMENT);
        steps.add(treatment);
    }
}
