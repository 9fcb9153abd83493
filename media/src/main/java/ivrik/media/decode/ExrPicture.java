package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_EXR;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.file.WholeFile;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An OpenEXR picture. FFmpeg decodes single-part files whose display window starts at the origin, so the
 * selected part is converted to such a file in memory.
 */
final class ExrPicture {
    private static final int VERSION = 4;
    private static final int HEADERS = 8;
    private static final int TILED = 0x200;
    private static final int IN_PARTS = 0x1000;

    /** Bytes of a tile's coordinates; a scanline block has one coordinate. */
    private static final int TILE_PLACE = 16;

    private static final int LINE_PLACE = 4;

    private final Path path;
    private final ByteBuffer file;
    private final List<ExrHeader> parts = new ArrayList<>();
    private final boolean inParts;

    private ExrPicture(Path path) throws IOException {
        this.path = path;
        this.file = ByteBuffer.wrap(WholeFile.bytes(path)).order(ByteOrder.LITTLE_ENDIAN);
        inParts = (file.getInt(VERSION) & IN_PARTS) != 0;
        file.position(HEADERS);
        do {
            parts.add(ExrHeader.read(file));
        } while (inParts && file.get(file.position()) != 0);
    }

    /**
     * @param layer one of {@link #choices}; empty for the first
     * @throws UnreadableMediaException if the file is damaged or has no such layer
     */
    static RasterPicture read(Path path, Optional<String> layer, Workers workers) {
        try {
            return new ExrPicture(path).picture(layer, workers);
        } catch (UnreadableMediaException e) {
            throw e;
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + path, "check the read permission", e);
        } catch (RuntimeException e) {
            throw damaged(path, e);
        }
    }

    private static UnreadableMediaException damaged(Path path, RuntimeException cause) {
        return new UnreadableMediaException(
                path
                        + " cannot be read as OpenEXR: it is damaged, truncated or has no colour"
                        + " channels",
                "render the picture again",
                cause);
    }

    /** A selectable picture: a layer of a part, or the part's channels without a layer. */
    private record Choice(String name, ExrHeader part, Optional<String> layer) {}

    /** Choices in order; the first is the default. */
    private List<Choice> choices() {
        List<Choice> choices = new ArrayList<>();
        for (ExrHeader part : parts) {
            if (part.isDeep()) {
                continue;
            }
            String name = part.name().isEmpty() ? "part " + (parts.indexOf(part) + 1) : part.name();
            if (part.isPlain()) {
                choices.add(new Choice(inParts ? name : "", part, Optional.empty()));
            }
            for (String layer : part.layers()) {
                boolean taken = choices.stream().anyMatch(c -> c.name().equals(layer));
                choices.add(
                        new Choice(taken ? name + "." + layer : layer, part, Optional.of(layer)));
            }
        }
        return choices;
    }

    private RasterPicture picture(Optional<String> wanted, Workers workers) {
        List<Choice> choices = choices();
        if (choices.isEmpty()) {
            throw new UnreadableMediaException(
                    path + " contains deep image data only, which is not supported",
                    "render it as a flat image");
        }
        List<String> names = choices.stream().map(Choice::name).filter(n -> !n.isEmpty()).toList();
        Choice shown =
                choices.stream()
                        .filter(c -> wanted.isEmpty() || c.name().equals(wanted.get()))
                        .findFirst()
                        .orElseThrow(() -> noLayer(wanted.get(), names));
        MemoryCheck.check(size(shown.part()), path);
        ByteBuffer alone = inParts ? alone(shown.part()) : file;
        toOrigin(alone);
        var decoded =
                PacketDecoder.decode(
                                AV_CODEC_ID_EXR,
                                alone.array(),
                                shown.layer().map(name -> Map.of("layer", name)).orElse(Map.of()),
                                workers)
                        .orElseThrow(() -> damaged(path, null));
        return new RasterPicture(
                straight(decoded.frame(), workers),
                decoded.depth(),
                "exr",
                shown.part().colours(),
                shownFirst(names, shown.name()));
    }

    private UnreadableMediaException noLayer(String layer, List<String> names) {
        return new UnreadableMediaException(
                path + " has no layer named " + layer,
                names.isEmpty()
                        ? "the file has one unnamed layer"
                        : "choose one of " + String.join(", ", names));
    }

    private static List<String> shownFirst(List<String> names, String shown) {
        List<String> ordered = new ArrayList<>(names);
        if (ordered.remove(shown)) {
            ordered.addFirst(shown);
        }
        return ordered;
    }

    private Size size(ExrHeader part) {
        int at = part.displayWindow();
        return new Size(
                file.getInt(at + 8) - file.getInt(at) + 1,
                file.getInt(at + 12) - file.getInt(at + 4) + 1);
    }

    /** A file with only one of the parts. */
    private ByteBuffer alone(ExrHeader part) {
        int table = parts.getLast().end() + 1; // a zero byte ends the headers
        for (ExrHeader before : parts.subList(0, parts.indexOf(part))) {
            table += 8 * before.chunks();
        }
        int place = part.isTiled() ? TILE_PLACE : LINE_PLACE;
        int headed = HEADERS + part.end() - part.start();
        int at = headed + 8 * part.chunks();
        int length = at;
        for (int i = 0; i < part.chunks(); i++) {
            length += chunkLength(chunk(table, i), place);
        }
        ByteBuffer alone = ByteBuffer.allocate(length).order(ByteOrder.LITTLE_ENDIAN);
        int flags = file.getInt(VERSION) & ~IN_PARTS & ~TILED | (part.isTiled() ? TILED : 0);
        alone.putInt(0, file.getInt(0)).putInt(VERSION, flags);
        alone.put(HEADERS, file, part.start(), part.end() - part.start());
        for (int i = 0; i < part.chunks(); i++) {
            int chunk = chunk(table, i);
            int size = chunkLength(chunk, place);
            alone.putLong(headed + 8 * i, at);
            alone.put(at, file, chunk, size);
            at += size;
        }
        return alone;
    }

    /** Offset of a chunk, after its part number. */
    private int chunk(int table, int i) {
        return Math.toIntExact(file.getLong(table + 8 * i)) + 4;
    }

    private int chunkLength(int chunk, int place) {
        return place + 4 + file.getInt(chunk + place);
    }

    /** Moves the windows so that the display window starts at 0, 0. */
    private static void toOrigin(ByteBuffer file) {
        file.position(HEADERS);
        ExrHeader header = ExrHeader.read(file);
        int x = file.getInt(header.displayWindow());
        int y = file.getInt(header.displayWindow() + 4);
        if (x == 0 && y == 0) {
            return;
        }
        int firstLine = file.getInt(header.dataWindow() + 4);
        int lastLine = file.getInt(header.dataWindow() + 12);
        for (int window : new int[] {header.dataWindow(), header.displayWindow()}) {
            for (int i = 0; i < 4; i++) {
                int at = window + 4 * i;
                file.putInt(at, file.getInt(at) - (i % 2 == 0 ? x : y));
            }
        }
        boolean tiled = (file.getInt(VERSION) & TILED) != 0;
        // scanline blocks store their first line; tiles count from the window
        for (int block = 0; !tiled && block <= lastLine - firstLine; block++) {
            int entry = header.end() + 8 * block;
            if (entry + 8 > file.limit()) {
                return;
            }
            long at = file.getLong(entry);
            if (at < header.end() || at + 4 > file.limit()) {
                return; // end of the chunk table
            }
            int line = file.getInt((int) at);
            if (line < firstLine || line > lastLine) {
                return;
            }
            file.putInt((int) at, line - y);
        }
    }

    /** OpenEXR stores premultiplied colour. */
    private static Frame straight(Frame frame, Workers workers) {
        return frame.isOpaque()
                ? frame
                : new Frame(frame.colour(), Alpha.PREMULTIPLIED, frame.coverage())
                        .straight(workers);
    }
}
