package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.SavedExportSettings;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.ExportSheet;
import ivrik.app.sheet.Sheets;
import ivrik.core.project.StillProject;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.Preset;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;

/** Opens the export sheet with the project's last settings. */
final class Exporting implements ExportSheet.Host {
    private final Session session;
    private final View view;
    private final Document document;
    private final SavedPreferences remembered;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    /** Last settings of the open project in this window; null if it was not exported here. */
    private SavedExportSettings before;

    Exporting(
            Session session,
            View view,
            Document document,
            SavedPreferences remembered,
            Sheets sheets,
            Supplier<Chooser> chooser) {
        this.session = session;
        this.view = view;
        this.document = document;
        this.remembered = remembered;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Forgets the settings of the former project when another is opened. */
    void forget() {
        before = null;
    }

    /** Opens the sheet if there is anything to export; a still is exported as a PNG by default. */
    void show() {
        if (session.project().layers().isEmpty()) {
            return;
        }
        ExportSheet sheet = open();
        if (before().isEmpty() && StillProject.is(session.project())) {
            sheet.chooseFrame();
        }
    }

    /** Opens the sheet for a PNG of the present frame. */
    void showFrame() {
        open().chooseFrame();
    }

    /** Opens the sheet with a format. */
    void show(ExportFormat format) {
        open().choose(format);
    }

    /** Opens the sheet with a preset. */
    void show(Preset preset) {
        open().choose(preset);
    }

    private ExportSheet open() {
        view.playing.set(false);
        Path project = document.file();
        Path first =
                project == null ? Path.of(System.getProperty("user.home")) : project.getParent();
        Path folder = kept().map(k -> Path.of(k.folder())).filter(Files::isDirectory).orElse(first);
        ExportSheet sheet =
                new ExportSheet(
                        session.project(),
                        view.frame.get(),
                        project == null ? List.of() : List.of(project),
                        folder.resolve(name()),
                        sheets,
                        this);
        sheets.show(sheet, sheet.startButton());
        return sheet;
    }

    /** The project's name as a file name. */
    private String name() {
        return session.project()
                .name()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-");
    }

    @Override
    public Path choose(ExportFormat format) {
        return chooser.get().exportTarget(format, name() + format.ending());
    }

    @Override
    public Optional<Export.Order> before() {
        return kept().flatMap(k -> k.of(session.project(), name()));
    }

    private Optional<SavedExportSettings> kept() {
        Path project = document.file();
        return Optional.ofNullable(before)
                .or(
                        () ->
                                Optional.ofNullable(project)
                                        .map(p -> remembered.get().exports().get(p.toString())));
    }

    @Override
    public void remember(Export.Order order) {
        Path project = document.file();
        before = SavedExportSettings.of(order);
        if (project != null) {
            remembered.change(p -> p.withExport(project, SavedExportSettings.of(order)));
        }
    }

    @Override
    public void reveal(Path file) {
        ShowInFolder.inItsFolder(file);
    }
}
