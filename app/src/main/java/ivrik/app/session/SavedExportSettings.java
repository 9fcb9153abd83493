package ivrik.app.session;

import ivrik.core.UnknownNameException;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.encode.Export.Order;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.OddSizes;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;

import java.nio.file.Path;
import java.util.Optional;

/**
 * Last export settings of a project.
 *
 * @param format format id
 * @param sampling subsampling id
 * @param first first frame
 * @param folder target folder
 */
public record SavedExportSettings(
        String format,
        Quality quality,
        String sampling,
        double scale,
        OddSizes odd,
        boolean dither,
        boolean sound,
        long first,
        long last,
        String folder) {
    public static SavedExportSettings of(Order order) {
        return new SavedExportSettings(
                order.format().id(),
                order.quality(),
                order.sampling().id(),
                order.scale(),
                order.odd(),
                order.dither(),
                order.sound(),
                order.range().first(),
                order.range().last(),
                order.out().toAbsolutePath().getParent().toString());
    }

    /** The settings as an export; empty if a name is unknown. */
    public Optional<Order> of(Project project, String name) {
        try {
            ExportFormat known = ExportFormats.named(format);
            Sampling colour = Sampling.named(sampling);
            return Optional.of(
                    Order.of(project, Path.of(folder).resolve(name + known.ending()), known)
                            .with(
                                    o ->
                                            o.range(
                                                            new FrameRange(first, last)
                                                                    .within(project.allFrames()))
                                                    .quality(quality)
                                                    .sampling(colour)
                                                    .scale(scale)
                                                    .odd(odd)
                                                    .sound(sound)
                                                    .dither(dither)));
        } catch (UnknownNameException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
