package ivrik.app.session;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.IvrikException;
import ivrik.media.encode.Quality;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Settings of the window that persist between sessions.
 *
 * @param memoryMb memory for pictures in MB; 0 for half of Java's limit
 * @param window x, y, width and height of the window; empty at the first start
 * @param exports last export settings by project file
 * @param folders folder last used for each purpose of a file dialog
 */
@RecordBuilder
public record Preferences(
        List<String> recent,
        boolean darkroom,
        double textScale,
        double trayShare,
        double controlsShare,
        double deskShare,
        double timeShare,
        long memoryMb,
        List<Double> window,
        Map<String, SavedExportSettings> exports,
        Map<String, String> folders)
        implements PreferencesBuilder.With {
    public static final Preferences FIRST =
            new Preferences(
                    List.of(), true, 1, 0.118, 0.795, 0.653, 0.4, 0, List.of(), Map.of(), Map.of());
    private static final Logger LOG = LoggerFactory.getLogger(Preferences.class);
    private static final int RECENT = 8;
    private static final JsonMapper MAPPER =
            JsonMapper.builder()
                    .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                    .build();

    public Preferences {
        recent = List.copyOf(recent);
        window = List.copyOf(window);
        exports = Map.copyOf(exports);
        folders = Map.copyOf(folders);
    }

    private static Path file(Path dataFolder) {
        return dataFolder.resolve("window.json");
    }

    /** Whether settings were saved before. */
    public static boolean isKept(Path dataFolder) {
        return Files.exists(file(dataFolder));
    }

    /** The saved settings; the defaults if there are none or they are damaged. */
    public static Preferences load(Path dataFolder) {
        Path file = file(dataFolder);
        if (!Files.exists(file)) {
            return FIRST;
        }
        try {
            ObjectNode all =
                    MAPPER.valueToTree(
                            FIRST); // defaults for settings that an older version did not have
            all.setAll(present((ObjectNode) MAPPER.readTree(ProjectFile.text(file))));
            return MAPPER.treeToValue(all, Preferences.class);
        } catch (JsonProcessingException | IvrikException | ClassCastException e) {
            LOG.warn("damaged window settings were ignored", e);
            return FIRST;
        }
    }

    /** Converts names of earlier versions. */
    private static ObjectNode present(ObjectNode read) {
        if (read.has("closeUpShare")) {
            read.set("controlsShare", read.remove("closeUpShare"));
        }
        for (JsonNode export : read.path("exports")) {
            if (export instanceof ObjectNode settings && settings.has("form")) {
                settings.set("format", settings.remove("form"));
                if (settings.path("quality").asText().equals("FINEST")) {
                    settings.put("quality", Quality.BEST.name());
                }
            }
        }
        return read;
    }

    public void save(Path dataFolder) {
        try {
            SafeFile.write(file(dataFolder), MAPPER.writeValueAsString(this));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    public Preferences withRecent(Path project) {
        List<String> next = new ArrayList<>(recent);
        next.remove(project.toString());
        next.addFirst(project.toString());
        return withRecent(next.subList(0, Math.min(RECENT, next.size())));
    }

    /** These settings with the folder last used for a purpose. */
    public Preferences withFolder(String purpose, Path folder) {
        Map<String, String> next = new TreeMap<>(folders);
        next.put(purpose, folder.toString());
        return withFolders(next);
    }

    /** The folder last used for a purpose, if it still exists. */
    public Optional<Path> folder(String purpose) {
        return Optional.ofNullable(folders.get(purpose)).map(Path::of).filter(Files::isDirectory);
    }

    /**
     * These settings with an export added; those of projects that are no longer recent are dropped.
     */
    public Preferences withExport(Path project, SavedExportSettings export) {
        Map<String, SavedExportSettings> next = new TreeMap<>(exports);
        next.keySet().retainAll(recent);
        next.put(project.toString(), export);
        return withExports(next);
    }

    /**
     * The export settings of a project that was saved to another file; those of a project that was replaced
     * are dropped.
     *
     * @param was the former file; null if there was none
     */
    public Preferences withExportMoved(Path was, Path is) {
        if (is.equals(was)) {
            return this;
        }
        Map<String, SavedExportSettings> next = new TreeMap<>(exports);
        SavedExportSettings own = was == null ? null : next.get(was.toString());
        if (own == null) {
            next.remove(is.toString());
        } else {
            next.put(is.toString(), own);
        }
        return withExports(next);
    }

    public Preferences withShares(double tray, double controls, double desk, double time) {
        return with(p -> p.trayShare(tray).controlsShare(controls).deskShare(desk).timeShare(time));
    }

    /** Memory for pictures in bytes, limited to what this process can use. */
    public long pictureBytes() {
        long most = Runtime.getRuntime().maxMemory();
        return memoryMb == 0 ? most / 2 : Math.min(memoryMb << 20, most / 5 * 4);
    }
}
