package ivrik.app.sheet;

import ivrik.app.control.Controls;

import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Work that goes on elsewhere: how far it is, and a way to stop it. */
public final class WorkSheet extends VBox {
    private final ProgressBar bar = new ProgressBar(0);
    private final Label word = new Label("Beginning");
    private final Button stop = new Button("Stop");
    private volatile boolean stopped;

    public WorkSheet(String title, Sheets sheets) {
        Label head = new Label(title);
        head.getStyleClass().add("title");
        bar.setMaxWidth(Double.MAX_VALUE);
        word.setWrapText(true);
        word.setId("work-word");
        stop.setId("work-stop");
        Controls.explain(stop, "Ends it here; what is finished stays. Key: Escape");
        stop.setOnAction(e -> sheets.away());
        HBox buttons = new HBox(stop);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, bar, word, buttons);
        setMaxWidth(520);
        setMinWidth(420);
    }

    public void show(Sheets sheets) {
        sheets.show(this, stop);
        sheets.onAway(() -> stopped = true);
    }

    /** Puts it away, if it is still there. */
    public void end(Sheets sheets) {
        if (sheets.holds(this)) {
            sheets.away();
        }
    }

    /** Whether it is not wanted any more; asked by any thread. */
    public boolean isStopped() {
        return stopped;
    }

    /** How far it is, from 0 to 1; told by any thread. */
    public void progress(double share, String words) {
        Platform.runLater(
                () -> {
                    bar.setProgress(share);
                    word.setText(words);
                });
    }
}
