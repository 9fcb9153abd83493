package ivrik.app.shell;

import ivrik.app.picture.ShownFrame;
import ivrik.app.widget.Controls;
import ivrik.core.IvrikException;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.NumberedSequence;

import javafx.scene.Node;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.Optional;
import java.util.SortedMap;

/**
 * Stills with consecutive numbers, with thumbnails of the first and the last.
 *
 * @param pattern their common path, such as {@code shot-%04d.png}
 */
record NumberedStills(Path pattern, long count, Still first, Still last) {
    private static final Logger LOG = LoggerFactory.getLogger(NumberedStills.class);
    private static final Size THUMBNAIL = new Size(224, 126);
    private static final int GAP = 12;

    /** One of the stills. */
    record Still(Path file, ShownFrame thumbnail) {
        private Node node(String id) {
            ImageView view = new ImageView(thumbnail.image());
            view.setId(id);
            return new VBox(4, view, Controls.quiet(file.getFileName().toString()));
        }
    }

    /** The stills of a pattern; empty if the files are movies or cannot be read. Not for the interface thread. */
    static Optional<NumberedStills> of(Path pattern) {
        SortedMap<Long, Path> files = NumberedSequence.files(pattern);
        try {
            Optional<Still> first = still(files.firstEntry().getValue());
            Optional<Still> last = still(files.lastEntry().getValue());
            return first.flatMap(
                    f -> last.map(l -> new NumberedStills(pattern, files.size(), f, l)));
        } catch (IvrikException e) {
            LOG.info("no numbered sequence is offered: {}", e.oneLine());
            return Optional.empty();
        }
    }

    private static Optional<Still> still(Path file) {
        try (Footage footage = Footage.open(file, Workers.shared())) {
            if (footage.kind() != Source.Kind.STILL) {
                return Optional.empty();
            }
            Size size = footage.size().fitInto(THUMBNAIL);
            ShownFrame frame = ShownFrame.of(footage.delivered(0, size), 1, Workers.shared());
            return Optional.of(new Still(file, frame));
        }
    }

    /** The thumbnails side by side, with file names. */
    Node pictures() {
        return new HBox(GAP, first.node("first-still"), last.node("last-still"));
    }
}
