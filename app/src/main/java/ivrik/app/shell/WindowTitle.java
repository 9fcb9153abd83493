package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Session;

import javafx.stage.Stage;

import java.nio.file.Path;

/** Project name and state in the header and the window's title. */
record WindowTitle(Stage stage, Session session, Document document, Header header) {
    void show() {
        Path file = document.file();
        boolean saved = session.isSaved();
        String shown =
                file != null && session.project().name().equals(Document.UNTITLED)
                        ? file.getFileName().toString().replaceFirst("\\.ivrik$", "")
                        : session.project().name();
        header.showName(shown, standing(file));
        stage.setTitle(shown + (saved ? "" : " *") + " - Ivrik");
    }

    private String standing(Path file) {
        if (session.project().isEmpty() && file == null) {
            return "";
        }
        String safe =
                switch (document.safetyProperty().get()) {
                    case SAVED -> "saved";
                    case KEPT_ASIDE -> "unsaved changes (backed up)";
                    case NOT_YET -> "unsaved changes";
                };
        return document.isReadOnly() ? "read-only, " + safe : safe;
    }
}
