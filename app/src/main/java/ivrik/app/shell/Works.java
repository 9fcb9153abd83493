package ivrik.app.shell;

import ivrik.app.session.Balance;
import ivrik.app.session.Casts;
import ivrik.app.session.Laying;
import ivrik.app.session.LookCopy;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.media.file.LookLibrary;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** What is done with looks as a whole, with packages and with clips beside the project. */
record Works(
        OwnLooks own,
        LookWork looks,
        GradeWork grades,
        PackWork packages,
        ClipsWork clips,
        Casts casts,
        Balance balance,
        LookCopy copy,
        SoundWork sound,
        LanesWork lanes,
        ClipboardWork clipboard) {
    /** How large a shot is measured for its cast, in pixels. */
    private static final int CAST_WIDTH = 320;

    /**
     * @param open opens a project
     * @param take brings files in
     */
    static Works of(
            Session session,
            View view,
            Laying laying,
            Sheets sheets,
            PanePictures pictures,
            Path dataFolder,
            Supplier<Chooser> chooser,
            Consumer<Path> open,
            Consumer<List<Path>> take) {
        OwnLooks own =
                new OwnLooks(
                        new LookLibrary(LookLibrary.in(dataFolder)),
                        Platform::runLater,
                        fault -> sheets.tell("That did not work", fault.oneLine()));
        return new Works(
                own,
                new LookWork(session, view, own, laying, sheets, chooser, pictures.service()),
                new GradeWork(session, view, own, laying, sheets, chooser),
                new PackWork(session, view, sheets, chooser, open),
                new ClipsWork(session, view, sheets, chooser),
                new Casts(
                        session, view, plan -> pictures.service().small(plan, CAST_WIDTH).pixels()),
                new Balance(session, view, pictures::sourceColour),
                new LookCopy(session, view),
                new SoundWork(session, sheets, chooser),
                new LanesWork(session, sheets, chooser),
                new ClipboardWork(
                        session,
                        view,
                        pictures.service(),
                        dataFolder.resolve("pasted"),
                        take,
                        sheets::tell));
    }
}
