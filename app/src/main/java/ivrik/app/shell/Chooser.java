package ivrik.app.shell;

import ivrik.media.encode.Form;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.sound.WavFile;

import java.nio.file.Path;
import java.util.List;

/** Asks the user for files. Null or nothing means that none was chosen. */
interface Chooser {
    /** What is saved, each in a form of its own. */
    enum Saved {
        PROJECT("Save the project", "Ivrik projects", ProjectFile.ENDING),
        PICTURE("Save a picture", "PNG", ".png"),
        LOOK("Save the look", "Ivrik looks", LookLibrary.ENDING),
        PACKAGE("Pack with all footage", "Packages", ".zip"),
        SOUND("Save the sound", "WAV", WavFile.ENDING),
        TABLE("Save as a table, or as .cc", "Lookup tables", ".cube");

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

        /** What files of the form are called. */
        String files() {
            return files;
        }

        /** Of their names, with its dot. */
        String ending() {
            return ending;
        }
    }

    Path projectToOpen();

    List<Path> footage();

    Path oneSource(String name);

    /**
     * Where to save something.
     *
     * @param name that is suggested, without its ending
     */
    Path toSave(Saved what, String name);

    /** A folder to write into. */
    Path folder(String title);

    Path exportTarget(Form form, String name);
}
