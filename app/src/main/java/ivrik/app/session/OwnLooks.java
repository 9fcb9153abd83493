package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.look.Look;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.LookLibrary.Contents;
import ivrik.media.file.LookLibrary.SavedLook;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** The user's looks for the window; files are read and written off the interface thread. */
public final class OwnLooks {
    private final LookLibrary library;
    private final Consumer<IvrikException> failed;
    private final ReadOnlyObjectWrapper<List<SavedLook>> all =
            new ReadOnlyObjectWrapper<>(List.of());
    private final FileTasks files;

    /**
     * @param publisher executes on the interface thread
     * @param failed receives errors, on the interface thread
     */
    public OwnLooks(LookLibrary library, Executor publisher, Consumer<IvrikException> failed) {
        this.library = library;
        this.files = new FileTasks("ivrik-looks", publisher);
        this.failed = failed;
    }

    /** All looks, sorted by title. */
    public ReadOnlyObjectProperty<List<SavedLook>> all() {
        return all.getReadOnlyProperty();
    }

    /**
     * Reads the looks again.
     *
     * @param faults receives messages about unreadable files, if any
     */
    public void read(Consumer<List<String>> faults) {
        work(
                library::contents,
                contents -> {
                    show(contents);
                    if (!contents.faults().isEmpty()) {
                        faults.accept(contents.faults());
                    }
                });
    }

    /** Whether a look of this name exists. */
    public boolean contains(Look look) {
        return all.get().stream().anyMatch(k -> k.look().name().equals(look.name()));
    }

    /**
     * Saves a look; replaces one of the same name.
     *
     * @param picture renders the thumbnail as PNG, off the interface thread
     */
    public void save(Look look, Supplier<byte[]> picture, Runnable then) {
        change(() -> library.save(look, picture.get()), then);
    }

    public void remove(SavedLook kept) {
        change(() -> library.remove(kept.file()), () -> {});
    }

    private void change(Runnable action, Runnable then) {
        work(
                () -> {
                    action.run();
                    return library.contents();
                },
                contents -> {
                    show(contents);
                    then.run();
                });
    }

    /** Reads any look file. */
    public void open(Path file, Consumer<SavedLook> then) {
        work(() -> LookLibrary.read(file), then);
    }

    /** Writes a look to any file. */
    public void write(Look look, Supplier<byte[]> picture, Path file, Runnable then) {
        work(
                () -> {
                    LookLibrary.write(look, picture.get(), file);
                    return file;
                },
                written -> then.run());
    }

    private void show(Contents contents) {
        all.set(contents.looks());
    }

    /** Runs a file operation off the interface thread; the result is reported on it. */
    public <T> void work(Supplier<T> work, Consumer<T> then) {
        files.run(work, then, failed);
    }
}
