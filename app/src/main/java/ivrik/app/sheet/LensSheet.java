package ivrik.app.sheet;

import static ivrik.app.control.Controls.hint;
import static ivrik.app.control.Controls.item;
import static ivrik.app.control.Controls.menu;
import static ivrik.app.control.Controls.quiet;

import ivrik.app.control.Controls;
import ivrik.app.session.Laying;
import ivrik.app.session.Newest;
import ivrik.app.theme.Palette;
import ivrik.core.IvrikException;
import ivrik.core.look.Look;
import ivrik.core.look.MeasuredLens;
import ivrik.core.measure.LensMatch;
import ivrik.core.measure.LensMatch.Channels;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.picture.Frame;
import ivrik.core.project.Layer;
import ivrik.core.threads.Cancel;
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

/** Measures how a lens has parted the channels of a picture, and puts that on a layer or takes it out. */
public final class LensSheet extends VBox {
    private static final String ASKED =
            "How far red and blue lie outside green: each dot a small part of the picture, the"
                    + " surer the clearer. The band says within what the curve is known.";
    private static final String NO_PICTURE =
            "The layer shows no picture of its own at this frame. Go to one where it does.";
    private static final String TOO_LITTLE =
            "This frame has too little structure to measure a lens by. Go to a frame with edges out"
                    + " to the corners and ask again.";

    private final String picture;
    private final Use use;
    private final Sheets sheets;
    private final Newest work = new Newest();
    private final LensPlot plot;
    private final Label word = hint("Measuring...");
    private final Label red = result("lens-red");
    private final Label blue = result("lens-blue");
    private final Button on = new Button("Add it to the layer");
    private final Button off = new Button("Take it out");
    private final Button done = new Button("Close");
    private Layer target;

    /** What came of measuring: a word on it, and what was found, if anything was. */
    private record Answer(String word, Optional<Channels> found) {}

    /** What is done with a look that was found. */
    @FunctionalInterface
    public interface Use {
        /**
         * @param how before the looks that the layer has, or over them
         */
        void lay(Look look, Layer layer, Laying.How how);
    }

    /**
     * @param picture that is measured, in words
     * @param frame gets it, if there is one; asked off the interface thread
     * @param layers on which a lens can be laid
     * @param chosen the one that is meant unless another is chosen
     */
    public LensSheet(
            String picture,
            Function<Cancel, Optional<Frame>> frame,
            List<Layer> layers,
            Layer chosen,
            Use use,
            ObjectProperty<Palette> palette,
            Sheets sheets) {
        this.picture = picture;
        this.use = use;
        this.sheets = sheets;
        this.target = chosen;
        this.plot = new LensPlot(palette);
        Label head = new Label("Match a lens");
        head.getStyleClass().add("title");
        word.setId("lens-word");
        setVgrow(plot, Priority.ALWAYS);
        getChildren()
                .addAll(
                        head,
                        quiet("Measured on " + picture),
                        plot,
                        new HBox(24, red, blue),
                        word,
                        buttons(layers));
        setMaxWidth(660);
        on.setDisable(true);
        off.setDisable(true);
        work.ask(cancel -> answer(() -> frame.apply(cancel)), this::show);
    }

    /** Nobody waits for what is being measured any more. */
    public void forget() {
        work.forget();
    }

    private static Label result(String id) {
        Label label = quiet("");
        label.setId(id);
        label.getStyleClass().add("number");
        return label;
    }

    private HBox buttons(List<Layer> layers) {
        MenuButton where = menu("lens-where", "The layer that it is put on, or taken out of");
        where.setText(target.name());
        for (Layer layer : layers) {
            where.getItems()
                    .add(
                            item(
                                    layer.name(),
                                    () -> {
                                        target = layer;
                                        where.setText(layer.name());
                                    }));
        }
        on.setId("lens-on");
        on.setTooltip(new Tooltip("Gives the layer the same fringes, as a look over those it has"));
        off.setId("lens-off");
        off.setTooltip(new Tooltip("Brings red and blue of the layer back onto green"));
        off.getStyleClass().add("primary");
        done.setId("lens-close");
        Controls.explain(done, "Nothing is changed. Key: Escape");
        done.setOnAction(e -> sheets.away());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(8, quiet("Layer"), where, gap, done, on, off);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Off the interface thread. */
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
        word.setText(answer.word);
        answer.found.ifPresent(
                f -> {
                    plot.show(f);
                    red.setText(words("Red", f.red()));
                    blue.setText(words("Blue", f.blue()));
                    on.setDisable(false);
                    off.setDisable(false);
                    on.setOnAction(e -> lay(MeasuredLens.on(f, picture), Laying.How.OVER));
                    off.setOnAction(e -> lay(MeasuredLens.off(f, picture), Laying.How.FIRST));
                });
    }

    private void lay(Look look, Laying.How how) {
        sheets.away();
        use.lay(look, target, how);
    }

    private static String words(String channel, Fit fit) {
        return String.format(
                Locale.ROOT,
                "%s %+.2f px at the corner, give or take %.2f",
                channel,
                fit.cornerPx(),
                2 * fit.surePx());
    }

    /** What has the keys at first. */
    public Node first() {
        return done;
    }
}
