package ivrik.media.encode;

import ivrik.core.UnknownNameException;

import java.util.Arrays;
import java.util.List;

/** How fully colour difference is kept beside luma. */
public enum Sampling {
    QUARTER("420", "usual (4:2:0)", 1, 1),
    HALF("422", "half across (4:2:2)", 1, 0),
    FULL("444", "whole, for colour splits (4:4:4)", 0, 0);

    private final String id;
    private final String title;
    final int across;
    final int down;

    /**
     * @param across log2 of how many pixels share a sample across
     * @param down likewise down
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
                                        "colour sampling",
                                        id,
                                        List.of(values()).stream().map(Sampling::id).toList()));
    }
}
