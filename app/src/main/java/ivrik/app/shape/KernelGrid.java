package ivrik.app.shape;

import ivrik.app.control.NumberField;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.treatment.KernelFilter;

import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;

/** The weights of the lane being worked on, as a grid to type into. */
final class KernelGrid extends VBox {
    private final View view;
    private final Label of = new Label();
    private final List<NumberField> fields = new ArrayList<>();

    KernelGrid(Session session, View view) {
        super(4);
        this.view = view;
        of.getStyleClass().add("quiet");
        GridPane grid = new GridPane(2, 2);
        for (int i = 0; i < KernelFilter.SIDE * KernelFilter.SIDE; i++) {
            String name = KernelFilter.name(i);
            NumberField field =
                    new NumberField(
                            new NumberField.Spec("", -1000, 1000, i == 12 ? 1 : 0, 1, 0, false),
                            "Weight in row "
                                    + (i / KernelFilter.SIDE + 1)
                                    + ", column "
                                    + (i % KernelFilter.SIDE + 1),
                            to ->
                                    session.editLook(
                                            "Kernel",
                                            look ->
                                                    LaneEdits.with(
                                                            look,
                                                            session.state().stepId(),
                                                            LaneEdits.share(session.state()),
                                                            view.frame.get(),
                                                            name,
                                                            to)));
            field.setId("weight-" + name);
            field.setMinWidth(46);
            fields.add(field);
            grid.add(field, i % KernelFilter.SIDE, i / KernelFilter.SIDE);
        }
        getChildren().addAll(of, grid);
    }

    void show(State state) {
        of.setText("weights of " + LaneEdits.shares(state).get(LaneEdits.share(state)).title());
        state.step()
                .ifPresent(
                        step -> {
                            for (int i = 0; i < fields.size(); i++) {
                                var value =
                                        step.amounts(LaneEdits.share(state))
                                                .value(KernelFilter.name(i));
                                if (value != null) {
                                    fields.get(i).show(value.at(view.frame.get()));
                                }
                            }
                        });
    }
}
