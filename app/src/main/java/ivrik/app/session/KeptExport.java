package ivrik.app.session;

import ivrik.core.UnknownNameException;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.encode.Export.Order;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.encode.Odd;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;

import java.nio.file.Path;
import java.util.Optional;

/**
 * How a project was exported the last time, as it is kept between starts.
 *
 * @param form its id
 * @param sampling its id
 * @param first frame, and {@code last}
 * @param folder where to
 */
public record KeptExport(
        String form,
        Quality quality,
        String sampling,
        double scale,
        Odd odd,
        boolean dither,
        boolean sound,
        long first,
        long last,
        String folder) {
    public static KeptExport of(Order order) {
        return new KeptExport(
                order.form().id(),
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

    /** The same choices for a project; empty if they are not known here. */
    public Optional<Order> of(Project project, String name) {
        try {
            Form known = Forms.named(form);
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
