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
public record Preferences(
        List<String> recent,
        boolean darkroom,
        double textScale,
        double trayShare,
        double closeUpShare,
        double deskShare,
        double timeShare) {
    public static final Preferences FIRST =
            new Preferences(List.of(), true, 1, 0.118, 0.795, 0.582, 0.4);
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
            return MAPPER.readValue(ProjectFile.text(file), Preferences.class);
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

    public Preferences withRecent(Path project) {
        List<String> next = new ArrayList<>(recent);
        next.remove(project.toString());
        next.addFirst(project.toString());
        return new Preferences(
                next.subList(0, Math.min(RECENT, next.size())),
                darkroom,
                textScale,
                trayShare,
                closeUpShare,
                deskShare,
                timeShare);
    }

    public Preferences withDarkroom(boolean d) {
        return new Preferences(recent, d, textScale, trayShare, closeUpShare, deskShare, timeShare);
    }

    public Preferences withTextScale(double t) {
        return new Preferences(recent, darkroom, t, trayShare, closeUpShare, deskShare, timeShare);
    }

    public Preferences withShares(double tray, double closeUp, double desk, double time) {
        return new Preferences(recent, darkroom, textScale, tray, closeUp, desk, time);
    }
}
