package ivrik.media.encode;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A folder in which several processes collect the segments of one movie. It also holds the project and the
 * settings, so that any process can join the movie, and segments with different settings never mix.
 */
final class PartsFolder {
    private static final Logger LOG = LoggerFactory.getLogger(PartsFolder.class);
    private static final String ENDING = ".parts";
    private static final String PROJECT = "project.ivrik";
    private static final String ORDER = "order.properties";

    private final Path folder;
    private final Export.Order order;

    private PartsFolder(Path folder, Export.Order order) {
        this.folder = folder;
        this.order = order;
    }

    /** The folder for a target. */
    static Path of(Path out) {
        Path whole = out.toAbsolutePath();
        return whole.resolveSibling(whole.getFileName() + ENDING);
    }

    /**
     * The folder beside the target, created if missing.
     *
     * @throws UnwritableTargetException if it holds segments with other settings, or cannot be written
     */
    static PartsFolder begin(Export.Order order) {
        Path folder = of(order.out());
        PartsFolder parts = new PartsFolder(folder, order);
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        if (!Files.exists(folder.resolve(ORDER))) {
            ProjectFile.save(folder.resolve(PROJECT), order.project());
            SafeFile.write(folder.resolve(ORDER), text(order));
        }
        if (!parts.isOf(open(folder).order)) {
            throw new UnwritableTargetException(
                    folder + " contains parts of another project or with other settings",
                    "delete that folder or choose another name",
                    null);
        }
        return parts;
    }

    /**
     * Opens an existing folder.
     *
     * @throws ivrik.core.IvrikException if it is not such a folder, or damaged
     */
    static PartsFolder open(Path folder) {
        if (!Files.isDirectory(folder)) {
            throw new MissingFileException(folder.toString());
        }
        Project project = ProjectFile.open(folder.resolve(PROJECT)).project();
        Properties said = new Properties();
        try {
            said.load(new StringReader(ProjectFile.text(folder.resolve(ORDER))));
            return new PartsFolder(folder, order(project, folder, said));
        } catch (IOException | IllegalArgumentException e) {
            throw new UnreadableMediaException(
                    folder.resolve(ORDER) + " is damaged",
                    "delete the folder and render the parts again",
                    e);
        }
    }

    private static Export.Order order(Project project, Path folder, Properties said) {
        ExportFormat format = ExportFormats.named(value(said, "format"));
        FrameRange range = FrameRange.parse(value(said, "frames"));
        Quality quality = Quality.valueOf(value(said, "quality"));
        Sampling sampling = Sampling.named(value(said, "sampling"));
        double scale = Double.parseDouble(value(said, "scale"));
        OddSizes odd = OddSizes.valueOf(value(said, "odd"));
        boolean dither = Boolean.parseBoolean(value(said, "dither"));
        boolean sound = Boolean.parseBoolean(value(said, "sound"));
        return Export.Order.of(project, folder, format)
                .with(
                        o ->
                                o.range(range)
                                        .quality(quality)
                                        .sampling(sampling)
                                        .scale(scale)
                                        .odd(odd)
                                        .dither(dither)
                                        .sound(sound));
    }

    private static String value(Properties said, String name) {
        String value = said.getProperty(name);
        if (value == null) {
            throw new IllegalArgumentException("there is no " + name);
        }
        return value;
    }

    private static String text(Export.Order o) {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("format", o.format().id());
        said.put("frames", o.range().first() + "-" + o.range().last());
        said.put("quality", o.quality().name());
        said.put("sampling", o.sampling().id());
        said.put("scale", o.scale());
        said.put("odd", o.odd().name());
        said.put("dither", o.dither());
        said.put("sound", o.sound());
        return said.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue() + "\n")
                .collect(Collectors.joining());
    }

    private boolean isOf(Export.Order other) {
        return text(order).equals(text(other)) && order.project().equals(other.project());
    }

    Export.Order order() {
        return order;
    }

    /** File of a segment, numbered from 0. */
    Path part(int number) {
        return folder.resolve(String.format("%04d.movie", number));
    }

    /** Deletes the segments, and the folder if nothing else is in it. */
    void remove(int parts) {
        List<Path> ours = new ArrayList<>();
        IntStream.range(0, parts).mapToObj(this::part).forEach(ours::add);
        ours.add(folder.resolve(ORDER));
        ours.add(folder.resolve(PROJECT));
        try {
            for (Path file : ours) {
                Files.deleteIfExists(file);
            }
            Files.delete(folder);
        } catch (IOException e) {
            LOG.warn(
                    "{} is left",
                    folder,
                    e); // the movie is complete; leftovers only use disk space
        }
    }
}
