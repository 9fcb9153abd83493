package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.core.IvrikException;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.project.Title;
import ivrik.core.render.Planner;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;
import ivrik.media.vector.TitleGraphic;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SequencedMap;
import java.util.function.BiConsumer;

/** Writes several thumbnails side by side on middle grey as one file, on its own thread. */
final class TiledPicture {
    private static final int WIDTH = 480;
    private static final int GAP = 12;
    private static final int COLUMNS = 4;
    private static final float GREY = 0.18f;

    /** Height of a caption, and its font. */
    private static final int CAPTION_HEIGHT = 34;

    private static final Title CAPTION =
            Title.EMPTY.with(t -> t.weight(400).sizePx(20).tracking(20));

    private final PictureService service;
    private final long frame;
    private final BiConsumer<String, String> report;

    /**
     * @param report receives title and text at the end
     */
    TiledPicture(PictureService service, long frame, BiConsumer<String, String> report) {
        this.service = service;
        this.frame = frame;
        this.report = report;
    }

    void write(SequencedMap<String, Project> each, Path file) {
        Threads.start(
                "ivrik-tiles",
                () -> {
                    String title = "Saved";
                    String text = "Channel combinations exported to " + file;
                    try {
                        List<Frame> frames = new ArrayList<>();
                        for (Project project : each.values()) {
                            frames.add(service.small(Planner.plan(project, frame), WIDTH).frame());
                        }
                        StillWriter.write(
                                sheet(List.copyOf(each.keySet()), frames),
                                file,
                                Depth.INT8,
                                Workers.shared());
                    } catch (IvrikException e) {
                        title = "Channel combinations could not be exported";
                        text = e.oneLine();
                    }
                    String head = title;
                    String body = text;
                    Platform.runLater(() -> report.accept(head, body));
                });
    }

    /** Frames of the same size in rows of four, each with a caption. */
    static Frame sheet(List<String> names, List<Frame> frames) {
        Size one = frames.getFirst().size();
        int columns = Math.min(COLUMNS, frames.size());
        int rows = (frames.size() + COLUMNS - 1) / COLUMNS;
        int high = one.height() + CAPTION_HEIGHT;
        Size line = new Size(one.width(), CAPTION_HEIGHT);
        List<Plane> captions =
                names.stream()
                        .map(name -> TitleGraphic.draw(CAPTION.withText(name), line, line))
                        .map(caption -> caption.coverage().getFirst())
                        .toList();
        Plane[] out = new Plane[3];
        for (int c = 0; c < 3; c++) {
            out[c] =
                    Plane.flat(
                            columns * (one.width() + GAP) + GAP, rows * (high + GAP) + GAP, GREY);
            for (int i = 0; i < frames.size(); i++) {
                Plane in = frames.get(i).premultiplied(Workers.shared()).colour().get(c);
                int x = GAP + i % COLUMNS * (one.width() + GAP);
                int y = GAP + i / COLUMNS * (high + GAP);
                for (int row = 0; row < one.height(); row++) {
                    System.arraycopy(
                            in.data(),
                            in.row(row),
                            out[c].data(),
                            out[c].row(y + row) + x,
                            one.width());
                }
                Plane caption = captions.get(i);
                for (int row = 0; row < CAPTION_HEIGHT; row++) {
                    int to = out[c].row(y + one.height() + row) + x;
                    for (int k = 0; k < one.width(); k++) {
                        out[c].data()[to + k] += (1 - GREY) * caption.at(k, row);
                    }
                }
            }
        }
        return Frame.opaque(out[0], out[1], out[2]);
    }
}
