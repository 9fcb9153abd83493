package ivrik.proof;

import ivrik.core.cache.FrameCache;
import ivrik.core.json.ProjectJson;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.CRC32;

/** Projects with generated pictures, without files. */
final class GeneratedProjects {
    private static final int LARGEST = 256;

    private GeneratedProjects() {}

    /** The text of the demo project. */
    static String demo() throws IOException {
        return Files.readString(
                Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik"));
    }

    /** The demo without its pictures. */
    static Project project() throws IOException {
        return ProjectJson.read(demo()).project();
    }

    /** A picture with edges and ramps, different for each frame. */
    private static Frame picture(long frame, Size size) {
        int width = Math.min(LARGEST, size.width());
        int height = Math.min(LARGEST, size.height());
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            planes[c] = Plane.of(width, height);
            for (int i = 0; i < width * height; i++) {
                long at = i % width * 7L + i / width * 13L + frame * 29 + c * 71L;
                planes[c].data()[i] = Math.floorMod(at, 101) / 100f;
            }
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }

    /**
     * A frame of a project.
     *
     * @param width approximate width in pixels
     */
    static Frame render(
            Project project, long frame, int width, Workers workers, Cancellation cancel) {
        Renderer renderer =
                new Renderer(
                        (p, shown) -> picture(p.frame(), shown),
                        workers,
                        new FrameCache(64L << 20));
        double scale = Math.min(1, (double) width / project.sequence().size().width());
        return renderer.render(Planner.plan(project, frame), scale, cancel);
    }

    /** A checksum; different frames are expected to differ. */
    static long sum(Frame frame) {
        CRC32 sum = new CRC32();
        for (Plane plane : frame.colour()) {
            for (float value : plane.data()) {
                int bits = Float.floatToRawIntBits(value);
                sum.update(bits);
                sum.update(bits >> 8);
                sum.update(bits >> 16);
                sum.update(bits >> 24);
            }
        }
        return sum.getValue();
    }

    /** Whether all samples are finite. */
    static boolean isSound(Frame frame) {
        for (Plane plane : frame.colour()) {
            for (float value : plane.data()) {
                if (!Float.isFinite(value)) {
                    return false;
                }
            }
        }
        return true;
    }
}
