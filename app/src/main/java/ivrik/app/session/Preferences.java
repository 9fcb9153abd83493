package ivrik.app.session;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.IvrikException;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is remembered of the window between starts.
 *
 * @param memoryMb how much of memory pictures may take, in MB; 0 for half of what Java may have
 * @param exports how projects were exported the last time, by their files
 */
@RecordBuilder
public record Preferences(
        List<String> recent,
        boolean darkroom,
        double textScale,
        double trayShare,
        double closeUpShare,
        double deskShare,
        double timeShare,
        long memoryMb,
        Map<String, KeptExport> exports)
        implements PreferencesBuilder.With {
    public static final Preferences FIRST =
            new Preferences(List.of(), true, 1, 0.118, 0.795, 0.653, 0.4, 0, Map.of());
    private static final Logger LOG = LoggerFactory.getLogger(Preferences.class);
    private static final int RECENT = 8;
    private static final JsonMapper MAPPER =
            JsonMapper.builder()
                    .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                    .build();

    public Preferences {
        recent = List.copyOf(recent);
        exports = Map.copyOf(exports);
    }

    private static Path file(Path dataFolder) {
        return dataFolder.resolve("window.json");
    }

    /** Whether any were kept before. */
    public static boolean isKept(Path dataFolder) {
        return Files.exists(file(dataFolder));
    }

    /** Those remembered; the first ones if there are none or they are damaged. */
    public static Preferences load(Path dataFolder) {
        Path file = file(dataFolder);
        if (!Files.exists(file)) {
            return FIRST;
        }
        try {
            ObjectNode all = MAPPER.valueToTree(FIRST); // for what an older Ivrik did not know
            all.setAll((ObjectNode) MAPPER.readTree(ProjectFile.text(file)));
            return MAPPER.treeToValue(all, Preferences.class);
        } catch (JsonProcessingException | IvrikException | ClassCastException e) {
            LOG.warn("the remembered window settings were left aside", e);
            return FIRST;
        }
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

    /** With how a project was exported; those of projects that are no longer recent are let go. */
    public Preferences withExport(Path project, KeptExport export) {
        Map<String, KeptExport> next = new TreeMap<>(exports);
        next.keySet().retainAll(recent);
        next.put(project.toString(), export);
        return withExports(next);
    }

    public Preferences withShares(double tray, double closeUp, double desk, double time) {
        return with(p -> p.trayShare(tray).closeUpShare(closeUp).deskShare(desk).timeShare(time));
    }

    /** How much of memory pictures may take, in bytes; no more than this start can give. */
    public long pictureBytes() {
        long most = Runtime.getRuntime().maxMemory();
        return memoryMb == 0 ? most / 2 : Math.min(memoryMb << 20, most / 5 * 4);
    }
}
