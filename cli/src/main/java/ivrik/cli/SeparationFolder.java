package ivrik.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

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

    static Picture read(Path folder, Workers workers) {
        Path file = folder.resolve(INDEX);
        Index index;
        try {
            index = new ObjectMapper().readValue(ProjectFile.text(file), Index.class);
        } catch (JsonProcessingException e) {
            throw new UnreadableMediaException(
                    file + " is damaged", "separate the picture again", e);
        }
        if (!FORMAT.equals(index.format()) || index.version() > 1) {
            throw new UnreadableMediaException(
                    file + " is not a separation that this Ivrik knows",
                    "separate the picture again");
        }
        Separation model = Separations.named(index.model());
        List<Plane> lanes = new ArrayList<>();
        List<Plane> remainders = new ArrayList<>();
        for (LaneKind kind : model.lanes()) {
            Index.Lane lane =
                    index.lanes().stream()
                            .filter(l -> l.id().equals(kind.id()))
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            new UnreadableMediaException(
                                                    file + " does not name the lane " + kind.id(),
                                                    "separate the picture again"));
            lanes.add(plane(folder.resolve(lane.file()), workers));
            if (lane.remainder() != null) {
                remainders.add(plane(folder.resolve(lane.remainder()), workers));
            }
        }
        if (remainders.size() == model.remainders()) {
            lanes.addAll(remainders);
        }
        List<Plane> colour = model.rejoin(lanes, workers);
        Frame frame =
                index.alpha() == null
                        ? Frame.opaque(colour.get(0), colour.get(1), colour.get(2))
                        : Frame.straight(
                                colour.get(0),
                                colour.get(1),
                                colour.get(2),
                                plane(folder.resolve(index.alpha()), workers));
        return new Picture(frame, Depth.valueOf(index.depth()));
    }

    private static Plane plane(Path file, Workers workers) {
        if (!Files.isRegularFile(file)) {
            throw new ivrik.media.MissingFileException(file.toString());
        }
        try (MovieReader reader = new MovieReader(file, workers)) {
            return reader.stored(0).colour().getFirst();
        }
    }
}
