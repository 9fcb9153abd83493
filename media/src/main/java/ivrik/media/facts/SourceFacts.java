package ivrik.media.facts;

import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.sound.SoundTracks;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * Description of a source's file, and the choices it offers.
 *
 * @param colours colour interpretation by the file's tags
 */
public record SourceFacts(
        String format,
        String depth,
        String colours,
        List<String> layers,
        List<SoundTracks.Track> tracks,
        List<String> notices) {
    /**
     * @throws ivrik.core.IvrikException if the file is missing or unreadable
     */
    public static SourceFacts of(Source source) {
        Path file = Path.of(source.path());
        try (Footage footage = Footage.open(file, source.settings(), Workers.shared())) {
            return new SourceFacts(
                    footage.format(),
                    footage.depth().name().toLowerCase(Locale.ROOT),
                    footage.colours().text(),
                    footage.layers(),
                    SoundTracks.of(file),
                    footage.notices(file));
        }
    }
}
