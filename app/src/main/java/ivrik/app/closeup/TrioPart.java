package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Badge;
import ivrik.app.control.InkWell;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Lists;
import ivrik.core.look.Look;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.PlanarTrioException;
import ivrik.core.separation.Trio;

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

/** The three colours of an own trio: wells, taking them from the picture, and how well they serve. */
final class TrioPart extends VBox {
    /** A warm, a green and a violet: far enough apart to begin with. */
    static final Trio FIRST =
            new Trio(List.of(Ink.parse("ff5a28"), Ink.parse("28c878"), Ink.parse("4638ff")), false);

    private final Session session;
    private final List<InkWell> wells = new ArrayList<>();
    private final CheckBox linear = new CheckBox("in linear light");
    private final Label condition = quiet("");
    private final Label refusal = new Label();
    private final Button nearest = new Button("Take the nearest that work");
    private List<Ink> offered = List.of();

    /**
     * @param colourAt the source's colour at a place of the sequence
     */
    TrioPart(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        super(8);
        this.session = session;
        Trio trio = trio().orElse(FIRST);
        for (int i = 0; i < 3; i++) {
            getChildren().add(line(i, trio.lanes().get(i), view, colourAt));
        }
        linear.setId("trio-linear");
        linear.setTooltip(
                new Tooltip("Whether lanes are amounts of light or of the values as delivered"));
        linear.setOnAction(e -> trio().ifPresent(t -> put(t.inks(), linear.isSelected())));
        condition.setId("trio-condition");
        refusal.setWrapText(true);
        refusal.setId("trio-refusal");
        nearest.setId("trio-nearest");
        nearest.setOnAction(e -> put(offered, linear.isSelected()));
        getChildren().addAll(row(linear, condition), refusal, nearest);
        refuse(null);
    }

    private HBox line(
            int number, LaneKind kind, View view, Function<Point2D, Optional<Ink>> colourAt) {
        InkWell well = new InkWell("The colour of this lane", ink -> set(number, ink));
        well.setId("trio-well-" + number);
        well.setRest(FIRST.inks().get(number));
        wells.add(well);
        ToggleButton pick = new ToggleButton("from the picture");
        pick.getStyleClass().add("plain");
        pick.setId("trio-pick-" + number);
        pick.setTooltip(new Tooltip("Then press on the picture: its colour there is taken"));
        pick.setOnAction(
                e ->
                        view.picking.set(
                                pick.isSelected()
                                        ? at -> {
                                            pick.setSelected(false);
                                            colourAt.apply(at).ifPresent(ink -> set(number, ink));
                                        }
                                        : null));
        HBox line = new HBox(8, new Badge(kind), well, pick);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Optional<Trio> trio() {
        return session.state()
                .look()
                .map(Look::model)
                .filter(m -> m instanceof Trio)
                .map(m -> (Trio) m);
    }

    private void set(int number, Ink ink) {
        trio().ifPresent(t -> put(Lists.with(t.inks(), number, ink), t.inLinearLight()));
    }

    private void put(List<Ink> inks, boolean isLinear) {
        try {
            String id = new Trio(inks, isLinear).id();
            refuse(null);
            session.editLook("Colours of the trio", l -> l.withSeparation(id));
        } catch (PlanarTrioException e) {
            refuse(e);
        }
        show();
    }

    private void refuse(PlanarTrioException why) {
        offered = why == null ? List.of() : why.nearest();
        refusal.setText(why == null ? "" : "Not taken: " + why.getMessage() + ".");
        for (var node : List.of(refusal, nearest)) {
            node.setVisible(why != null);
            node.setManaged(why != null);
        }
    }

    void show() {
        trio().ifPresent(
                        t -> {
                            for (int i = 0; i < 3; i++) {
                                wells.get(i).show(t.inks().get(i));
                            }
                            linear.setSelected(t.inLinearLight());
                            condition.setText(
                                    String.format(
                                            Locale.ROOT,
                                            "condition %.1f",
                                            Trio.condition(t.inks(), t.inLinearLight())));
                        });
    }
}
