package ivrik.app.shell;

import ivrik.app.session.Laying;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.SourceSheet;
import ivrik.app.tray.Tray;
import ivrik.core.look.Look;
import ivrik.core.project.Arrange;
import ivrik.core.project.Source;
import ivrik.media.file.LookLibrary.Kept;

import java.nio.file.Path;
import java.util.function.Supplier;

/** What is done from the tray. */
final class TrayWork implements Tray.Actions {
    private final Session session;
    private final Laying laying;
    private final Importer importer;
    private final LayerWork layers;
    private final Supplier<Chooser> chooser;
    private final View view;
    private final Runnable bringIn;
    private final Runnable forgetSmall;
    private final Sheets sheets;
    private final LookWork looks;

    /**
     * @param forgetSmall lets go of the small pictures, because a file is another now
     */
    TrayWork(
            Session session,
            View view,
            Laying laying,
            Importer importer,
            LayerWork layers,
            Supplier<Chooser> chooser,
            Runnable bringIn,
            Runnable forgetSmall,
            Sheets sheets,
            LookWork looks) {
        this.session = session;
        this.view = view;
        this.laying = laying;
        this.importer = importer;
        this.layers = layers;
        this.chooser = chooser;
        this.bringIn = bringIn;
        this.forgetSmall = forgetSmall;
        this.sheets = sheets;
        this.looks = looks;
    }

    @Override
    public void bringIn() {
        bringIn.run();
    }

    @Override
    public void place(Source source) {
        session.edit("Put on " + source.name(), p -> Arrange.putOn(p, source));
    }

    @Override
    public void layOver(Source source) {
        layers.layOver(source);
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
                                        importer.readAnew(source, changed);
                                    });
                    sheets.show(sheet, sheet.first());
                });
    }

    @Override
    public void remove(Source source) {
        session.edit("Take out " + source.name(), p -> Arrange.without(p, source));
    }

    @Override
    public void use(Look look) {
        laying.lay(look, laying.gently());
    }

    @Override
    public void write(Kept kept) {
        looks.write(kept.look(), kept::picture);
    }

    @Override
    public void remove(Kept kept) {
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
