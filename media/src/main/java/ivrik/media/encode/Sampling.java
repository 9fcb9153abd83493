package ivrik.media.encode;

import ivrik.core.UnknownNameException;

import java.util.Arrays;
import java.util.List;

/** Chroma subsampling. */
public enum Sampling {
    QUARTER("420", "4:2:0 (standard)", 1, 1),
    HALF("422", "4:2:2 (half horizontal)", 1, 0),
    FULL("444", "4:4:4 (full, for colour splits)", 0, 0);

    private final String id;
    private final String title;
    final int across;
    final int down;

    /**
     * @param across log2 of the pixels per sample horizontally
     * @param down log2 of the pixels per sample vertically
     */
    Sampling(String id, String title, int across, int down) {
        this.id = id;
        this.title = title;
        this.across = across;
        this.down = down;
    }

    /** The name on the command line. */
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    public static Sampling named(String id) {
        return Arrays.stream(values())
                .filter(s -> s.id.equals(id.replace(":", "")))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "chroma sampling",
                                        id,
                                        List.of(values()).stream().map(Sampling::id).toList()));
    }
}
