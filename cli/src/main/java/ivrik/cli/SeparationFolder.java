package ivrik.cli;

import com.fasterxml.jackson.annotation.JsonAlias;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.separation.ChannelKind;
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
 * Separated channels as files: one 32-bit float OpenEXR per channel with unclamped values, one for straight
 * alpha if there is any, and {@code separation.json} that lists them.
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
            @JsonAlias("lanes") List<ChannelFile> channels,
            String alpha) {
        /**
         * One channel.
         *
         * @param remainder file with the part of the values that 32-bit floats cannot hold; null if there is
         *     none
         */
        record ChannelFile(String id, String file, String remainder) {}
    }

    /** A frame and its stored depth. */
    record Picture(Frame frame, Depth depth) {}

    static void write(Path folder, Picture picture, Separation model, Workers workers) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        Frame frame = picture.frame().straight(workers);
        List<Plane> planes = model.separateFully(frame.colour(), workers);
        List<Index.ChannelFile> channels = new ArrayList<>();
        int count = model.channels().size();
        for (int i = 0; i < count; i++) {
            String id = model.channels().get(i).id();
            StillWriter.writePlane(planes.get(i), folder.resolve(id + ".exr"), workers);
            String remainder = null;
            if (model.remainders() > 0) {
                remainder = id + "-remainder.exr";
                StillWriter.writePlane(planes.get(count + i), folder.resolve(remainder), workers);
            }
            channels.add(new Index.ChannelFile(id, id + ".exr", remainder));
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
                        channels,
                        frame.isOpaque() ? null : ALPHA);
        SafeFile.write(folder.resolve(INDEX), InfoCommand.text(index) + "\n");
    }

    /** All files that may be written for a colour model. */
    static List<Path> files(Path folder, Separation model) {
        List<Path> files = new ArrayList<>(List.of(folder.resolve(INDEX), folder.resolve(ALPHA)));
        for (ChannelKind channel : model.channels()) {
            files.add(folder.resolve(channel.id() + ".exr"));
            if (model.remainders() > 0) {
                files.add(folder.resolve(channel.id() + "-remainder.exr"));
            }
        }
        return files;
    }

    /** All existing files of a separation. */
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
                    file + " is not a separation that this version supports",
                    "separate the picture again");
        }
        if (index.model() == null || index.channels() == null || index.depth() == null) {
            throw new UnreadableMediaException(
                    file + " is incomplete: model, depth or channels are missing",
                    "separate the picture again");
        }
        Separation model = Separations.named(index.model());
        SequencedMap<String, Plane> channels = new LinkedHashMap<>();
        SequencedMap<String, Plane> remainders = new LinkedHashMap<>();
        for (ChannelKind kind : model.channels()) {
            Index.ChannelFile channel =
                    index.channels().stream()
                            .filter(l -> l != null && kind.id().equals(l.id()))
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            new UnreadableMediaException(
                                                    file + " does not list channel " + kind.id(),
                                                    "separate the picture again"));
            channels.put(channel.file(), plane(folder, channel.file(), workers));
            if (channel.remainder() != null) {
                remainders.put(channel.remainder(), plane(folder, channel.remainder(), workers));
            }
        }
        if (remainders.size() == model.remainders()) {
            channels.putAll(remainders);
        }
        checkSizes(channels);
        List<Plane> colour = model.rejoin(List.copyOf(channels.values()), workers);
        Frame frame = Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
        if (index.alpha() != null) {
            Plane alpha = plane(folder, index.alpha(), workers);
            channels.put(index.alpha(), alpha);
            checkSizes(channels);
            frame = Frame.straight(colour.get(0), colour.get(1), colour.get(2), alpha);
        }
        return new Picture(frame, depth(index, file));
    }

    /** All channels must have the same size. */
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
                                "all channels must have the same size; separate the picture again");
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
                                        file + " has an unknown bit depth: " + index.depth(),
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
