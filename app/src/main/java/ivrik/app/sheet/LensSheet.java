package ivrik.app.sheet;

import static ivrik.app.widget.Controls.hint;
import static ivrik.app.widget.Controls.item;
import static ivrik.app.widget.Controls.menu;
import static ivrik.app.widget.Controls.quiet;

import ivrik.app.session.LatestTask;
import ivrik.app.session.LookApplication;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.core.IvrikException;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredLens;
import ivrik.core.measure.LensMatch;
import ivrik.core.measure.LensMatch.Channels;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.picture.Frame;
import ivrik.core.project.Layer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Measures the lateral chromatic aberration of a picture, and adds it to a layer or corrects it.
 */
public final class LensSheet extends VBox {
    private static final String ASKED =
            "Displacement of red and blue from green. Each dot is one block of the picture,"
                + " brighter where the measurement is more reliable; the band shows the uncertainty"
                + " of the fitted curve.";
    private static final String NO_PICTURE =
            "The layer has no picture of its own at this frame. Go to a frame where it has"
                    + " one.";
    private static final String TOO_LITTLE =
            "Too little detail to measure the lens. Go to a frame with edges near the"
                    + " corners and measure again.";

    private final String picture;
    private final Use use;
    private final Sheets sheets;
    private final LatestTask work = new LatestTask();
    private final LensPlot plot;
    private final Label status = hint("Measuring...");
    private final Label red = result("lens-red");
    private final Label blue = result("lens-blue");
    private final Button on = new Button("Add aberration");
    private final Button off = new Button("Correct aberration");
    private final Button done = new Button("Close");
    private Target target;

    /**
     * Where the look is added.
     *
     * @param shots the shots of the layer; empty for all
     */
    public record Target(String title, Layer layer, List<String> shots) {}

    /** Result of the measurement: a message, and the fit if there is one. */
    private record Answer(String message, Optional<Channels> found) {}

    /** Uses a measured look. */
    @FunctionalInterface
    public interface Use {
        /**
         * @param how before or after the layer's looks
         */
        void apply(Look look, Target target, LookApplication.How how);
    }

    /**
     * @param picture name of the measured picture
     * @param frame provides the picture, off the interface thread
     * @param targets what the look can be applied to, the default first
     */
    public LensSheet(
            String picture,
            Function<Cancellation, Optional<Frame>> frame,
            List<Target> targets,
            Use use,
            ObjectProperty<Palette> palette,
            Sheets sheets) {
        this.picture = picture;
        this.use = use;
        this.sheets = sheets;
        this.target = targets.getFirst();
        this.plot = new LensPlot(palette);
        setId("lens-sheet");
        Label head = new Label("Match lens");
        head.getStyleClass().add("title");
        status.setId("lens-text");
        setVgrow(plot, Priority.ALWAYS);
        getChildren()
                .addAll(
                        head,
                        quiet("Measured on " + picture),
                        plot,
                        new HBox(24, red, blue),
                        status,
                        buttons(targets));
        setMaxWidth(660);
        on.setDisable(true);
        off.setDisable(true);
        work.ask(cancel -> answer(() -> frame.apply(cancel)), this::show);
    }

    /** Whether the measurement is running. */
    public boolean isMeasuring() {
        return work.isBusy();
    }

    /** Cancels the measurement. */
    public void forget() {
        work.forget();
    }

    private static Label result(String id) {
        Label label = quiet("");
        label.setId(id);
        label.getStyleClass().add("number");
        return label;
    }

    private HBox buttons(List<Target> targets) {
        MenuButton where = menu("lens-where", "Layer or shot that receives the look");
        Controls.show(where, target, target.title());
        for (Target each : targets) {
            where.getItems()
                    .add(
                            item(
                                    each,
                                    each.title(),
                                    () -> {
                                        target = each;
                                        Controls.show(where, each, each.title());
                                    }));
        }
        on.setId("lens-on");
        on.setTooltip(
                new Tooltip("Adds a look to the layer that reproduces the measured aberration"));
        off.setId("lens-off");
        off.setTooltip(new Tooltip("Adds a look to the layer that aligns red and blue with green"));
        off.getStyleClass().add("primary");
        done.setId("lens-close");
        Controls.explain(done, "Closes without changes. Key: Escape");
        done.setOnAction(e -> sheets.away());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(8, quiet("Apply to"), where, gap, done, on, off);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Runs off the interface thread. */
    private static Answer answer(Supplier<Optional<Frame>> asked) {
        try {
            Optional<Frame> frame = asked.get();
            if (frame.isEmpty()) {
                return new Answer(NO_PICTURE, Optional.empty());
            }
            Optional<Channels> found = LensMatch.of(frame.get().colour(), Workers.shared());
            return new Answer(found.isPresent() ? ASKED : TOO_LITTLE, found);
        } catch (IvrikException e) {
            return new Answer(e.oneLine(), Optional.empty());
        }
    }

    private void show(Answer answer) {
        status.setText(answer.message);
        answer.found.ifPresent(
                f -> {
                    plot.show(f);
                    red.setText(description("Red", f.red()));
                    blue.setText(description("Blue", f.blue()));
                    on.setDisable(false);
                    off.setDisable(false);
                    on.setOnAction(e -> lay(MeasuredLens.on(f, picture), LookApplication.How.OVER));
                    off.setOnAction(
                            e -> lay(MeasuredLens.off(f, picture), LookApplication.How.FIRST));
                });
    }

    private void lay(Look look, LookApplication.How how) {
        sheets.away();
        use.apply(look, target, how);
    }

    private static String description(String channel, Fit fit) {
        return String.format(
                Locale.ROOT,
                "%s %+.2f px at the corner, ± %.2f px",
                channel,
                fit.cornerPx(),
                2 * fit.surePx());
    }

    /** The node with the initial focus. */
    public Node first() {
        return done;
    }
}
