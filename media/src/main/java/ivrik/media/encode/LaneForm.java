package ivrik.media.encode;

import ivrik.core.UnknownNameException;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** How treated lanes are written to files. */
public enum LaneForm {
    FLOAT("a float EXR for each lane, its values as they are", ".exr"),
    LAYERS("one float EXR with a part for each lane, as they are", ".exr"),
    GREYS("a 16-bit PNG in greys for each lane", ".png"),
    INKED("a 16-bit PNG in its ink for each lane", ".png");

    private final String title;
    private final String ending;

    LaneForm(String title, String ending) {
        this.title = title;
        this.ending = ending;
    }

    public String title() {
        return title;
    }

    public String ending() {
        return ending;
    }

    /** As it is called on the command line. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * @throws UnknownNameException if there is none of that id
     */
    public static LaneForm named(String id) {
        return Arrays.stream(values())
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "form of lanes",
                                        id,
                                        List.of(values()).stream().map(LaneForm::id).toList()));
    }
}
