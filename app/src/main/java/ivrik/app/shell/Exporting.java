package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Session;
import ivrik.app.sheet.ExportSheet;
import ivrik.app.sheet.Sheets;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;

/** Opens the export sheet with what the project suggests. */
final class Exporting implements ExportSheet.Around {
    private final Session session;
    private final Document document;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    /** What was written the last time, and of which project. */
    private Export.Order before;

    private Path of;

    Exporting(Session session, Document document, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.document = document;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    void show() {
        Path project = document.file();
        Path folder =
                project == null ? Path.of(System.getProperty("user.home")) : project.getParent();
        ExportSheet sheet =
                new ExportSheet(
                        session.project(),
                        project == null ? List.of() : List.of(project),
                        folder.resolve(name()),
                        sheets,
                        this);
        sheets.show(sheet, sheet.startButton());
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
        return Optional.ofNullable(before).filter(b -> Objects.equals(of, document.file()));
    }

    @Override
    public void remember(Export.Order order) {
        before = order;
        of = document.file();
    }

    @Override
    public void reveal(Path file) {
        Reveal.inItsFolder(file);
    }
}
