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

/** Several small pictures beside each other on middle grey, as one file; written in a thread of its own. */
final class TiledPicture {
    private static final int WIDTH = 480;
    private static final int GAP = 12;
    private static final int COLUMNS = 4;
    private static final float GREY = 0.18f;

    /** The height of a line of words, and how they are set. */
    private static final int WORDS = 34;

    private static final Title WORD = Title.EMPTY.with(t -> t.weight(400).sizePx(20).tracking(20));

    private final PictureService service;
    private final long frame;
    private final BiConsumer<String, String> tell;

    /**
     * @param tell a title and a text, at the end
     */
    TiledPicture(PictureService service, long frame, BiConsumer<String, String> tell) {
        this.service = service;
        this.frame = frame;
        this.tell = tell;
    }

    void write(SequencedMap<String, Project> each, Path file) {
        Threads.start(
                "ivrik-tiles",
                () -> {
                    String title = "Saved";
                    String text = "The progressives are in " + file;
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
                        title = "Could not save the progressives";
                        text = e.oneLine();
                    }
                    String head = title;
                    String body = text;
                    Platform.runLater(() -> tell.accept(head, body));
                });
    }

    /** All frames, of one size, in rows of four, each with its name under it. */
    static Frame sheet(List<String> names, List<Frame> frames) {
        Size one = frames.getFirst().size();
        int columns = Math.min(COLUMNS, frames.size());
        int rows = (frames.size() + COLUMNS - 1) / COLUMNS;
        int high = one.height() + WORDS;
        Size line = new Size(one.width(), WORDS);
        List<Plane> words =
                names.stream()
                        .map(name -> TitleGraphic.draw(WORD.withText(name), line, line))
                        .map(word -> word.coverage().getFirst())
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
                Plane word = words.get(i);
                for (int row = 0; row < WORDS; row++) {
                    int to = out[c].row(y + one.height() + row) + x;
                    for (int k = 0; k < one.width(); k++) {
                        out[c].data()[to + k] += (1 - GREY) * word.at(k, row);
                    }
                }
            }
        }
        return Frame.opaque(out[0], out[1], out[2]);
    }
}
