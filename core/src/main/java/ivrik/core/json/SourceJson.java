package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.separation.Ink;

import java.util.Optional;

/** Reads and writes a source: a clip or a graphic. */
final class SourceJson {
    /** Longest side of a picture in pixels. */
    static final int LONGEST_SIDE = 16384;

    static final Rational SLOWEST = new Rational(1, 100);
    static final Rational FASTEST = Rational.of(1000);

    private static final int MAX_TRACKS = 1000;
    private static final double LARGEST_LETTERS_PX = 10000;

    private SourceJson() {}

    static ObjectNode write(Source source) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("id", source.id())
                        .put("name", source.name())
                        .put("path", source.path())
                        .put("kind", EnumNames.of(source.kind()));
        node.putArray("size").add(source.size().width()).add(source.size().height());
        node.put("rate", source.rate().toString())
                .put("frames", source.frames())
                .put("sound", source.sound());
        source.title().ifPresent(title -> node.set("title", write(title)));
        if (!source.settings().equals(Source.FootageSettings.AUTOMATIC)) {
            ObjectNode reading = node.putObject("settings");
            source.settings().soundTrack().ifPresent(track -> reading.put("soundTrack", track));
            source.settings().imageLayer().ifPresent(layer -> reading.put("imageLayer", layer));
            source.settings().colourSpace().ifPresent(s -> reading.put("colourSpace", s.id()));
            reading.put("countFrames", source.settings().countFrames())
                    .put("noConversion", source.settings().noConversion());
        }
        return node;
    }

    private static ObjectNode write(Title title) {
        return Json.MAPPER
                .createObjectNode()
                .put("text", title.text())
                .put("family", title.family())
                .put("weight", title.weight())
                .put("sizePx", title.sizePx())
                .put("tracking", title.tracking())
                .put("align", EnumNames.of(title.align()))
                .put("colour", title.colour().hex());
    }

    static Source read(Fields fields) {
        String id = fields.text("id");
        Source.Kind kind = fields.choice("kind", Source.Kind.MOVIE);
        return new Source(
                id,
                fields.text("name", id),
                fields.text("path", ""),
                kind,
                size(fields),
                fields.rate("rate", SLOWEST, FASTEST),
                fields.whole("frames", 1, 1, ValueJson.MAX_FRAMES),
                fields.flag("sound", false),
                fields.optional("title", SourceJson::title),
                fields.read("settings", Source.FootageSettings.AUTOMATIC, SourceJson::settings));
    }

    static Size size(Fields fields) {
        int[] sides = fields.pair("size", 1, LONGEST_SIDE);
        return new Size(sides[0], sides[1]);
    }

    private static Title title(Fields fields) {
        Title rest = Title.EMPTY;
        Title title =
                new Title(
                        fields.text("text", rest.text()),
                        fields.text("family", rest.family()),
                        (int) fields.whole("weight", rest.weight(), 1, 1000),
                        fields.number("sizePx", rest.sizePx(), 1, LARGEST_LETTERS_PX),
                        fields.number("tracking", rest.tracking(), -1000, 10000),
                        fields.choice("align", rest.align()),
                        fields.named("colour", rest.colour(), Ink::parse));
        fields.finish();
        return title;
    }

    private static Source.FootageSettings settings(Fields fields) {
        return new Source.FootageSettings(
                fields.has("soundTrack")
                        ? Optional.of((int) fields.whole("soundTrack", 0, MAX_TRACKS))
                        : Optional.empty(),
                fields.has("imageLayer")
                        ? Optional.of(fields.text("imageLayer"))
                        : Optional.empty(),
                fields.flag("countFrames", false),
                fields.flag("noConversion", false),
                fields.has("colourSpace")
                        ? Optional.of(
                                fields.named("colourSpace", ColourSpace.SRGB, ColourSpace::named))
                        : Optional.empty());
    }
}
