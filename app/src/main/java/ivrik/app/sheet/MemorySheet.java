package ivrik.app.sheet;

import com.sun.management.OperatingSystemMXBean;

import ivrik.app.widget.NumberField;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

import java.lang.management.ManagementFactory;
import java.util.function.DoubleConsumer;

/** Memory limit for pictures: decoded, intermediate and ready ones. */
public final class MemorySheet extends VBox {
    private static final double MIN_MB = 64;
    private static final double MEGABYTE = 1 << 20;

    private final NumberField field;

    /**
     * @param budget present limit in bytes
     * @param held bytes in use
     * @param change receives the new limit in MB
     */
    public MemorySheet(long budget, long held, DoubleConsumer change, Sheets sheets) {
        Label head = new Label("Frame cache memory");
        head.getStyleClass().add("title");
        double most = Math.floor(machine() / MEGABYTE * 0.6);
        field =
                new NumberField(
                        new NumberField.Spec("MB", MIN_MB, most, most / 2, 64, 0, false),
                        "Memory limit of the frame cache, in MB",
                        change::accept);
        field.setId("memory-mb");
        field.show(Math.rint(budget / MEGABYTE));
        Label now = new Label(String.format("In use: %,d MB", Math.round(held / MEGABYTE)));
        now.getStyleClass().add("quiet");
        GridPane grid = new GridPane(12, 10);
        Label title = new Label("Limit");
        title.getStyleClass().add("quiet");
        grid.addRow(0, title, field, now);
        Label note =
                new Label(
                        "A higher limit keeps more rendered frames ready. When the cache is full,"
                                + " the least used frames are dropped. A limit above the memory"
                                + " available now takes effect at the next start.");
        note.getStyleClass().add("quiet");
        note.setWrapText(true);
        Button done = sheets.done("memory-done", "Changes apply at once");
        getChildren().addAll(head, grid, note, Sheets.end(done));
        setMaxWidth(440);
    }

    /** Memory of the machine in bytes. */
    private static long machine() {
        return ManagementFactory.getPlatformMXBean(OperatingSystemMXBean.class)
                .getTotalMemorySize();
    }

    /** The node with the initial focus. */
    public Node first() {
        return field;
    }
}
