package ivrik.media.encode;

import ivrik.core.UnknownNameException;
import ivrik.media.encode.Export.Order;

import java.util.List;
import java.util.Map;

/** Export presets: a format with all its settings. */
public enum Preset {
    EDITING("Editing", ExportFormats.PRORES, Quality.BEST, 1),
    WEB("Web", ExportFormats.AV1, Quality.GOOD, 1),
    ALPHA("With alpha", ExportFormats.VP9, Quality.GOOD, 1),
    PREVIEW("Small preview", ExportFormats.H264, Quality.SMALL, 0.5),
    ANIMATED_IMAGE("Animated image", ExportFormats.WEBP, Quality.GOOD, 0.25),
    LOSSLESS("Lossless master", ExportFormats.FFV1, Quality.BEST, 1);

    /** Current names, by names of earlier versions. */
    private static final Map<String, String> FORMER =
            Map.of("sticker", "animated-image", "exact", "lossless");

    private final String title;
    private final ExportFormat format;
    private final Quality quality;
    private final double scale;

    Preset(String title, ExportFormat format, Quality quality, double scale) {
        this.title = title;
        this.format = format;
        this.quality = quality;
        this.scale = scale;
    }

    /** Name on the command line. */
    public String id() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    public String title() {
        return title;
    }

    public ExportFormat format() {
        return format;
    }

    public Quality quality() {
        return quality;
    }

    /** Relative to the sequence's size. */
    public double scale() {
        return scale;
    }

    /**
     * @throws UnknownNameException if there is no such preset
     */
    public static Preset named(String id) {
        String present = FORMER.get(id);
        if (present != null) {
            throw UnknownNameException.renamed("preset", id, present);
        }
        return UnknownNameException.find("preset", id, List.of(values()), Preset::id);
    }

    /** An export with the preset's format, quality and size. */
    public Order applied(Order order) {
        return order.with(
                o ->
                        o.format(format)
                                .quality(quality)
                                .sampling(format.samplings().getFirst())
                                .scale(scale));
    }
}
