package ivrik.app.shell;

import ivrik.app.session.Preferences;
import ivrik.core.IvrikException;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.function.UnaryOperator;

/** The persistent settings of the window, with change listeners. */
final class SavedPreferences {
    private static final Logger LOG = LoggerFactory.getLogger(SavedPreferences.class);

    private final Path dataFolder;
    private final boolean first;
    private Preferences settings;
    private Runnable changed = () -> {};

    SavedPreferences(Path dataFolder) {
        this.dataFolder = dataFolder;
        this.first = !Preferences.isKept(dataFolder);
        this.settings = Preferences.load(dataFolder);
    }

    /** Whether no settings were saved: the first start. */
    boolean isFirst() {
        return first;
    }

    Preferences get() {
        return settings;
    }

    void onChange(Runnable action) {
        changed = action;
    }

    void change(UnaryOperator<Preferences> change) {
        settings = change.apply(settings);
        changed.run();
    }

    void save() {
        try {
            settings.save(dataFolder);
        } catch (IvrikException e) {
            LOG.warn("the window settings could not be saved", e);
        }
    }
}
