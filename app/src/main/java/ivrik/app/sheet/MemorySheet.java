package ivrik.app.sheet;

import com.sun.management.OperatingSystemMXBean;

import ivrik.app.control.NumberField;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

import java.lang.management.ManagementFactory;
import java.util.function.DoubleConsumer;

/** How much of memory pictures may take: those decoded, on their way, and ready to be shown. */
public final class MemorySheet extends VBox {
    private static final double LEAST_MB = 64;
    private static final double MEGABYTE = 1 << 20;

    private final NumberField field;

    /**
     * @param budget in bytes, now
     * @param held of them
     * @param change told the new budget, in MB
     */
    public MemorySheet(long budget, long held, DoubleConsumer change, Sheets sheets) {
        Label head = new Label("Memory for pictures");
        head.getStyleClass().add("title");
        double most = Math.floor(machine() / MEGABYTE * 0.6);
        field =
                new NumberField(
                        new NumberField.Spec("MB", LEAST_MB, most, most / 2, 64, 0, false),
                        "How much of memory pictures may take, in MB",
                        change::accept);
        field.setId("memory-mb");
        field.show(Math.rint(budget / MEGABYTE));
        Label now = new Label(String.format("%,d MB are held now", Math.round(held / MEGABYTE)));
        now.getStyleClass().add("quiet");
        GridPane grid = new GridPane(12, 10);
        Label title = new Label("At most");
        title.getStyleClass().add("quiet");
        grid.addRow(0, title, field, now);
        Label note =
                new Label(
                        "With more of it, frames that have been made stay ready for longer. When it"
                                + " is full, those that were used least go first. What is more than"
                                + " this start can give counts from the next one on.");
        note.getStyleClass().add("quiet");
        note.setWrapText(true);
        Button done = sheets.done("memory-done", "What was set is in force already");
        getChildren().addAll(head, grid, note, Sheets.end(done));
        setMaxWidth(440);
    }

    /** The memory of the whole machine, in bytes. */
    private static long machine() {
        return ManagementFactory.getPlatformMXBean(OperatingSystemMXBean.class)
                .getTotalMemorySize();
    }

    /** What has the keys at first. */
    public Node first() {
        return field;
    }
}
