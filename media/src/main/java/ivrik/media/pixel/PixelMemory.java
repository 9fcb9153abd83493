package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_count_planes;

import ivrik.media.ffmpeg.FrameMemory;

import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.List;
import java.util.stream.IntStream;

/** The planes of a picture in memory, of FFmpeg or Java. */
record PixelMemory(List<Plane> planes) {
    /**
     * One plane.
     *
     * @param lineBytes distance between row starts; negative if rows run upwards
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
     * A copy of the bytes of each plane.
     *
     * @param heights number of rows of each plane
     */
    List<byte[]> copied(int... heights) {
        return IntStream.range(0, planes.size())
                .mapToObj(p -> bytes(planes.get(p), heights[p]))
                .toList();
    }

    private static byte[] bytes(Plane plane, int rows) {
        MemorySegment from = plane.memory.buffer();
        long start = plane.memory.start();
        long wanted = (long) plane.lineBytes * rows; // the last row may lack padding
        byte[] bytes = new byte[Math.toIntExact(Math.min(wanted, from.byteSize() - start))];
        MemorySegment.copy(from, ValueLayout.JAVA_BYTE, start, bytes, 0, bytes.length);
        return bytes;
    }

    /** The same layout with other bytes. */
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
