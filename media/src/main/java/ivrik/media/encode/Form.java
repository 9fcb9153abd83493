package ivrik.media.encode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;

import org.bytedeco.ffmpeg.avcodec.AVCodecContext;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A form in which pictures leave. {@link Forms} lists them. */
public abstract class Form {
    private final String id;
    private final String title;
    private final String ending;

    Form(String id, String title, String ending) {
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

    /** Of a file's name, with its dot. */
    public final String ending() {
        return ending;
    }

    /** Of a movie, FFmpeg's names of its container and its sound; empty for stills. */
    Optional<Container> container() {
        return Optional.empty();
    }

    /** Of the parts that a movie is made in: NUT keeps packets of any encoder as they are. */
    Container part() {
        return new Container("nut", "");
    }

    /**
     * How a movie is held: FFmpeg's names of the container and of the encoder of its sound.
     *
     * @param sound empty where it holds none
     * @param settings what the container is told by name
     */
    record Container(String name, String sound, Map<String, String> settings) {
        Container(String name, String sound) {
            this(name, sound, Map.of());
        }

        /** What players on the way need comes first. */
        static final Map<String, String> FOR_THE_WEB = Map.of("movflags", "+faststart+write_colr");

        boolean hasSound() {
            return !sound.isEmpty();
        }
    }

    public final boolean isMovie() {
        return container().isPresent();
    }

    /** Whether sound can be kept. */
    public final boolean keepsSound() {
        return container().filter(Container::hasSound).isPresent();
    }

    /** Whether packets that were made apart come together as one movie. */
    boolean isInParts() {
        return true;
    }

    /** Whether a choice of quality means anything. */
    public boolean hasQuality() {
        return false;
    }

    /** Whether pictures of its depth come back as they were, whatever the quality. */
    public boolean isExact() {
        return !hasQuality();
    }

    /** How fully colour can be kept, the usual way first. */
    public List<Sampling> samplings() {
        return List.of(Sampling.FULL);
    }

    /** Whether alpha can be kept. */
    public boolean keepsAlpha(Sampling sampling) {
        return true;
    }

    /** Whether what the numbers mean can be written down, and as finely as that asks for. */
    public boolean carries(ColourSpace space) {
        return space == ColourSpace.SRGB;
    }

    /** What width and height have to be multiples of. */
    int step(Sampling sampling) {
        return 1;
    }

    /** The least width and height. */
    int least() {
        return 1;
    }

    /** FFmpeg's name of the encoder. */
    abstract String encoder(Sampling sampling);

    /** FFmpeg's pixel layout for samples of a depth. */
    abstract int pixelFormat(Depth depth, boolean alpha, Sampling sampling);

    /** Whether pictures leave as red, green and blue, not as luma and colour difference. */
    abstract boolean isRgb();

    /** Sets the encoder up; returns what else it is told by name. */
    Map<String, String> settings(AVCodecContext video, MovieWriter.Options options) {
        return Map.of();
    }

    @Override
    public final String toString() {
        return id;
    }
}
