package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.core.project.FrameRange;
import ivrik.core.render.Plan;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Renders the next frames at half size while nothing else is requested, for playback and navigation. Stops at
 * once on request.
 */
public final class IdleRendering implements AutoCloseable {
    /** Half size: the first reduced size of playback and of a new frame. */
    public static final double SCALE = 0.5;

    private static final Logger LOG = LoggerFactory.getLogger(IdleRendering.class);

    private final PictureService service;
    private final AtomicLong asked = new AtomicLong();
    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-filling"));

    public IdleRendering(PictureService service) {
        this.service = service;
    }

    /** Renders the play range from a frame on, then from its start; an earlier run is cancelled. */
    public void from(Plans plans, long frame) {
        long mine = asked.incrementAndGet();
        Cancellation stale = () -> asked.get() != mine;
        thread.execute(() -> fill(plans, frame, stale));
    }

    /** Stops for another request. */
    public void stop() {
        asked.incrementAndGet();
    }

    private void fill(Plans plans, long frame, Cancellation stale) {
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
            // another request has arrived
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.warn("rendering ahead stopped; each frame reports its error when it is shown", e);
        }
    }

    @Override
    public void close() {
        stop();
        thread.shutdownNow();
    }
}
