package ivrik.app.session;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;

import ivrik.core.IvrikException;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** What is remembered of the window between starts. */
public record Settings(
        List<String> recent,
        boolean darkroom,
        double textScale,
        double trayShare,
        double closeUpShare,
        double deskShare,
        double timeShare) {
    public static final Settings FIRST = new Settings(List.of(), true, 1, 0.118, 0.795, 0.582, 0.4);
    private static final Logger LOG = LoggerFactory.getLogger(Settings.class);
    private static final int RECENT = 8;
    private static final JsonMapper MAPPER =
            JsonMapper.builder()
                    .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                    .build();

    public Settings {
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
    public static Settings load(Path dataFolder) {
        Path file = file(dataFolder);
        if (!Files.exists(file)) {
            return FIRST;
        }
        try {
            return MAPPER.readValue(ProjectFile.text(file), Settings.class);
        } catch (JsonProcessingException | IvrikException e) {
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

    public Settings withRecent(Path project) {
        List<String> next = new ArrayList<>(recent);
        next.remove(project.toString());
        next.addFirst(project.toString());
        return new Settings(
                next.subList(0, Math.min(RECENT, next.size())),
                darkroom,
                textScale,
                trayShare,
                closeUpShare,
                deskShare,
                timeShare);
    }

    public Settings withDarkroom(boolean d) {
        return new Settings(recent, d, textScale, trayShare, closeUpShare, deskShare, timeShare);
    }

    public Settings withTextScale(double t) {
        return new Settings(recent, darkroom, t, trayShare, closeUpShare, deskShare, timeShare);
    }

    public Settings withShares(double tray, double closeUp, double desk, double time) {
        return new Settings(recent, darkroom, textScale, tray, closeUp, desk, time);
    }
}
