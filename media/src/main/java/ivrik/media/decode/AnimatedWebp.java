package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_WEBP;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.file.WholeFile;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * An animated WebP: frames composited on a canvas (WebP container specification). FFmpeg decodes each frame
 * as a file of its own. Not thread-safe.
 */
final class AnimatedWebp {
    private static final int HEADER_BYTES = 12;
    private static final int CHUNK_BYTES = 8;
    private static final int PIECE_HEADER_BYTES = 16;
    private static final int CANVAS_FLAGS_BYTES = 10;
    private static final int ALPHA_FLAG = 0x10;

    private final Path path;
    private final Workers workers;
    private final Size size;
    private final List<Piece> pieces = new ArrayList<>();
    private final FrameTimes times;
    private Frame canvas;
    private int laid;

    /**
     * One frame of the animation.
     *
     * @param over whether it is blended over the canvas instead of replacing it
     * @param clears whether its area is cleared before the next frame
     */
    private record Piece(
            int x,
            int y,
            Size size,
            int milliseconds,
            boolean over,
            boolean clears,
            ByteBuffer chunks) {}

    AnimatedWebp(Path path, Workers workers) {
        this.path = path;
        this.workers = workers;
        ByteBuffer file;
        try {
            file = ByteBuffer.wrap(WholeFile.bytes(path)).order(ByteOrder.LITTLE_ENDIAN);
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + path, "check the read permission", e);
        }
        Size canvasSize = null;
        file.position(HEADER_BYTES);
        while (file.remaining() >= CHUNK_BYTES) {
            String kind = name(file);
            long length = file.getInt() & 0xffffffffL;
            int start = file.position();
            if (length > file.remaining()) {
                break; // truncated file: complete frames are shown
            }
            if (kind.equals("VP8X") && length >= CANVAS_FLAGS_BYTES) {
                canvasSize = new Size(1 + whole(file, start + 4), 1 + whole(file, start + 7));
            } else if (kind.equals("ANMF") && length > PIECE_HEADER_BYTES) {
                pieces.add(piece(file, start, (int) length));
            }
            file.position((int) Math.min(file.limit(), start + length + (length & 1)));
        }
        if (canvasSize == null || pieces.isEmpty()) {
            throw damaged();
        }
        size = canvasSize;
        MemoryCheck.check(size, path);
        times = times();
    }

    private static String name(ByteBuffer file) {
        byte[] name = new byte[4];
        file.get(name);
        return new String(name, StandardCharsets.US_ASCII);
    }

    /** A 24-bit integer. */
    private static int whole(ByteBuffer file, int at) {
        return file.get(at) & 0xff
                | (file.get(at + 1) & 0xff) << 8
                | (file.get(at + 2) & 0xff) << 16;
    }

    private static Piece piece(ByteBuffer file, int start, int length) {
        int flags = file.get(start + 15);
        return new Piece(
                2 * whole(file, start),
                2 * whole(file, start + 3),
                new Size(1 + whole(file, start + 6), 1 + whole(file, start + 9)),
                whole(file, start + 12),
                (flags & 2) == 0,
                (flags & 1) != 0,
                file.slice(start + PIECE_HEADER_BYTES, length - PIECE_HEADER_BYTES));
    }

    private FrameTimes times() {
        long[] starts = new long[pieces.size()];
        long at = 0;
        for (int i = 0; i < starts.length; i++) {
            starts[i] = at;
            at += Math.max(1, pieces.get(i).milliseconds());
        }
        return FrameTimes.of(
                FrameIndex.ofDecoding(starts, pieces.getLast().milliseconds()),
                new Rational(1, 1000),
                Rational.ZERO);
    }

    Size size() {
        return size;
    }

    FrameTimes frameTimes() {
        return times;
    }

    /** Frame {@code n} at the constant rate. */
    Frame frame(long n) {
        int wanted = (int) times.stored(n);
        if (canvas == null || wanted < laid - 1) {
            canvas = Frame.empty(size).straight(workers);
            laid = 0;
        }
        while (laid <= wanted) {
            if (laid > 0 && pieces.get(laid - 1).clears()) {
                canvas = with(pieces.get(laid - 1), null);
            }
            canvas = with(pieces.get(laid), decoded(pieces.get(laid)));
            laid++;
        }
        return canvas;
    }

    /** The smaller of a declared and an actual size, for damaged files. */
    private static Size smaller(Size said, Size found) {
        return new Size(
                Math.min(said.width(), found.width()), Math.min(said.height(), found.height()));
    }

    /** The canvas with a picture inserted, or with its area cleared. */
    private Frame with(Piece piece, Frame picture) {
        Plane[] planes = new Plane[4];
        for (int c = 0; c < 4; c++) {
            Plane was = c < 3 ? canvas.colour().get(c) : canvas.coverage().getFirst();
            planes[c] = Plane.of(size.width(), size.height(), was.data().clone());
        }
        Size there = picture == null ? piece.size() : smaller(piece.size(), picture.size());
        int width = Math.min(there.width(), size.width() - piece.x());
        int height = Math.min(there.height(), size.height() - piece.y());
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int i = (piece.y() + y) * size.width() + piece.x() + x;
                float a =
                        picture == null
                                ? 0
                                : picture.isOpaque() ? 1 : picture.coverage().getFirst().at(x, y);
                float under = piece.over() && picture != null ? planes[3].data()[i] * (1 - a) : 0;
                float covered = a + under;
                for (int c = 0; c < 3; c++) {
                    float colour = picture == null ? 0 : picture.colour().get(c).at(x, y);
                    planes[c].data()[i] =
                            under == 0
                                    ? colour
                                    : (colour * a + planes[c].data()[i] * under) / covered;
                }
                planes[3].data()[i] = covered;
            }
        }
        return Frame.straight(planes[0], planes[1], planes[2], planes[3]);
    }

    private Frame decoded(Piece piece) {
        return PacketDecoder.decode(AV_CODEC_ID_WEBP, alone(piece), Map.of(), workers)
                .orElseThrow(this::damaged)
                .frame();
    }

    /** A frame as a still WebP file. */
    private static byte[] alone(Piece piece) {
        ByteBuffer chunks = piece.chunks().duplicate();
        int extra = CHUNK_BYTES + CANVAS_FLAGS_BYTES;
        ByteBuffer file =
                ByteBuffer.allocate(HEADER_BYTES + extra + chunks.remaining())
                        .order(ByteOrder.LITTLE_ENDIAN);
        file.put("RIFF".getBytes(StandardCharsets.US_ASCII));
        file.putInt(file.capacity() - CHUNK_BYTES);
        file.put("WEBPVP8X".getBytes(StandardCharsets.US_ASCII));
        file.putInt(CANVAS_FLAGS_BYTES);
        file.putInt(ALPHA_FLAG);
        putWhole(file, piece.size().width() - 1);
        putWhole(file, piece.size().height() - 1);
        return file.put(chunks).array();
    }

    private static void putWhole(ByteBuffer file, int value) {
        file.put((byte) value).put((byte) (value >> 8)).put((byte) (value >> 16));
    }

    private UnreadableMediaException damaged() {
        return new UnreadableMediaException(
                path + " cannot be read as an animated WebP (damaged or truncated)",
                "save it again");
    }
}
