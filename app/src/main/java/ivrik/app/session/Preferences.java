package ivrik.app.session;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.IvrikException;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * What is remembered of the window between starts.
 *
 * @param memoryMb how much of memory pictures may take, in MB; 0 for half of what Java may have
 */
public record Preferences(
        List<String> recent,
        boolean darkroom,
        double textScale,
        double trayShare,
        double closeUpShare,
        double deskShare,
        double timeShare,
        long memoryMb) {
    public static final Preferences FIRST =
            new Preferences(List.of(), true, 1, 0.118, 0.795, 0.653, 0.4, 0);
    private static final Logger LOG = LoggerFactory.getLogger(Preferences.class);
    private static final int RECENT = 8;
    private static final JsonMapper MAPPER =
            JsonMapper.builder()
                    .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                    .build();

    public Preferences {
        recent = List.copyOf(recent);
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
        return with(next.subList(0, Math.min(RECENT, next.size())), darkroom, textScale, memoryMb);
    }

    public Preferences withDarkroom(boolean d) {
        return with(recent, d, textScale, memoryMb);
    }

    public Preferences withTextScale(double t) {
        return with(recent, darkroom, t, memoryMb);
    }

    public Preferences withMemoryMb(long m) {
        return with(recent, darkroom, textScale, m);
    }

    private Preferences with(List<String> r, boolean d, double t, long m) {
        return new Preferences(r, d, t, trayShare, closeUpShare, deskShare, timeShare, m);
    }

    public Preferences withShares(double tray, double closeUp, double desk, double time) {
        return new Preferences(recent, darkroom, textScale, tray, closeUp, desk, time, memoryMb);
    }

    /** How much of memory pictures may take, in bytes; no more than this start can give. */
    public long pictureBytes() {
        long most = Runtime.getRuntime().maxMemory();
        return memoryMb == 0 ? most / 2 : Math.min(memoryMb << 20, most / 5 * 4);
    }
}
