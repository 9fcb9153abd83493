package ivrik.media.ffmpeg;

import static org.bytedeco.ffmpeg.avutil.AVFrame.AV_NUM_DATA_POINTERS;

import org.bytedeco.ffmpeg.avutil.AVBufferRef;
import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.lang.foreign.MemorySegment;

/**
 * The memory of one plane of an FFmpeg frame: its allocated buffer, which bounds every access, and the
 * plane's offset. Every access to pixels and samples of a frame uses this class.
 *
 * @param buffer allocated buffer
 * @param start offset of the plane in bytes
 */
public record FrameMemory(MemorySegment buffer, long start) {
    /**
     * The memory of a plane.
     *
     * @throws IllegalArgumentException if the frame has no buffer for it
     */
    public static FrameMemory of(AVFrame frame, int plane) {
        long data =
                plane < AV_NUM_DATA_POINTERS && frame.data(plane) != null
                        ? frame.data(plane).address()
                        : 0;
        for (int i = 0; data != 0 && i < AV_NUM_DATA_POINTERS; i++) {
            AVBufferRef ref = frame.buf(i);
            if (ref == null || ref.isNull()) {
                break;
            }
            long begin = ref.data().address();
            long size = ref.size();
            if (data >= begin && data < begin + size) {
                return new FrameMemory(
                        MemorySegment.ofAddress(begin).reinterpret(size), data - begin);
            }
        }
        throw new IllegalArgumentException("no memory was allocated for plane " + plane);
    }

    /**
     * Checks that bytes of the plane lie in the buffer.
     *
     * @param first offset relative to the plane; negative if rows run upwards
     * @param last offset of the last byte, inclusive
     * @throws IllegalArgumentException if they do not
     */
    public void check(long first, long last) {
        if (Math.min(first, last) < -start || Math.max(first, last) >= buffer.byteSize() - start) {
            throw new IllegalArgumentException(
                    "bytes "
                            + first
                            + " to "
                            + last
                            + " of a plane that begins at "
                            + start
                            + " of "
                            + buffer.byteSize());
        }
    }
}
