package ivrik.media.encode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** An export format. {@link ExportFormats} lists them. */
public abstract class ExportFormat {
    private final String id;
    private final String title;
    private final String ending;

    ExportFormat(String id, String title, String ending) {
        this.id = id;
        this.title = title;
        this.ending = ending;
    }

    /** The name on the command line. */
    public final String id() {
        return id;
    }

    public final String title() {
        return title;
    }

    /** File extension with its dot. */
    public final String ending() {
        return ending;
    }

    /** Container of a movie; empty for stills. */
    Optional<Container> container() {
        return Optional.empty();
    }

    /** Container of movie segments: NUT stores packets of any encoder unchanged. */
    Container part() {
        return new Container("nut", "");
    }

    /**
     * A container format.
     *
     * @param name FFmpeg's name
     * @param sound FFmpeg's name of the sound encoder; empty for no sound
     * @param settings container options
     */
    record Container(String name, String sound, Map<String, String> settings) {
        Container(String name, String sound) {
            this(name, sound, Map.of());
        }

        /** Options for streaming: the index comes first. */
        static final Map<String, String> FOR_THE_WEB = Map.of("movflags", "+faststart+write_colr");

        boolean hasSound() {
            return !sound.isEmpty();
        }
    }

    public final boolean isMovie() {
        return container().isPresent();
    }

    /** Whether the format stores sound. */
    public final boolean keepsSound() {
        return container().filter(Container::hasSound).isPresent();
    }

    /** Whether separately encoded segments can be joined. */
    boolean isInParts() {
        return true;
    }

    /** Whether quality settings have an effect. */
    public boolean hasQuality() {
        return false;
    }

    /** Whether pictures of the format's depth are stored losslessly at any quality. */
    public boolean isExact() {
        return !hasQuality();
    }

    /** Chroma subsamplings, the default first. */
    public List<Sampling> samplings() {
        return List.of(Sampling.FULL);
    }

    /** Whether alpha is stored. */
    public boolean keepsAlpha(Sampling sampling) {
        return true;
    }

    /** Whether the format can tag a colour space and has enough depth for it. */
    public boolean carries(ColourSpace space) {
        return space == ColourSpace.SRGB;
    }

    /** Required divisor of width and height. */
    int step(Sampling sampling) {
        return 1;
    }

    /** Smallest width and height. */
    int least() {
        return 1;
    }

    /** FFmpeg's name of the encoder. */
    abstract String encoder(Sampling sampling);

    /** FFmpeg's pixel format for a sample depth. */
    abstract int pixelFormat(Depth depth, boolean alpha, Sampling sampling);

    /** Whether pictures are stored as red, green and blue instead of luma and colour difference. */
    abstract boolean isRgb();

    /** Configures the encoder; returns further named options. */
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        return Map.of();
    }

    @Override
    public final String toString() {
        return id;
    }
}
