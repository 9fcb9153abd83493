package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Session;

import javafx.stage.Stage;

import java.nio.file.Path;

/** What the project is called at the top of the window and in its title, and how it stands. */
record WindowName(Stage stage, Session session, Document document, Header header) {
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
                    case KEPT_ASIDE -> "not saved, kept aside";
                    case NOT_YET -> "not saved";
                };
        return document.isToLook() ? "opened to look, " + safe : safe;
    }
}
