package ivrik.app.shell;

import ivrik.app.session.ColourCastMeasurement;
import ivrik.app.session.LookApplication;
import ivrik.app.session.LookCopy;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.WhiteBalance;
import ivrik.app.sheet.Sheets;
import ivrik.media.file.LookLibrary;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Operations on looks, grades, packages and clips outside the project. */
record ProjectActions(
        OwnLooks own,
        LookActions looks,
        GradeActions grades,
        PackageActions packages,
        ClipsActions clips,
        ColourCastMeasurement colourCasts,
        WhiteBalance balance,
        LookCopy copy,
        SoundActions sound,
        ChannelExportActions channels,
        ClipboardActions clipboard,
        KeyActions keys) {
    /** Width of the pictures for colour cast measurement, in pixels. */
    private static final int COLOUR_CAST_WIDTH = 320;

    /**
     * @param open opens a project
     * @param take imports files
     */
    static ProjectActions of(
            Session session,
            View view,
            LookApplication laying,
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
                        fault -> sheets.report("The command failed", fault.oneLine()));
        return new ProjectActions(
                own,
                new LookActions(session, view, own, laying, sheets, chooser, pictures.service()),
                new GradeActions(session, view, own, laying, sheets, chooser),
                new PackageActions(session, view, sheets, chooser, open),
                new ClipsActions(session, view, sheets, chooser),
                new ColourCastMeasurement(
                        session,
                        view,
                        plan -> pictures.service().small(plan, COLOUR_CAST_WIDTH).pixels()),
                new WhiteBalance(session, view, pictures::sourceColour),
                new LookCopy(session, view),
                new SoundActions(session, sheets, chooser),
                new ChannelExportActions(session, view, sheets, chooser),
                new ClipboardActions(
                        session,
                        view,
                        pictures.service(),
                        dataFolder.resolve("pasted"),
                        take,
                        sheets::report),
                new KeyActions(view, own, sheets, chooser));
    }
}
