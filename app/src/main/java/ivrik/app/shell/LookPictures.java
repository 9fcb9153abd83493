package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.core.IvrikException;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.project.Source;
import ivrik.core.render.Planner;
import ivrik.core.threads.CancelledException;
import ivrik.media.decode.Import;

import javafx.application.Platform;
import javafx.scene.image.Image;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.List;
import java.util.function.BiConsumer;

/** Small pictures of what each built-in look makes of the first footage, made once, off the interface thread. */
final class LookPictures {
    private static final Logger LOG = LoggerFactory.getLogger(LookPictures.class);
    private static final int WIDTH = 160;

    private final PictureService service;
    private final BiConsumer<String, Image> show;

    /** What they were made of; read on the interface thread only. */
    private String made = "";

    private volatile int generation;

    /**
     * @param show told of each by its look's name, on the interface thread
     */
    LookPictures(PictureService service, BiConsumer<String, Image> show) {
        this.service = service;
        this.show = show;
    }

    /** All are to be made anew. */
    void forget() {
        made = "";
    }

    void make(List<Source> sources) {
        Source first = sources.stream().filter(s -> !s.kind().isDrawn()).findFirst().orElse(null);
        if (first == null || made.equals(first.id() + "|" + first.path())) {
            return;
        }
        made = first.id() + "|" + first.path();
        int mine = ++generation;
        Thread.ofVirtual()
                .start(
                        () -> {
                            for (BuiltInLook look : BuiltInLooks.shelf()) {
                                if (generation == mine) {
                                    make(look, first);
                                }
                            }
                        });
    }

    private void make(BuiltInLook look, Source source) {
        try {
            long frame = source.frames() / 3;
            var plan = Planner.plan(Import.project(source, look.shownOff()), frame);
            Image image = service.small(plan, WIDTH).image();
            Platform.runLater(() -> show.accept(look.look().name(), image));
        } catch (IvrikException e) {
            LOG.info("no small picture of {}: {}", look.look().name(), e.oneLine());
        } catch (CancelledException e) {
            LOG.debug("another project was opened meanwhile");
        }
    }
}
