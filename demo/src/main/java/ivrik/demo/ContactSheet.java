package ivrik.demo;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.render.Screen;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;
import ivrik.media.encode.StillWriter;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;

/**
 * A contact sheet of all built-in looks on one frame: {@code ContactSheet CLIP FRAME OUT.png}. Each look is
 * rendered at its displayed size.
 */
public final class ContactSheet {
    private static final int COLUMNS = 5;
    private static final int WIDE = 300;
    private static final int LABEL = 24;
    private static final int GAP = 6;
    private static final long CACHE_BYTES = 1L << 29;

    private ContactSheet() {}

    public static void main(String[] args) {
        Path clip = Path.of(args[0]);
        long frame = Long.parseLong(args[1]);
        List<BuiltInLook> looks = BuiltInLooks.shelf();
        Source source = Import.source(clip, "clip");
        int high = WIDE * source.size().height() / source.size().width();
        int rows = (looks.size() + COLUMNS - 1) / COLUMNS;
        BufferedImage sheet =
                new BufferedImage(
                        GAP + COLUMNS * (WIDE + GAP),
                        GAP + rows * (high + LABEL),
                        BufferedImage.TYPE_INT_RGB);
        Graphics2D g = sheet.createGraphics();
        g.setRenderingHint(
                RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setFont(Lettering.plain(15));
        g.setColor(new Color(0xdddad2));
        for (int i = 0; i < looks.size(); i++) {
            int x = GAP + i % COLUMNS * (WIDE + GAP);
            int y = GAP + i / COLUMNS * (high + LABEL);
            g.drawImage(tile(source, looks.get(i), frame, new Size(WIDE, high)), x, y, null);
            g.drawString(looks.get(i).look().displayName(), x, y + high + 17);
        }
        g.dispose();
        StillWriter.write(MakeDemo.frame(sheet), Path.of(args[2]), Depth.INT8, Workers.shared());
    }

    private static BufferedImage tile(Source source, BuiltInLook look, long frame, Size size) {
        Workers workers = Workers.shared();
        Project project = Import.project(source, look.withExampleSettings());
        FrameCache cache = new FrameCache(CACHE_BYTES);
        try (MediaPictures pictures = new MediaPictures(workers, cache)) {
            Renderer renderer = new Renderer(pictures, workers, cache);
            double scale = (double) size.width() / source.size().width();
            Screen screen =
                    renderer.screen(Planner.plan(project, frame), scale, Cancellation.NEVER);
            Size made = screen.size();
            BufferedImage tile =
                    new BufferedImage(made.width(), made.height(), BufferedImage.TYPE_INT_RGB);
            tile.setRGB(0, 0, made.width(), made.height(), screen.pixels(), 0, made.width());
            return tile;
        }
    }
}
