package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.media.ffmpeg.FrameMemory;

import org.bytedeco.ffmpeg.avutil.AVComponentDescriptor;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.nio.ByteOrder;

/**
 * One component of an FFmpeg picture, as rows of floats: where its samples lie and how they are
 * stored, read off the layout's {@code AVComponentDescriptor}. Integer codes are scaled so that the
 * largest of the component's depth is 1.
 */
final class PixelComponent {
    private static final ValueLayout.OfShort LE16 =
            ValueLayout.JAVA_SHORT_UNALIGNED.withOrder(ByteOrder.LITTLE_ENDIAN);
    private static final ValueLayout.OfShort BE16 =
            ValueLayout.JAVA_SHORT_UNALIGNED.withOrder(ByteOrder.BIG_ENDIAN);
    private static final ValueLayout.OfFloat LE32 =
            ValueLayout.JAVA_FLOAT_UNALIGNED.withOrder(ByteOrder.LITTLE_ENDIAN);
    private static final ValueLayout.OfFloat BE32 =
            ValueLayout.JAVA_FLOAT_UNALIGNED.withOrder(ByteOrder.BIG_ENDIAN);

    private final MemorySegment plane;
    private final long lineBytes;
    private final int step;
    private final long offset;
    private final int shift;
    private final int depth;
    private final boolean floats;
    private final boolean bigEndian;
    private final int width;
    private final float[] codes;

    /**
     * @param width samples in a row
     * @param height rows
     * @throws IllegalArgumentException if the frame's memory does not hold as many
     */
    PixelComponent(AVFrame frame, AVPixFmtDescriptor layout, int component, int width, int height) {
        AVComponentDescriptor c = layout.comp(component);
        FrameMemory memory = FrameMemory.of(frame, c.plane());
        this.lineBytes = frame.linesize(c.plane());
        this.plane = memory.buffer();
        this.step = c.step();
        this.offset = memory.start() + c.offset();
        this.shift = c.shift();
        this.depth = c.depth();
        this.floats = (layout.flags() & AV_PIX_FMT_FLAG_FLOAT) != 0;
        this.bigEndian = (layout.flags() & AV_PIX_FMT_FLAG_BE) != 0;
        this.width = width;
        int bytes = depth <= 8 && !floats ? 1 : depth > 16 ? 4 : 2;
        long inLine = c.offset() + (width - 1L) * step + bytes - 1;
        memory.check(c.offset(), inLine);
        memory.check((height - 1) * lineBytes + c.offset(), (height - 1) * lineBytes + inLine);
        this.codes = floats || depth > 16 ? null : codes(depth);
    }

    private static float[] codes(int depth) {
        float[] codes = new float[1 << depth];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = (float) ((double) i / (codes.length - 1));
        }
        return codes;
    }

    /** Room for {@link #read}, one for each thread. */
    byte[] scratch() {
        return new byte[depth <= 8 && !floats ? (width - 1) * step + 1 : 0];
    }

    void read(int y, float[] out, int o, byte[] scratch) {
        long at = y * lineBytes + offset;
        if (floats && depth == 32) {
            for (int x = 0; x < width; x++, at += step) {
                out[o + x] = plane.get(bigEndian ? BE32 : LE32, at);
            }
        } else if (floats) {
            for (int x = 0; x < width; x++, at += step) {
                out[o + x] = Float.float16ToFloat(plane.get(bigEndian ? BE16 : LE16, at));
            }
        } else if (depth <= 8) {
            int mask = codes.length - 1;
            MemorySegment.copy(plane, ValueLayout.JAVA_BYTE, at, scratch, 0, scratch.length);
            for (int x = 0, i = 0; x < width; x++, i += step) {
                out[o + x] = codes[scratch[i] >> shift & mask];
            }
        } else {
            int mask = codes.length - 1;
            for (int x = 0; x < width; x++, at += step) {
                out[o + x] =
                        codes[(plane.get(bigEndian ? BE16 : LE16, at) & 0xffff) >> shift & mask];
            }
        }
    }

    void write(int y, float[] in, int i) {
        long at = y * lineBytes + offset;
        if (floats) {
            for (int x = 0; x < width; x++, at += step) {
                plane.set(bigEndian ? BE32 : LE32, at, in[i + x]);
            }
            return;
        }
        double largest = (1 << depth) - 1;
        for (int x = 0; x < width; x++, at += step) {
            float v = in[i + x];
            int code = (int) (Math.min(1f, Math.max(0f, v == v ? v : 0f)) * largest + 0.5);
            if (depth <= 8) {
                plane.set(ValueLayout.JAVA_BYTE, at, (byte) (code << shift));
            } else {
                plane.set(bigEndian ? BE16 : LE16, at, (short) (code << shift));
            }
        }
    }
}
