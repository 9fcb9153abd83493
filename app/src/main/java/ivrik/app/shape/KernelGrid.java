package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.NumberField;
import ivrik.core.treatment.ConvolutionKernel;

import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;

/** The selected channel's weights as a grid of fields. */
final class KernelGrid extends VBox {
    private final View view;
    private final Label of = new Label();
    private final List<NumberField> fields = new ArrayList<>();

    KernelGrid(Session session, View view) {
        super(4);
        this.view = view;
        of.getStyleClass().add("quiet");
        GridPane grid = new GridPane(2, 2);
        for (int i = 0; i < ConvolutionKernel.SIDE * ConvolutionKernel.SIDE; i++) {
            String name = ConvolutionKernel.name(i);
            NumberField field =
                    new NumberField(
                            new NumberField.Spec("", -1000, 1000, i == 12 ? 1 : 0, 1, 0, false),
                            "Kernel coefficient, row "
                                    + (i / ConvolutionKernel.SIDE + 1)
                                    + ", column "
                                    + (i % ConvolutionKernel.SIDE + 1),
                            to ->
                                    session.editLook(
                                            "Kernel",
                                            look ->
                                                    ChannelEdits.with(
                                                            look,
                                                            session.state().stepId(),
                                                            ChannelEdits.share(session.state()),
                                                            view.frame.get(),
                                                            name,
                                                            to)));
            field.setId("weight-" + name);
            field.setMinWidth(46);
            fields.add(field);
            grid.add(field, i % ConvolutionKernel.SIDE, i / ConvolutionKernel.SIDE);
        }
        getChildren().addAll(of, grid);
    }

    void show(State state) {
        of.setText(
                "coefficients: "
                        + ChannelEdits.shares(state).get(ChannelEdits.share(state)).title());
        state.step()
                .ifPresent(
                        step -> {
                            for (int i = 0; i < fields.size(); i++) {
                                var value =
                                        step.settings(ChannelEdits.share(state))
                                                .value(ConvolutionKernel.name(i));
                                if (value != null) {
                                    fields.get(i).show(value.at(view.frame.get()));
                                }
                            }
                        });
    }
}
