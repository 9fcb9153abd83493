package ivrik.core.colour;

import ivrik.core.UnknownNameException;

import java.util.Arrays;
import java.util.List;

/** Colour spaces that a sequence can have. */
public enum ColourSpace {
    SRGB("srgb", "BT.709 and sRGB", Primaries.SRGB, Transfer.SRGB),
    DISPLAY_P3("display-p3", "Display P3", Primaries.DISPLAY_P3, Transfer.SRGB),
    BT2020("bt2020", "BT.2020", Primaries.BT2020, Transfer.BT1886),
    BT2100_PQ("bt2100-pq", "BT.2100, PQ", Primaries.BT2020, Transfer.PQ),
    BT2100_HLG("bt2100-hlg", "BT.2100, HLG", Primaries.BT2020, Transfer.HLG);

    private final String id;
    private final String title;
    private final Primaries primaries;
    private final Transfer transfer;

    ColourSpace(String id, String title, Primaries primaries, Transfer transfer) {
        this.id = id;
        this.title = title;
        this.primaries = primaries;
        this.transfer = transfer;
    }

    /** Name in files and on the command line. */
    public String id() {
        return id;
    }

    /** Name in the window. */
    public String title() {
        return title;
    }

    public Primaries primaries() {
        return primaries;
    }

    public Transfer transfer() {
        return transfer;
    }

    /** Whether values brighter than reference white are stored. */
    public boolean isHighRange() {
        return transfer == Transfer.PQ || transfer == Transfer.HLG;
    }

    /**
     * @throws UnknownNameException if no colour space has this name
     */
    public static ColourSpace named(String id) {
        return Arrays.stream(values())
                .filter(c -> c.id.equals(id))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnknownNameException(
                                        "colour space",
                                        id,
                                        List.of(values()).stream().map(ColourSpace::id).toList()));
    }
}
