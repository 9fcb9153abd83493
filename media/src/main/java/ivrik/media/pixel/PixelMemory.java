package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_count_planes;

import ivrik.media.ffmpeg.FrameMemory;

import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.List;
import java.util.stream.IntStream;

/** The planes of a picture in memory: FFmpeg's, or bytes of our own. */
record PixelMemory(List<Plane> planes) {
    /**
     * One of them.
     *
     * @param lineBytes from the beginning of a row to that of the next; negative where rows run upward
     */
    record Plane(FrameMemory memory, int lineBytes) {}

    static PixelMemory of(AVFrame frame) {
        return new PixelMemory(
                IntStream.range(0, av_pix_fmt_count_planes(frame.format()))
                        .mapToObj(p -> new Plane(FrameMemory.of(frame, p), frame.linesize(p)))
                        .toList());
    }

    boolean runsDownward() {
        return planes.stream().allMatch(plane -> plane.lineBytes > 0);
    }

    /**
     * The bytes of each plane, copied.
     *
     * @param heights how many rows each has; they run downward
     */
    List<byte[]> copied(int... heights) {
        return IntStream.range(0, planes.size())
                .mapToObj(p -> bytes(planes.get(p), heights[p]))
                .toList();
    }

    private static byte[] bytes(Plane plane, int rows) {
        MemorySegment from = plane.memory.buffer();
        long start = plane.memory.start();
        long wanted = (long) plane.lineBytes * rows; // the last row may end before its line does
        byte[] bytes = new byte[Math.toIntExact(Math.min(wanted, from.byteSize() - start))];
        MemorySegment.copy(from, ValueLayout.JAVA_BYTE, start, bytes, 0, bytes.length);
        return bytes;
    }

    /** The same planes with other bytes. */
    PixelMemory with(List<byte[]> bytes) {
        return new PixelMemory(
                IntStream.range(0, planes.size())
                        .mapToObj(
                                p ->
                                        new Plane(
                                                new FrameMemory(
                                                        MemorySegment.ofArray(bytes.get(p)), 0),
                                                planes.get(p).lineBytes))
                        .toList());
    }
}
