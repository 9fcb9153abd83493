package ivrik.app.band;

import ivrik.app.picture.Shown;
import ivrik.app.session.Plans;
import ivrik.core.IvrikException;
import ivrik.core.threads.CancelledException;

import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.util.Duration;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.atomic.AtomicInteger;

/** Lets the tile that is rested on show the frames that come next, for a while, and be still again. */
final class MovingTile {
    private static final Logger LOG = LoggerFactory.getLogger(MovingTile.class);
    private static final Duration RESTED = Duration.millis(500);
    private static final int MOST_FRAMES = 96;

    private final TileBand band;
    private final PauseTransition rest = new PauseTransition(RESTED);
    private final AtomicInteger generation = new AtomicInteger();
    private int number = -1;
    private Image still;

    MovingTile(TileBand band) {
        this.band = band;
    }

    /** Another tile is rested on. */
    void restOn(int tile) {
        if (!band.moves() || tile == number) {
            return;
        }
        stop();
        number = tile;
        rest.setOnFinished(e -> start(tile));
        rest.playFromStart();
    }

    /** The tile that moves is still again. */
    void stop() {
        rest.stop();
        generation.incrementAndGet();
        if (still != null) {
            band.show(number, still);
        }
        still = null;
        number = -1;
    }

    private void start(int tile) {
        still = band.shown(tile);
        if (still == null) {
            return;
        }
        int mine = generation.get();
        Plans plans = band.plans(tile);
        long first = band.view.frame.get();
        long frames = band.session.project().frames();
        long frameNanos = Math.round(1e9 / band.session.project().sequence().rate().toDouble());
        int width = band.renderedWidth() / 2;
        Thread.ofVirtual().start(() -> play(tile, plans, first, frames, frameNanos, width, mine));
    }

    private void play(
            int tile, Plans plans, long first, long frames, long frameNanos, int width, int mine) {
        long began = System.nanoTime();
        try {
            for (long at = 1; at <= MOST_FRAMES && generation.get() == mine; ) {
                long frame = (first + at) % frames;
                Shown shown =
                        band.service.small(plans.of(frame, () -> generation.get() != mine), width);
                Platform.runLater(
                        () -> {
                            if (generation.get() == mine) {
                                band.show(tile, shown.image());
                            }
                        });
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
            LOG.info("no moving picture: {}", e.oneLine());
        } catch (CancelledException e) {
            LOG.debug("another tile is rested on");
        }
    }
}
