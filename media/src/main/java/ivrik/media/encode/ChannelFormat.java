package ivrik.media.encode;

import ivrik.core.UnknownNameException;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** File formats of exported channels. */
public enum ChannelFormat {
    FLOAT("one float EXR per channel, unclamped values", ".exr"),
    LAYERS("one multi-part float EXR, unclamped values", ".exr"),
    GREYS("one 16-bit grey PNG per channel", ".png"),
    INKED("one 16-bit PNG per channel, in its ink", ".png");

    private final String title;
    private final String ending;

    ChannelFormat(String title, String ending) {
        this.title = title;
        this.ending = ending;
    }

    public String title() {
        return title;
    }

    public String ending() {
        return ending;
    }

    /** Name on the command line. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * @throws UnknownNameException if there is no such format
     */
    public static ChannelFormat named(String id) {
        return Arrays.stream(values())
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "channel format",
                                        id,
                                        List.of(values()).stream()
                                                .map(ChannelFormat::id)
                                                .toList()));
    }
}
