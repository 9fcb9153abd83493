package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.core.IvrikException;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.application.Platform;
import javafx.scene.image.Image;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;

/** Thumbnails of sources, each rendered once, off the interface thread. */
final class SmallPictures {
    private static final Logger LOG = LoggerFactory.getLogger(SmallPictures.class);
    private static final Size SIZE = new Size(256, 144);

    private final PictureService service;
    private final BiConsumer<String, Image> show;
    private final Set<String> made = new HashSet<>();

    /**
     * @param show receives each thumbnail by source id, on the interface thread
     */
    SmallPictures(PictureService service, BiConsumer<String, Image> show) {
        this.service = service;
        this.show = show;
    }

    /** Discards all thumbnails. */
    void forget() {
        made.clear();
    }

    void make(List<Source> sources) {
        for (Source source : sources) {
            if (made.add(source.id() + "|" + source.path())) {
                Threads.start("ivrik-small", () -> make(source));
            }
        }
    }

    private void make(Source source) {
        try {
            var small = service.thumbnail(source, source.frames() / 3, SIZE);
            Platform.runLater(() -> show.accept(source.id(), small.image()));
        } catch (IvrikException e) {
            LOG.info("the preview of {} failed: {}", source.name(), e.oneLine());
        } catch (CancelledException e) {
            LOG.debug("another project was opened meanwhile");
        }
    }
}
