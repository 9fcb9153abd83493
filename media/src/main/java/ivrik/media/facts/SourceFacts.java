package ivrik.media.facts;

import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.sound.SoundTracks;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * What a source's file is, in words, and what can be chosen of it.
 *
 * @param colours what its tags say of them
 */
public record SourceFacts(
        String form,
        String depth,
        String colours,
        List<String> layers,
        List<SoundTracks.Track> tracks,
        List<String> remarks) {
    /**
     * @throws ivrik.core.IvrikException if it is missing or cannot be read
     */
    public static SourceFacts of(Source source) {
        Path file = Path.of(source.path());
        try (Footage footage = Footage.open(file, source.reading(), Workers.shared())) {
            return new SourceFacts(
                    footage.form(),
                    footage.depth().name().toLowerCase(Locale.ROOT),
                    footage.colours().word(),
                    footage.layers(),
                    SoundTracks.of(file),
                    footage.remarks(file));
        }
    }
}
