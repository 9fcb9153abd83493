package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.KeptExport;
import ivrik.app.session.Session;
import ivrik.app.sheet.ExportSheet;
import ivrik.app.sheet.Sheets;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;
import ivrik.media.encode.Preset;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;

/** Opens the export sheet with what the project suggests. */
final class Exporting implements ExportSheet.Around {
    private final Session session;
    private final Document document;
    private final Remembered remembered;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    /** What was written the last time of a project that has no file yet. */
    private KeptExport before;

    Exporting(
            Session session,
            Document document,
            Remembered remembered,
            Sheets sheets,
            Supplier<Chooser> chooser) {
        this.session = session;
        this.document = document;
        this.remembered = remembered;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    void show() {
        open();
    }

    /** With a form chosen already. */
    void show(Form form) {
        open().choose(form);
    }

    /** With all choices of what the pictures leave for. */
    void show(Preset preset) {
        open().choose(preset);
    }

    private ExportSheet open() {
        Path project = document.file();
        Path first =
                project == null ? Path.of(System.getProperty("user.home")) : project.getParent();
        Path folder = kept().map(k -> Path.of(k.folder())).filter(Files::isDirectory).orElse(first);
        ExportSheet sheet =
                new ExportSheet(
                        session.project(),
                        project == null ? List.of() : List.of(project),
                        folder.resolve(name()),
                        sheets,
                        this);
        sheets.show(sheet, sheet.startButton());
        return sheet;
    }

    /** The project's name as a file is called. */
    private String name() {
        return session.project()
                .name()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-");
    }

    @Override
    public Path choose(Form form) {
        return chooser.get().exportTarget(form, name() + form.ending());
    }

    @Override
    public Optional<Export.Order> before() {
        return kept().flatMap(k -> k.of(session.project(), name()));
    }

    private Optional<KeptExport> kept() {
        Path project = document.file();
        return Optional.ofNullable(
                project == null ? before : remembered.get().exports().get(project.toString()));
    }

    @Override
    public void remember(Export.Order order) {
        Path project = document.file();
        if (project == null) {
            before = KeptExport.of(order);
        } else {
            remembered.change(p -> p.withExport(project, KeptExport.of(order)));
        }
    }

    @Override
    public void reveal(Path file) {
        Reveal.inItsFolder(file);
    }
}
