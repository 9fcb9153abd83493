package ivrik.media.encode;

import ivrik.core.project.FrameRange;

import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.LongConsumer;

/**
 * Movies, one after the other, whose pictures are encoded by a thread of its own while the next are made: those of the next
 * movie too, while one is being finished.
 */
final class Encoding implements AutoCloseable {
    private final ExportFrames frames;
    private final LongConsumer progress;
    private final Together together = new Together();

    /** Begun and not yet finished. */
    private final Queue<MovieWriter> begun = new ConcurrentLinkedQueue<>();

    /**
     * @param progress told how many frames of the order are done
     */
    Encoding(ExportFrames frames, LongConsumer progress) {
        this.frames = frames;
        this.progress = progress;
    }

    /** Makes the pictures of a movie, which is finished once they are encoded: surely so by {@link #await}. */
    void movie(MovieWriter writer, FrameRange some) {
        begun.add(writer);
        for (long n = some.first(); n <= some.last(); n++) {
            long number = n;
            AVFrame filled = together.next(() -> frames.filled(number, writer.encoder()));
            together.then(
                    () -> {
                        writer.picture(filled);
                        progress.accept(done(number));
                    });
        }
        together.then(() -> finish(writer));
    }

    /** A movie of some frames of the order, to be joined with others; unless it is there. */
    void part(Path file, MovieWriter.Options options, FrameRange some) {
        if (Files.exists(file)) {
            together.then(() -> progress.accept(done(some.last())));
        } else {
            long before = done(some.first()) - 1;
            movie(MovieWriter.part(file, options, before, frames.workers()), some);
        }
    }

    private long done(long frame) {
        return frame - frames.order().range().first() + 1;
    }

    private void finish(MovieWriter writer) {
        writer.finish();
        begun.remove(writer);
        writer.close();
    }

    /** Waits until all is finished. */
    void await() {
        together.await();
    }

    /** What is not finished, because something failed, leaves nothing. */
    @Override
    public void close() {
        together.close();
        begun.forEach(MovieWriter::close);
    }
}
