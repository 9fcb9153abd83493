package ivrik.media.decode;

import ivrik.core.cache.FrameCache;
import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.project.Title;
import ivrik.core.render.Pictures;
import ivrik.core.render.Plan.Picture;
import ivrik.core.separation.Ink;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.vector.TitleGraphic;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Pictures of a project's sources from files with absolute paths. Each file is opened once and read ahead by
 * its own thread; a changed file is reopened, and a missing file is reported. After {@link #close} requests
 * throw {@code CancelledException}.
 */
public final class MediaPictures implements Pictures, AutoCloseable {
    private final Workers workers;
    private final FrameCache cache;
    private final Map<Key, Open> open = new HashMap<>();
    private boolean closed;

    /** Identity of a file when it was opened. */
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

    private record Key(String path, FootageSettings reading) {
        static Key of(Source source) {
            return new Key(source.path(), source.settings());
        }
    }

    private record Open(Path path, Stamp stamp, AheadReader reader) {}

    public MediaPictures(Workers workers) {
        this(workers, new FrameCache(0));
    }

    /**
     * @param cache cache whose budget counts the frames read ahead
     */
    public MediaPictures(Workers workers, FrameCache cache) {
        this.workers = workers;
        this.cache = cache;
    }

    @Override
    public Frame frame(Picture picture, Size shown) {
        Source source = picture.source();
        ColourSpace space = picture.colour();
        if (source.kind() == Source.Kind.TITLE) {
            return usual(
                    TitleGraphic.draw(source.title().orElse(Title.EMPTY), source.size(), shown),
                    space);
        }
        if (source.kind() == Source.Kind.SOLID) {
            Ink colour = source.title().orElse(Title.EMPTY).colour();
            return usual(
                    Frame.opaque(
                            Plane.flat(shown.width(), shown.height(), colour.red()),
                            Plane.flat(shown.width(), shown.height(), colour.green()),
                            Plane.flat(shown.width(), shown.height(), colour.blue())),
                    space);
        }
        return read(source, reader -> reader.frame(picture.frame(), shown, space));
    }

    @Override
    public Optional<ColourRows> rows(Picture picture) {
        Source source = picture.source();
        return switch (source.kind()) {
            case MOVIE, STILL, SEQUENCE ->
                    read(source, reader -> reader.rows(picture.frame(), picture.colour()));
            case VECTOR, TITLE, SOLID -> Optional.empty();
        };
    }

    private <T> T read(Source source, Function<AheadReader, T> work) {
        while (true) {
            AheadReader reader = reader(Key.of(source));
            try {
                return work.apply(reader);
            } catch (CancelledException e) {
                if (!reader.isClosed()) {
                    throw e;
                } // closed by another caller; reopened here
            }
        }
    }

    /** Graphics are drawn in sRGB and converted. */
    private Frame usual(Frame drawn, ColourSpace space) {
        return FootageColours.USUAL.to(space).map(c -> c.apply(drawn, workers)).orElse(drawn);
    }

    private synchronized AheadReader reader(Key key) {
        if (closed) {
            throw new CancelledException();
        }
        Path path = Path.of(key.path());
        Stamp stamp = Stamp.of(path);
        Open known = open.get(key);
        if (known != null && known.stamp.equals(stamp)) {
            return known.reader;
        }
        if (known != null) {
            open.remove(key).reader.close();
        }
        Footage footage = Footage.open(path, key.reading(), workers);
        AheadReader reader =
                new AheadReader(footage, footage.colours(key.reading()), workers, cache);
        open.put(key, new Open(path, stamp, reader));
        return reader;
    }

    /** Closes the files of all other sources. */
    public synchronized void closeOthers(Collection<Source> sources) {
        Set<Key> used = sources.stream().map(Key::of).collect(Collectors.toSet());
        open.entrySet()
                .removeIf(
                        each -> {
                            boolean gone = !used.contains(each.getKey());
                            if (gone) {
                                each.getValue().reader.close();
                            }
                            return gone;
                        });
    }

    /** Number of open files. */
    public synchronized int openFiles() {
        return open.size();
    }

    /** Whether a file was deleted or changed after it was opened. */
    public synchronized boolean hasChanged(Source source) {
        Open known = open.get(Key.of(source));
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
