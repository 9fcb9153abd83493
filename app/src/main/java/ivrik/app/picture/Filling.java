package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.core.project.FrameRange;
import ivrik.core.render.Plan;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Makes the frames that come next at half size while nothing else is wanted, so that they can be played, and
 * gone to, at once. It gives up as soon as it is told to.
 */
public final class Filling implements AutoCloseable {
    /** Half size: what playing comes down to first, and what is shown first of a frame. */
    public static final double SCALE = 0.5;

    private static final Logger LOG = LoggerFactory.getLogger(Filling.class);

    private final PictureService service;
    private final AtomicLong asked = new AtomicLong();
    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-filling"));

    public Filling(PictureService service) {
        this.service = service;
    }

    /** Fills the play range from a frame on, and then from its beginning; what was filled before is given up. */
    public void from(Plans plans, long frame) {
        long mine = asked.incrementAndGet();
        Cancel stale = () -> asked.get() != mine;
        thread.execute(() -> fill(plans, frame, stale));
    }

    /** Something else is wanted now. */
    public void stop() {
        asked.incrementAndGet();
    }

    private void fill(Plans plans, long frame, Cancel stale) {
        FrameRange range = plans.project().played();
        long most = service.room(plans.project().sequence().size(), SCALE);
        long first = Math.clamp(frame, range.first(), range.last()) - range.first();
        try {
            for (long i = 0; i < Math.min(range.length(), most); i++) {
                stale.check();
                Plan plan = plans.of(range.first() + (first + i) % range.length(), stale);
                if (!service.isReady(plan, SCALE)) {
                    service.prepare(plan, SCALE, stale);
                }
            }
        } catch (CancelledException e) {
            // something else is wanted
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.warn("no more frames are made ahead; asked for, each says why by itself", e);
        }
    }

    @Override
    public void close() {
        stop();
        thread.shutdownNow();
    }
}
