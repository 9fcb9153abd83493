package ivrik.app.shell;

import ivrik.app.session.LookApplication;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.SourceSheet;
import ivrik.app.tray.Tray;
import ivrik.core.look.Look;
import ivrik.core.project.ProjectEdits;
import ivrik.core.project.Source;
import ivrik.media.file.LookLibrary.SavedLook;

import java.nio.file.Path;
import java.util.function.Supplier;

/** Operations of the tray. */
final class TrayActions implements Tray.Actions {
    private final Session session;
    private final LookApplication laying;
    private final Importer importer;
    private final LayerActions layers;
    private final Supplier<Chooser> chooser;
    private final View view;
    private final Runnable importFootage;
    private final Runnable forgetSmall;
    private final Sheets sheets;
    private final LookActions looks;

    /**
     * @param forgetSmall discards thumbnails after a file changed
     */
    TrayActions(
            Session session,
            View view,
            LookApplication laying,
            Importer importer,
            LayerActions layers,
            Supplier<Chooser> chooser,
            Runnable importFootage,
            Runnable forgetSmall,
            Sheets sheets,
            LookActions looks) {
        this.session = session;
        this.view = view;
        this.laying = laying;
        this.importer = importer;
        this.layers = layers;
        this.chooser = chooser;
        this.importFootage = importFootage;
        this.forgetSmall = forgetSmall;
        this.sheets = sheets;
        this.looks = looks;
    }

    @Override
    public void importFootage() {
        importFootage.run();
    }

    @Override
    public void place(Source source) {
        session.edit("Add " + source.name(), p -> ProjectEdits.putOn(p, source));
    }

    @Override
    public void addOnTop(Source source) {
        layers.addOnTop(source);
    }

    @Override
    public void replace(Source source) {
        Path file = chooser.get().oneSource(source.name());
        if (file != null) {
            forgetSmall.run();
            importer.replace(source, file);
        }
    }

    @Override
    public void reading(Source source) {
        importer.facts(
                source,
                facts -> {
                    SourceSheet sheet =
                            new SourceSheet(
                                    source,
                                    facts,
                                    sheets,
                                    changed -> {
                                        forgetSmall.run();
                                        importer.reread(source, changed);
                                    });
                    sheets.show(sheet, sheet.first());
                });
    }

    @Override
    public void remove(Source source) {
        session.edit("Remove " + source.name(), p -> ProjectEdits.without(p, source));
    }

    @Override
    public void use(Look look) {
        laying.apply(look, laying.gently());
    }

    @Override
    public void write(SavedLook kept) {
        looks.write(kept.look(), kept::picture);
    }

    @Override
    public void remove(SavedLook kept) {
        looks.remove(kept);
    }

    @Override
    public void allTakes() {
        view.band.set(View.Band.TAKES);
    }

    @Override
    public void allLooks() {
        view.band.set(View.Band.LOOKS);
    }
}
