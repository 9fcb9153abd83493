package ivrik.app.shell;

import ivrik.media.encode.Form;

import java.nio.file.Path;
import java.util.List;

/** Asks the user for files. Null or nothing means that none was chosen. */
interface Chooser {
    Path projectToOpen();

    Path projectToSave(String name);

    List<Path> footage();

    Path oneSource(String name);

    /** Where to write one picture. */
    Path picture(String name);

    /** Where to write a look. */
    Path lookToSave(String name);

    /** Where to write a package. */
    Path packageToSave(String name);

    /** Where to write the sound by itself. */
    Path soundToSave(String name);

    Path exportTarget(Form form, String name);
}
