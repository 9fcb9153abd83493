package ivrik.media.encode;

import ivrik.core.project.FrameRange;

import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.LongConsumer;

/**
 * Encodes movies in order on its own thread while the next pictures are rendered, including those of the next
 * movie.
 */
final class MovieEncoding implements AutoCloseable {
    private final ExportFrames frames;
    private final LongConsumer progress;
    private final SerialWorker together = new SerialWorker();

    /** Movies that are started and not finished. */
    private final Queue<MovieWriter> begun = new ConcurrentLinkedQueue<>();

    /**
     * @param progress receives the number of finished frames
     */
    MovieEncoding(ExportFrames frames, LongConsumer progress) {
        this.frames = frames;
        this.progress = progress;
    }

    /** Renders the pictures of a movie; the movie is finished after {@link #await}. */
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

    /** Renders a segment for joining, unless its file exists. */
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

    /** Waits until all movies are finished. */
    void await() {
        together.await();
    }

    /** Discards unfinished movies. */
    @Override
    public void close() {
        together.close();
        begun.forEach(MovieWriter::close);
    }
}
