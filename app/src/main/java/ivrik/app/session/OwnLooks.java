package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.look.Look;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.LookLibrary.Contents;
import ivrik.media.file.LookLibrary.Kept;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** The looks that the user has kept, as the window shows them; files are read and written off its thread. */
public final class OwnLooks {
    private final LookLibrary library;
    private final Consumer<IvrikException> failed;
    private final ReadOnlyObjectWrapper<List<Kept>> all = new ReadOnlyObjectWrapper<>(List.of());
    private final FileWork files;

    /**
     * @param publisher runs on the interface thread
     * @param failed told of what could not be done, on that thread
     */
    public OwnLooks(LookLibrary library, Executor publisher, Consumer<IvrikException> failed) {
        this.library = library;
        this.files = new FileWork("ivrik-looks", publisher);
        this.failed = failed;
    }

    /** All, by their titles. */
    public ReadOnlyObjectProperty<List<Kept>> all() {
        return all.getReadOnlyProperty();
    }

    /**
     * Reads them anew.
     *
     * @param faults told of those that cannot be read at all, if there are any
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

    /** Whether one is kept under a look's name. */
    public boolean holds(Look look) {
        return all.get().stream().anyMatch(k -> k.look().name().equals(look.name()));
    }

    /**
     * Keeps one, in the place of that of its name.
     *
     * @param picture makes the bytes of a small PNG of it, off the interface thread
     */
    public void keep(Look look, Supplier<byte[]> picture, Runnable then) {
        change(() -> library.keep(look, picture.get()), then);
    }

    public void remove(Kept kept) {
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

    /** Reads a look file from anywhere. */
    public void open(Path file, Consumer<Kept> then) {
        work(() -> LookLibrary.read(file), then);
    }

    /** Writes a look to anywhere. */
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

    /** Work with files of looks, off the interface thread; what comes of it is told on it. */
    public <T> void work(Supplier<T> work, Consumer<T> then) {
        files.run(work, then, failed);
    }
}
