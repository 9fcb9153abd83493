package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.InkWell;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.CustomPrimaries;
import ivrik.core.separation.Ink;
import ivrik.core.separation.PlanarPrimariesException;

import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/** Controls of custom primaries: wells, sampling from the picture, and the condition number. */
final class PrimariesPart extends VBox {
    /** Initial primaries: a warm colour, a green and a violet, far apart. */
    static final CustomPrimaries FIRST =
            new CustomPrimaries(
                    List.of(Ink.parse("ff5a28"), Ink.parse("28c878"), Ink.parse("4638ff")), false);

    private final Session session;
    private final List<InkWell> wells = new ArrayList<>();
    private final CheckBox linear = new CheckBox("linear light");
    private final Label condition = quiet("");
    private final Label refusal = new Label();
    private final Button nearest = new Button("Use nearest valid colours");
    private List<Ink> offered = List.of();

    /**
     * @param colourAt colour of the source at a position of the sequence
     */
    PrimariesPart(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        super(8);
        this.session = session;
        CustomPrimaries customPrimaries = customPrimaries().orElse(FIRST);
        for (int i = 0; i < 3; i++) {
            getChildren().add(line(i, customPrimaries.channels().get(i), view, colourAt));
        }
        linear.setId("primaries-linear");
        linear.setTooltip(
                new Tooltip(
                        "On: the channels are amounts of linear light. Off: amounts of the"
                                + " gamma-encoded values"));
        linear.setOnAction(
                e -> customPrimaries().ifPresent(t -> put(t.inks(), linear.isSelected())));
        condition.setId("primaries-condition");
        refusal.setWrapText(true);
        refusal.setId("primaries-refusal");
        nearest.setId("primaries-nearest");
        nearest.setOnAction(e -> put(offered, linear.isSelected()));
        getChildren().addAll(row(linear, condition), refusal, nearest);
        refuse(null);
    }

    private HBox line(
            int number, ChannelKind kind, View view, Function<Point2D, Optional<Ink>> colourAt) {
        InkWell well = new InkWell("Colour of this primary", ink -> set(number, ink));
        well.setId("primaries-well-" + number);
        well.setRest(FIRST.inks().get(number));
        wells.add(well);
        ToggleButton sample = new ToggleButton("sample from picture");
        sample.getStyleClass().add("plain");
        sample.setId("primaries-sample-" + number);
        sample.setTooltip(new Tooltip("Click the picture to sample a colour"));
        sample.setOnAction(
                e ->
                        view.sampling.set(
                                sample.isSelected()
                                        ? at -> {
                                            sample.setSelected(false);
                                            colourAt.apply(at).ifPresent(ink -> set(number, ink));
                                        }
                                        : null));
        HBox line = new HBox(8, new ChannelBadge(kind), well, sample);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Optional<CustomPrimaries> customPrimaries() {
        return session.state()
                .look()
                .map(Look::model)
                .filter(m -> m instanceof CustomPrimaries)
                .map(m -> (CustomPrimaries) m);
    }

    private void set(int number, Ink ink) {
        customPrimaries()
                .ifPresent(t -> put(ListEdits.with(t.inks(), number, ink), t.inLinearLight()));
    }

    private void put(List<Ink> inks, boolean isLinear) {
        try {
            String id = new CustomPrimaries(inks, isLinear).id();
            refuse(null);
            session.editLook("Change custom primaries", l -> l.withSeparation(id));
        } catch (PlanarPrimariesException e) {
            refuse(e);
        }
        show();
    }

    private void refuse(PlanarPrimariesException why) {
        offered = why == null ? List.of() : why.nearest();
        refusal.setText(why == null ? "" : "Not applied: " + why.getMessage() + ".");
        for (var node : List.of(refusal, nearest)) {
            node.setVisible(why != null);
            node.setManaged(why != null);
        }
    }

    void show() {
        customPrimaries()
                .ifPresent(
                        t -> {
                            for (int i = 0; i < 3; i++) {
                                wells.get(i).show(t.inks().get(i));
                            }
                            linear.setSelected(t.inLinearLight());
                            condition.setText(
                                    String.format(
                                            Locale.ROOT,
                                            "condition number %.1f",
                                            CustomPrimaries.condition(
                                                    t.inks(), t.inLinearLight())));
                        });
    }
}
