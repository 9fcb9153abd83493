package ivrik.app.tiles;

import ivrik.app.session.Plans;
import ivrik.core.IvrikException;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.util.Duration;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;

/** Animates tiles: the focused one after a while, or all together until stopped. */
final class MovingTiles {
    private static final Logger LOG = LoggerFactory.getLogger(MovingTiles.class);
    private static final Duration RESTED = Duration.millis(500);
    private static final int MAX_FRAMES = 96;

    private final TileBand band;
    private final PauseTransition rest = new PauseTransition(RESTED);
    private final AtomicInteger generation = new AtomicInteger();

    /** Still pictures of animated tiles. */
    private final Map<Integer, Image> stills = new HashMap<>();

    private int resting = -1;

    MovingTiles(TileBand band) {
        this.band = band;
    }

    /** Animates another tile. */
    void restOn(int tile) {
        if (!band.moves() || tile == resting) {
            return;
        }
        stop();
        resting = tile;
        rest.setOnFinished(e -> start(List.of(tile), MAX_FRAMES));
        rest.playFromStart();
    }

    /** Animates all tiles. */
    void all(int count) {
        stop();
        start(IntStream.range(0, count).boxed().toList(), Long.MAX_VALUE);
    }

    /** Stops, and shows the still pictures. */
    void stop() {
        rest.stop();
        generation.incrementAndGet();
        stills.forEach(band::show);
        stills.clear();
        resting = -1;
    }

    private void start(List<Integer> tiles, long most) {
        for (int tile : tiles) {
            if (band.shown(tile) != null) {
                stills.put(tile, band.shown(tile));
            }
        }
        if (stills.isEmpty()) {
            return;
        }
        Map<Integer, Plans> plans = new HashMap<>();
        stills.keySet().forEach(tile -> plans.put(tile, band.plans(tile)));
        int mine = generation.get();
        Showing showing =
                new Showing(
                        plans,
                        band.view.frame.get(),
                        band.session.project().frames(),
                        Math.round(1e9 / band.session.project().sequence().rate().toDouble()),
                        band.renderedWidth() / 2,
                        () -> generation.get() != mine);
        Threads.start("ivrik-tiles", () -> showing.play(most));
    }

    /** Playback of some tiles on its own thread. */
    private final class Showing {
        private final Map<Integer, Plans> plans;
        private final long first;
        private final long frames;
        private final long frameNanos;
        private final int width;
        private final Cancellation stale;

        Showing(
                Map<Integer, Plans> plans,
                long first,
                long frames,
                long frameNanos,
                int width,
                Cancellation stale) {
            this.plans = plans;
            this.first = first;
            this.frames = frames;
            this.frameNanos = frameNanos;
            this.width = width;
            this.stale = stale;
        }

        /** Drops late frames: all tiles show the same frame. */
        void play(long most) {
            long began = System.nanoTime();
            try {
                for (long at = 1; at <= most && !stale.isCancelled(); ) {
                    Map<Integer, Image> images = images((first + at) % frames);
                    Platform.runLater(() -> show(images));
                    long due = began + at * frameNanos;
                    long early = due - System.nanoTime();
                    if (early > 0) {
                        Thread.sleep(java.time.Duration.ofNanos(early));
                    }
                    at = Math.max(at + 1, (System.nanoTime() - began) / frameNanos);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } catch (IvrikException e) {
                LOG.info("a moving preview failed: {}", e.oneLine());
            } catch (CancelledException e) {
                LOG.debug("the pointer is on another tile");
            }
        }

        private Map<Integer, Image> images(long frame) {
            Map<Integer, Image> images = new HashMap<>();
            plans.forEach(
                    (tile, its) ->
                            images.put(
                                    tile, band.service.small(its.of(frame, stale), width).image()));
            return images;
        }

        private void show(Map<Integer, Image> images) {
            if (!stale.isCancelled()) {
                images.forEach(band::show);
            }
        }
    }
}
