package ivrik.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.stream.Stream;

/**
 * A separation as files: one 32-bit float OpenEXR per lane, unclamped, values as they are, one for
 * straight alpha if there is any, and {@code separation.json} that says how they belong together.
 */
final class SeparationFolder {
    private static final String FORMAT = "ivrik-separation";
    private static final String INDEX = "separation.json";
    private static final String ALPHA = "alpha.exr";

    private SeparationFolder() {}

    /** The content of {@code separation.json}. */
    record Index(
            String format,
            int version,
            String model,
            String depth,
            List<Lane> lanes,
            String alpha) {
        /**
         * @param remainder the file of what the floats of the lane could not hold; null where they
         *     hold enough
         */
        record Lane(String id, String file, String remainder) {}
    }

    /** A frame and the depth it came in, or shall leave at. */
    record Picture(Frame frame, Depth depth) {}

    static void write(Path folder, Picture picture, Separation model, Workers workers) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        Frame frame = picture.frame().straight(workers);
        List<Plane> planes = model.separateFully(frame.colour(), workers);
        List<Index.Lane> lanes = new ArrayList<>();
        int count = model.lanes().size();
        for (int i = 0; i < count; i++) {
            String id = model.lanes().get(i).id();
            StillWriter.writePlane(planes.get(i), folder.resolve(id + ".exr"), workers);
            String remainder = null;
            if (model.remainders() > 0) {
                remainder = id + "-remainder.exr";
                StillWriter.writePlane(planes.get(count + i), folder.resolve(remainder), workers);
            }
            lanes.add(new Index.Lane(id, id + ".exr", remainder));
        }
        if (!frame.isOpaque()) {
            StillWriter.writePlane(frame.coverage().getFirst(), folder.resolve(ALPHA), workers);
        }
        Index index =
                new Index(
                        FORMAT,
                        1,
                        model.id(),
                        picture.depth().name(),
                        lanes,
                        frame.isOpaque() ? null : ALPHA);
        SafeFile.write(folder.resolve(INDEX), InfoCommand.text(index) + "\n");
    }

    /** All files that may be written for a model. */
    static List<Path> files(Path folder, Separation model) {
        List<Path> files = new ArrayList<>(List.of(folder.resolve(INDEX), folder.resolve(ALPHA)));
        for (LaneKind lane : model.lanes()) {
            files.add(folder.resolve(lane.id() + ".exr"));
            if (model.remainders() > 0) {
                files.add(folder.resolve(lane.id() + "-remainder.exr"));
            }
        }
        return files;
    }

    /** All files that are there. */
    static List<Path> contents(Path folder) {
        if (!Files.isDirectory(folder)) {
            throw new ivrik.media.MissingFileException(folder.toString());
        }
        try (var files = Files.list(folder)) {
            return files.filter(Files::isRegularFile).toList();
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read the folder " + folder, "check that you may read it", e);
        }
    }

    static Picture read(Path folder, Workers workers) {
        Path file = folder.resolve(INDEX);
        Index index;
        try {
            index = new ObjectMapper().readValue(ProjectFile.text(file), Index.class);
        } catch (JsonProcessingException e) {
            throw new UnreadableMediaException(
                    file + " is damaged", "separate the picture again", e);
        }
        if (index == null || !FORMAT.equals(index.format()) || index.version() > 1) {
            throw new UnreadableMediaException(
                    file + " is not a separation that this Ivrik knows",
                    "separate the picture again");
        }
        if (index.model() == null || index.lanes() == null || index.depth() == null) {
            throw new UnreadableMediaException(
                    file + " is incomplete: it says no model, depth or lanes",
                    "separate the picture again");
        }
        Separation model = Separations.named(index.model());
        SequencedMap<String, Plane> lanes = new LinkedHashMap<>();
        SequencedMap<String, Plane> remainders = new LinkedHashMap<>();
        for (LaneKind kind : model.lanes()) {
            Index.Lane lane =
                    index.lanes().stream()
                            .filter(l -> l != null && kind.id().equals(l.id()))
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            new UnreadableMediaException(
                                                    file + " does not name the lane " + kind.id(),
                                                    "separate the picture again"));
            lanes.put(lane.file(), plane(folder, lane.file(), workers));
            if (lane.remainder() != null) {
                remainders.put(lane.remainder(), plane(folder, lane.remainder(), workers));
            }
        }
        if (remainders.size() == model.remainders()) {
            lanes.putAll(remainders);
        }
        checkSizes(lanes);
        List<Plane> colour = model.rejoin(List.copyOf(lanes.values()), workers);
        Frame frame = Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
        if (index.alpha() != null) {
            Plane alpha = plane(folder, index.alpha(), workers);
            lanes.put(index.alpha(), alpha);
            checkSizes(lanes);
            frame = Frame.straight(colour.get(0), colour.get(1), colour.get(2), alpha);
        }
        return new Picture(frame, depth(index, file));
    }

    /** All lanes of a picture are as large as it. */
    private static void checkSizes(SequencedMap<String, Plane> planes) {
        Map.Entry<String, Plane> first = planes.firstEntry();
        planes.forEach(
                (name, plane) -> {
                    if (!plane.size().equals(first.getValue().size())) {
                        throw new UnreadableMediaException(
                                name
                                        + " has "
                                        + plane.size()
                                        + " pixels, "
                                        + first.getKey()
                                        + " has "
                                        + first.getValue().size(),
                                "all lanes of a picture are of its size: separate it again");
                    }
                });
    }

    private static Depth depth(Index index, Path file) {
        return Stream.of(Depth.values())
                .filter(d -> d.name().equals(index.depth()))
                .findFirst()
                .orElseThrow(
                        () ->
                                new UnreadableMediaException(
                                        file + " says a depth that is not known: " + index.depth(),
                                        "separate the picture again"));
    }

    private static Plane plane(Path folder, String name, Workers workers) {
        if (name == null || !Path.of(name).equals(Path.of(name).getFileName())) {
            throw new UnreadableMediaException(
                    folder.resolve(INDEX) + " names a file that is not in its folder: " + name,
                    "separate the picture again");
        }
        Path file = folder.resolve(name);
        if (!Files.isRegularFile(file)) {
            throw new ivrik.media.MissingFileException(file.toString());
        }
        try (MovieReader reader = new MovieReader(file, workers)) {
            return reader.stored(0).colour().getFirst();
        }
    }
}
