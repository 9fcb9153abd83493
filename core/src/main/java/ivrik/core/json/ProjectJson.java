package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.look.Place;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A project as JSON text; {@code docs/project.schema.json} describes it. */
public final class ProjectJson {
    static final String FORMAT = "ivrik-project";

    private ProjectJson() {}

    /** What could be read of a project, and what could not. */
    public record Reading(Project project, List<String> problems) {}

    public static String write(Project project) {
        ObjectNode root = Header.write(FORMAT);
        root.put("name", project.name());
        root.set("sequence", Json.MAPPER.valueToTree(project.sequence()));
        root.set("sources", Json.MAPPER.valueToTree(project.sources()));
        ArrayNode layers = root.putArray("layers");
        project.layers().forEach(layer -> layers.add(Json.MAPPER.<JsonNode>valueToTree(layer)));
        root.set("markers", Json.MAPPER.valueToTree(project.markers()));
        project.playRange()
                .ifPresent(range -> root.set("playRange", Json.MAPPER.valueToTree(range)));
        return Json.pretty(root);
    }

    /**
     * Reads a project as far as it can be.
     *
     * @throws ForeignFileException if the text is no project, or of a newer version
     */
    public static Reading read(String text) {
        List<String> problems = new ArrayList<>();
        JsonNode root = Salvage.read(text, problems);
        Header.check(root, FORMAT);
        Parts parts = new Parts(problems);
        Project empty = Project.empty(root.path("name").asText("Untitled"));
        List<Source> sources =
                parts.each(root.path("sources"), "source", n -> Parts.as(n, Source.class));
        Project project =
                new Project(
                        empty.name(),
                        parts.read(
                                        "the sequence",
                                        () -> Parts.as(root.path("sequence"), Sequence.class))
                                .orElse(empty.sequence()),
                        sources,
                        parts.each(root.path("layers"), "layer", n -> layer(n, parts)),
                        parts.each(root.path("markers"), "marker", n -> Parts.as(n, Marker.class)),
                        root.has("playRange")
                                ? parts.read(
                                        "the play range",
                                        () -> Parts.as(root.path("playRange"), FrameRange.class))
                                : Optional.empty());
        for (Layer layer : project.layers()) {
            for (Clip clip : layer.clips()) {
                if (project.source(clip.source()).isEmpty()) {
                    problems.add(
                            "layer "
                                    + layer.name()
                                    + " shows a source that is not listed: "
                                    + clip.source());
                }
            }
        }
        return new Reading(project, List.copyOf(problems));
    }

    private static Layer layer(JsonNode node, Parts parts) {
        String name = node.path("name").asText("layer");
        if (!node.hasNonNull("id")) {
            throw new IllegalArgumentException("it has no id");
        }
        return new Layer(
                node.path("id").asText(),
                name,
                node.path("visible").asBoolean(true),
                parts.each(
                        node.path("clips"),
                        "a clip of layer " + name,
                        n -> Parts.as(n, Clip.class)),
                parts.read(
                                "the place of layer " + name,
                                () ->
                                        node.has("place")
                                                ? Parts.as(node.path("place"), Place.class)
                                                : Place.FITTED)
                        .orElse(Place.FITTED),
                looks(node, parts),
                parts.read(
                                "the blend mode of layer " + name,
                                () -> Parts.as(node.path("blend"), Blend.class))
                        .orElse(Blend.NORMAL),
                parts.read(
                                "the opacity of layer " + name,
                                () -> Parts.as(node.path("opacity"), Value.class))
                        .orElse(Value.of(1)));
    }

    /** All its looks; a project of before they could be several has one. */
    private static List<LayerLook> looks(JsonNode layer, Parts parts) {
        List<LayerLook> looks = new ArrayList<>();
        for (JsonNode look : layer.path("looks")) {
            looks.add(
                    new LayerLook(
                            LookJson.read(look.path("look"), parts),
                            look.path("on").asBoolean(true)));
        }
        if (looks.isEmpty()) {
            looks.add(new LayerLook(LookJson.read(layer.path("look"), parts), true));
        }
        return looks;
    }
}
