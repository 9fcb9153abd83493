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
 * A folder in which several processes gather the parts of one movie. With them lie the project and the order,
 * so that whoever finds it can put the movie together, and parts of different orders never meet.
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

    /** Where the parts of a movie gather. */
    static Path of(Path out) {
        Path whole = out.toAbsolutePath();
        return whole.resolveSibling(whole.getFileName() + ENDING);
    }

    /**
     * The folder beside an order's target, made if it is not there.
     *
     * @throws UnwritableTargetException if it holds parts of another order, or cannot be written to
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
                    folder + " has parts of another project, or made otherwise",
                    "throw that folder away, or choose another name",
                    null);
        }
        return parts;
    }

    /**
     * One that is there.
     *
     * @throws ivrik.core.IvrikException if it is none, or damaged
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
                    "throw the folder away and render the parts again",
                    e);
        }
    }

    private static Export.Order order(Project project, Path folder, Properties said) {
        Form form = Forms.named(value(said, "form"));
        FrameRange range = FrameRange.parse(value(said, "frames"));
        Quality quality = Quality.valueOf(value(said, "quality"));
        Sampling sampling = Sampling.named(value(said, "sample"));
        double scale = Double.parseDouble(value(said, "scale"));
        Odd odd = Odd.valueOf(value(said, "odd"));
        boolean dither = Boolean.parseBoolean(value(said, "dither"));
        boolean sound = Boolean.parseBoolean(value(said, "sound"));
        return Export.Order.of(project, folder, form)
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
        said.put("form", o.form().id());
        said.put("frames", o.range().first() + "-" + o.range().last());
        said.put("quality", o.quality().name());
        said.put("sample", o.sampling().id());
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

    /** Where a part is, or is to be written; they are numbered from 0. */
    Path part(int number) {
        return folder.resolve(String.format("%04d.movie", number));
    }

    /** Takes away what is there of it, and the folder if nothing else lies in it. */
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
            LOG.warn("{} is left", folder, e); // the movie is whole: it only takes room
        }
    }
}
