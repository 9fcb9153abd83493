package ivrik.media.decode;

import ivrik.core.picture.CancelledException;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.render.Pictures;
import ivrik.core.render.Plan.Picture;
import ivrik.core.separation.Ink;
import ivrik.media.MissingFileException;
import ivrik.media.vector.TitleGraphic;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.HashMap;
import java.util.Map;

/**
 * The pictures of a project's sources, from files. Each file is opened once and read ahead by a
 * thread of its own; a file that has changed is opened again, one that has gone is said to be
 * missing. After {@link #close} asking is given up with a {@code CancelledException}.
 */
public final class MediaPictures implements Pictures, AutoCloseable {
    private final Path folder;
    private final Workers workers;
    private final Map<String, Open> open = new HashMap<>();
    private boolean closed;

    /** What a file was like when it was opened. */
    private record Stamp(long size, long modified) {
        static Stamp of(Path path) {
            if (NumberedSequence.isPattern(path) && !Files.exists(path)) {
                return new Stamp(0, 0);
            }
            try {
                var attributes = Files.readAttributes(path, BasicFileAttributes.class);
                return new Stamp(attributes.size(), attributes.lastModifiedTime().toMillis());
            } catch (IOException e) {
                throw new MissingFileException(path.toString());
            }
        }
    }

    private record Open(Path path, Stamp stamp, AheadReader reader) {}

    /**
     * @param folder what the sources' paths are relative to
     */
    public MediaPictures(Path folder, Workers workers) {
        this.folder = folder;
        this.workers = workers;
    }

    @Override
    public Frame frame(Picture picture, Size shown) {
        Source source = picture.source();
        if (source.kind() == Source.Kind.TITLE) {
            return TitleGraphic.draw(source.title().orElse(Title.EMPTY), source.size(), shown);
        }
        if (source.kind() == Source.Kind.SOLID) {
            Ink colour = source.title().orElse(Title.EMPTY).colour();
            return Frame.opaque(
                    Plane.flat(shown.width(), shown.height(), colour.red()),
                    Plane.flat(shown.width(), shown.height(), colour.green()),
                    Plane.flat(shown.width(), shown.height(), colour.blue()));
        }
        return reader(picture.source().path()).frame(picture.frame(), shown);
    }

    private synchronized AheadReader reader(String name) {
        if (closed) {
            throw new CancelledException();
        }
        Path path = folder.resolve(name).normalize();
        Stamp stamp = Stamp.of(path);
        Open known = open.get(name);
        if (known != null && known.stamp.equals(stamp)) {
            return known.reader;
        }
        if (known != null) {
            open.remove(name).reader.close();
        }
        AheadReader reader = new AheadReader(Footage.open(path, workers));
        open.put(name, new Open(path, stamp, reader));
        return reader;
    }

    /** Whether a file is gone or no longer what it was when it was opened. */
    public synchronized boolean hasChanged(String name) {
        Open known = open.get(name);
        try {
            return known != null && !known.stamp.equals(Stamp.of(known.path));
        } catch (MissingFileException e) {
            return true;
        }
    }

    @Override
    public synchronized void close() {
        closed = true;
        open.values().forEach(o -> o.reader.close());
        open.clear();
    }
}
