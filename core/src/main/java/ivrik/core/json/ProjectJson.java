package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Placement;
import ivrik.core.motion.Value;
import ivrik.core.project.Background;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Loudness;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.project.Take;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Ink;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Reads and writes projects as JSON; {@code docs/project.schema.json} describes the format. */
public final class ProjectJson {
    static final String FORMAT = "ivrik-project";

    private static final long MAX = ValueJson.MAX_FRAMES;

    /** The look of a layer that lists none. */
    private static final LayerLook FIRST_LOOK =
            new LayerLook(LayerLook.FIRST, BuiltInLooks.named("neutral"), true);

    private ProjectJson() {}

    /**
     * A project as far as it could be read.
     *
     * @param problems one message per error
     */
    public record Reading(Project project, List<String> problems) {}

    public static String write(Project project) {
        ObjectNode root = FileHeader.write(FORMAT).put("name", project.name());
        root.set("sequence", write(project.sequence()));
        ArrayNode sources = root.putArray("sources");
        project.sources().forEach(source -> sources.add(SourceJson.write(source)));
        ArrayNode layers = root.putArray("layers");
        project.layers().forEach(layer -> layers.add(write(layer)));
        ArrayNode markers = root.putArray("markers");
        for (Marker marker : project.markers()) {
            ObjectNode written =
                    markers.addObject()
                            .put("id", marker.id())
                            .put("frame", marker.frame())
                            .put("name", marker.name());
            marker.colour().ifPresent(ink -> written.put("colour", ink.hex()));
        }
        project.playRange()
                .ifPresent(
                        range ->
                                root.putObject("playRange")
                                        .put("first", range.first())
                                        .put("last", range.last()));
        return Json.pretty(root);
    }

    private static ObjectNode write(Sequence sequence) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        node.putArray("size").add(sequence.size().width()).add(sequence.size().height());
        return node.put("rate", sequence.rate().toString())
                .put("background", sequence.background().id())
                .put("colourSpace", sequence.colour().id());
    }

    private static ObjectNode write(Layer layer) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("id", layer.id())
                        .put("name", layer.name())
                        .put("visible", layer.visible());
        ArrayNode clips = node.putArray("clips");
        for (Clip clip : layer.clips()) {
            ObjectNode written = clips.addObject().put("id", clip.id());
            if (!clip.isSpan()) {
                written.put("source", clip.source());
            }
            written.put("start", clip.start()).put("length", clip.length()).put("in", clip.in());
            if (!clip.loudness().equals(Loudness.AS_IT_IS)) {
                written.put("levelDecibels", clip.loudness().levelDecibels())
                        .put("mute", clip.loudness().mute());
            }
        }
        node.set("placement", PlacementJson.write(layer.placement()));
        write(layer.looks(), node);
        node.put("blend", layer.blend().id());
        node.set("opacity", ValueJson.write(layer.opacity()));
        if (!layer.takes().isEmpty()) {
            ArrayNode takes = node.putArray("takes");
            for (Take take : layer.takes()) {
                write(
                        take.looks(),
                        takes.addObject()
                                .put("id", take.id())
                                .put("name", take.name())
                                .put("markedForExport", take.markedForExport()));
            }
        }
        return node;
    }

    private static void write(List<LayerLook> all, ObjectNode node) {
        ArrayNode looks = node.putArray("looks");
        for (LayerLook look : all) {
            ObjectNode written = looks.addObject().put("id", look.id()).put("on", look.on());
            if (!look.shots().isEmpty()) {
                look.shots().forEach(written.putArray("shots")::add);
            }
            written.set("look", LookJson.tree(look.look()));
        }
    }

    /**
     * Reads a project as far as possible.
     *
     * @throws ForeignFileException if the text is not a project, or of a newer version
     */
    public static Reading read(String text) {
        List<String> problems = new ArrayList<>();
        Fields fields = FileHeader.read(text, FORMAT, problems::add);
        Project empty = Project.empty(fields.text("name", "Untitled"));
        Project project =
                new Project(
                        empty.name(),
                        fields.read("sequence", empty.sequence(), ProjectJson::sequence),
                        distinct(
                                fields,
                                "source",
                                fields.each("sources", "source", SourceJson::read),
                                Source::id),
                        distinct(
                                fields,
                                "layer",
                                fields.each("layers", "layer", ProjectJson::layer),
                                Layer::id),
                        fields.each("markers", "marker", ProjectJson::marker),
                        fields.read("playRange", Optional.empty(), f -> Optional.of(playRange(f))));
        fields.finish();
        References.check(project, problems::add);
        return new Reading(project, List.copyOf(problems));
    }

    /** The elements with distinct ids; of several with the same id, the first. */
    private static <T> List<T> distinct(
            Fields fields, String one, List<T> all, Function<T, String> id) {
        List<T> kept = new ArrayList<>();
        for (T each : all) {
            if (kept.stream().anyMatch(k -> id.apply(k).equals(id.apply(each)))) {
                fields.report(one + " " + id.apply(each) + " skipped: duplicate id");
            } else {
                kept.add(each);
            }
        }
        return kept;
    }

    private static Sequence sequence(Fields fields) {
        return new Sequence(
                SourceJson.size(fields),
                fields.rate("rate", SourceJson.SLOWEST, SourceJson.FASTEST),
                fields.named("background", Background.TRANSPARENT, Background::named),
                fields.named("colourSpace", ColourSpace.SRGB, ColourSpace::named));
    }

    private static Layer layer(Fields fields) {
        String id = fields.text("id");
        return new Layer(
                id,
                fields.text("name", id),
                fields.flag("visible", true),
                fields.each("clips", "clip", ProjectJson::clip),
                fields.read("placement", Placement.FITTED, PlacementJson::read),
                looks(fields),
                fields.named("blend", Blend.NORMAL, Blend::named),
                ValueJson.read(fields, "opacity", Value.of(1), 0, 1),
                fields.each("takes", "take", ProjectJson::take));
    }

    private static List<LayerLook> looks(Fields fields) {
        List<LayerLook> looks =
                distinct(
                        fields,
                        "look",
                        fields.each("looks", "look", ProjectJson::look),
                        LayerLook::id);
        return looks.isEmpty() ? List.of(FIRST_LOOK) : looks;
    }

    private static Take take(Fields fields) {
        String id = fields.text("id");
        return new Take(
                id, fields.text("name", id), fields.flag("markedForExport", false), looks(fields));
    }

    private static LayerLook look(Fields fields) {
        return new LayerLook(
                fields.text("id"),
                fields.read("look", LookJson::read),
                fields.flag("on", true),
                fields.texts("shots"));
    }

    private static Clip clip(Fields fields) {
        return new Clip(
                fields.text("id", ""),
                fields.text("source", Clip.BELOW),
                fields.whole("start", -MAX, MAX),
                fields.whole("length", 1, MAX),
                fields.whole("in", 0, 0, MAX),
                new Loudness(
                        fields.number(
                                "levelDecibels", 0, Loudness.MIN_DECIBELS, Loudness.MAX_DECIBELS),
                        fields.flag("mute", false)));
    }

    private static Marker marker(Fields fields) {
        return new Marker(
                fields.text("id", ""),
                fields.whole("frame", -MAX, MAX),
                fields.text("name", ""),
                fields.named("colour", Optional.empty(), text -> Optional.of(Ink.parse(text))));
    }

    private static FrameRange playRange(Fields fields) {
        long first = fields.whole("first", 0, MAX);
        return new FrameRange(first, fields.whole("last", first, MAX));
    }
}
