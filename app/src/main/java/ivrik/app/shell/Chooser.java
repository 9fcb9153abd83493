package ivrik.app.shell;

import ivrik.media.encode.ExportFormat;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.sound.WavFile;

import java.nio.file.Path;
import java.util.List;

/** File dialogs. Null or an empty list if cancelled. */
interface Chooser {
    /** What is saved, each with its file type. */
    enum Saved {
        PROJECT("Save project", "Ivrik projects", ProjectFile.ENDING),
        PICTURE("Export image", "PNG", ".png"),
        LOOK("Save look", "Ivrik looks", LookLibrary.ENDING),
        PACKAGE("Package project", "Ivrik packages", ".zip"),
        SOUND("Export sound", "WAV", WavFile.ENDING),
        TABLE("Export lookup table or CDL", "Lookup tables", ".cube"),
        KEYS("Save keys", "Web pages", ".html");

        private final String title;
        private final String files;
        private final String ending;

        Saved(String title, String files, String ending) {
            this.title = title;
            this.files = files;
            this.ending = ending;
        }

        String title() {
            return title;
        }

        /** Name of the file type. */
        String files() {
            return files;
        }

        /** Extension with its dot. */
        String ending() {
            return ending;
        }
    }

    Path projectToOpen();

    List<Path> footage();

    Path oneSource(String name);

    /**
     * Asks for a file to save.
     *
     * @param name suggested name without extension
     */
    Path toSave(Saved what, String name);

    /** Asks for a folder. */
    Path folder(String title);

    Path exportTarget(ExportFormat format, String name);
}
