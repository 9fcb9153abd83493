package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.media.ffmpeg.FrameMemory;

import org.bytedeco.ffmpeg.avutil.AVComponentDescriptor;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One component of an FFmpeg picture as rows of floats; position and storage come from the pixel format's
 * {@code AVComponentDescriptor}. The largest integer code value becomes 1.
 */
final class PixelComponent {
    /** Tables of code values by depth, for interleaved samples. */
    private static final Map<Integer, float[]> CODES = new ConcurrentHashMap<>();

    private final MemorySegment plane;
    private final long lineBytes;
    private final int step;
    private final long offset;
    private final int shift;
    private final int depth;
    private final boolean floats;
    private final ByteOrder order;
    private final int width;
    private final int bytes;
    private final float[] codes;

    /**
     * @param width samples per row
     * @param height number of rows
     * @throws IllegalArgumentException if the memory is too small
     */
    PixelComponent(
            PixelMemory pixels, AVPixFmtDescriptor layout, int component, int width, int height) {
        AVComponentDescriptor c = layout.comp(component);
        FrameMemory memory = pixels.planes().get(c.plane()).memory();
        this.lineBytes = pixels.planes().get(c.plane()).lineBytes();
        this.plane = memory.buffer();
        this.step = c.step();
        this.offset = memory.start() + c.offset();
        this.shift = c.shift();
        this.depth = c.depth();
        this.floats = (layout.flags() & AV_PIX_FMT_FLAG_FLOAT) != 0;
        this.order =
                (layout.flags() & AV_PIX_FMT_FLAG_BE) != 0
                        ? ByteOrder.BIG_ENDIAN
                        : ByteOrder.LITTLE_ENDIAN;
        this.width = width;
        this.bytes = depth <= 8 && !floats ? 1 : depth > 16 ? 4 : 2;
        long inLine = c.offset() + (width - 1L) * step + bytes - 1;
        memory.check(c.offset(), inLine);
        memory.check((height - 1) * lineBytes + c.offset(), (height - 1) * lineBytes + inLine);
        boolean lookedUp = !floats && depth <= Short.SIZE && !areBytes() && !areShorts();
        this.codes = lookedUp ? CODES.computeIfAbsent(depth, PixelComponent::codes) : null;
    }

    private static float[] codes(int depth) {
        float[] codes = new float[1 << depth];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = (float) ((double) i / (codes.length - 1));
        }
        return codes;
    }

    /** Scratch space for a row, one per thread. */
    Line line() {
        byte[] bytes = new byte[(width - 1) * step + this.bytes];
        short[] shorts = new short[areShorts() ? width : 0];
        return new Line(bytes, ByteBuffer.wrap(bytes).order(order), shorts, new float[width]);
    }

    /**
     * Scratch space for a row.
     *
     * @param bytes stored bytes
     * @param samples the same bytes in the component's byte order
     * @param shorts for contiguous 16-bit samples
     * @param codes code values to store
     */
    record Line(byte[] bytes, ByteBuffer samples, short[] shorts, float[] codes) {}

    private boolean areBytes() {
        return step == 1 && depth == Byte.SIZE && !floats;
    }

    private boolean areShorts() {
        return step == Short.BYTES && depth > Byte.SIZE && depth <= Short.SIZE && !floats;
    }

    /** The rows, read on request. */
    Rows rows(int height) {
        return Rows.read(
                new Size(width, height),
                () -> {
                    Line line = line();
                    return (y, out, o) -> read(y, out, o, line);
                });
    }

    /** Reads a row into {@code out} from index {@code o}. */
    void read(int y, float[] out, int o, Line line) {
        if (areShorts()) {
            MemorySegment.copy(plane, shorts(), at(y), line.shorts(), 0, width);
            CodeRows.read(line.shorts(), shift, depth, out, o);
            return;
        }
        load(y, line);
        ByteBuffer samples = line.samples();
        if (areBytes()) {
            CodeRows.read(line.bytes(), out, o);
        } else if (floats && depth == 32) {
            for (int x = 0, i = 0; x < width; x++, i += step) {
                out[o + x] = samples.getFloat(i);
            }
        } else if (floats) {
            for (int x = 0, i = 0; x < width; x++, i += step) {
                out[o + x] = Float.float16ToFloat(samples.getShort(i));
            }
        } else if (depth <= 8) {
            byte[] bytes = line.bytes();
            int mask = codes.length - 1;
            for (int x = 0, i = 0; x < width; x++, i += step) {
                out[o + x] = codes[bytes[i] >> shift & mask];
            }
        } else {
            int mask = codes.length - 1;
            for (int x = 0, i = 0; x < width; x++, i += step) {
                out[o + x] = codes[(samples.getShort(i) & 0xffff) >> shift & mask];
            }
        }
    }

    /** Writes a row from index {@code from}; other components in the same bytes are kept. */
    void write(int y, float[] in, int from, Line line) {
        float[] codes = line.codes();
        if (!floats && from == 0) { // fastest for index 0
            RowArithmetic.codes(in, (1 << depth) - 1, codes);
        } else if (!floats) {
            System.arraycopy(in, from, codes, 0, width);
            RowArithmetic.codes(codes, (1 << depth) - 1, codes);
        }
        if (areShorts()) {
            CodeRows.write(codes, shift, line.shorts());
            MemorySegment.copy(line.shorts(), 0, plane, shorts(), at(y), width);
            return;
        }
        if (step > bytes) {
            load(y, line);
        }
        byte[] stored = line.bytes();
        ByteBuffer samples = line.samples();
        if (areBytes()) {
            CodeRows.write(codes, stored);
        } else if (floats) {
            for (int x = 0, i = 0; x < width; x++, i += step) {
                samples.putFloat(i, in[from + x]);
            }
        } else if (depth <= Byte.SIZE) {
            for (int x = 0, i = 0; x < width; x++, i += step) {
                stored[i] = (byte) ((int) codes[x] << shift);
            }
        } else {
            for (int x = 0, i = 0; x < width; x++, i += step) {
                samples.putShort(i, (short) ((int) codes[x] << shift));
            }
        }
        MemorySegment.copy(stored, 0, plane, ValueLayout.JAVA_BYTE, at(y), stored.length);
    }

    private ValueLayout.OfShort shorts() {
        return ValueLayout.JAVA_SHORT_UNALIGNED.withOrder(order);
    }

    private void load(int y, Line line) {
        byte[] bytes = line.bytes();
        MemorySegment.copy(plane, ValueLayout.JAVA_BYTE, at(y), bytes, 0, bytes.length);
    }

    private long at(int y) {
        return y * lineBytes + offset;
    }
}
