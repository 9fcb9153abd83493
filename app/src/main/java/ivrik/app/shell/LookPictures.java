package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.core.IvrikException;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.Source;
import ivrik.core.render.Planner;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;
import ivrik.media.decode.Import;

import javafx.application.Platform;
import javafx.scene.image.Image;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Thumbnails of each look applied to the first footage, rendered once, off the interface thread.
 */
final class LookPictures {
    private static final Logger LOG = LoggerFactory.getLogger(LookPictures.class);
    private static final int WIDTH = 160;

    private final PictureService service;
    private final Supplier<List<Look>> own;
    private final BiConsumer<String, Image> show;

    /** What the thumbnails were made from; for the interface thread. */
    private String made = "";

    private List<Look> shown = List.of();

    private volatile int generation;

    /**
     * @param own the user's looks, which come first
     * @param show receives each thumbnail by look name, on the interface thread
     */
    LookPictures(PictureService service, Supplier<List<Look>> own, BiConsumer<String, Image> show) {
        this.service = service;
        this.own = own;
        this.show = show;
    }

    /** Discards all thumbnails. */
    void forget() {
        made = "";
    }

    void make(List<Source> sources) {
        Source first = sources.stream().filter(s -> !s.kind().isDrawn()).findFirst().orElse(null);
        List<Look> looks = looks();
        if (first == null) {
            return;
        }
        String wanted = first.id() + "|" + first.path();
        if (made.equals(wanted) && shown.equals(looks)) {
            return;
        }
        List<Look> some = new ArrayList<>(looks);
        if (made.equals(wanted)) {
            some.removeAll(shown);
        }
        made = wanted;
        shown = looks;
        int mine = ++generation;
        Threads.start(
                "ivrik-looks",
                () -> {
                    for (Look look : some) {
                        if (generation == mine) {
                            make(look, first);
                        }
                    }
                });
    }

    private List<Look> looks() {
        return Stream.concat(
                        own.get().stream(),
                        BuiltInLooks.shelf().stream().map(BuiltInLook::withExampleSettings))
                .toList();
    }

    private void make(Look look, Source source) {
        try {
            long frame = source.frames() / 3;
            var plan = Planner.plan(Import.project(source, look), frame);
            Image image = service.small(plan, WIDTH).image();
            Platform.runLater(() -> show.accept(look.name(), image));
        } catch (IvrikException e) {
            LOG.info("the preview of {} failed: {}", look.name(), e.oneLine());
        } catch (CancelledException e) {
            LOG.debug("another project was opened meanwhile");
        }
    }
}
