package ivrik.media.encode;

import ivrik.core.UnknownNameException;
import ivrik.media.encode.Export.Order;

import java.util.List;

/** What pictures leave for, in plain words: a form with all its choices. */
public enum Preset {
    EDITING("editing", Forms.PRORES, Quality.FINEST, 1),
    WEB("the web", Forms.AV1, Quality.GOOD, 1),
    ALPHA("alpha kept", Forms.VP9, Quality.GOOD, 1),
    PREVIEW("a small preview", Forms.H264, Quality.SMALL, 0.5),
    STICKER("a sticker", Forms.WEBP, Quality.GOOD, 0.25),
    EXACT("nothing lost", Forms.FFV1, Quality.FINEST, 1);

    private final String title;
    private final Form form;
    private final Quality quality;
    private final double scale;

    Preset(String title, Form form, Quality quality, double scale) {
        this.title = title;
        this.form = form;
        this.quality = quality;
        this.scale = scale;
    }

    /** On the command line. */
    public String id() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    public String title() {
        return title;
    }

    public Form form() {
        return form;
    }

    public Quality quality() {
        return quality;
    }

    /** Of the sequence's size. */
    public double scale() {
        return scale;
    }

    /**
     * @throws UnknownNameException if there is none of that name
     */
    public static Preset named(String id) {
        return UnknownNameException.find("preset", id, List.of(values()), Preset::id);
    }

    /** An order with its form, quality and size. */
    public Order applied(Order order) {
        return order.with(
                o ->
                        o.form(form)
                                .quality(quality)
                                .sampling(form.samplings().getFirst())
                                .scale(scale));
    }
}
