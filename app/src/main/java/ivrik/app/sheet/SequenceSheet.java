package ivrik.app.sheet;

import ivrik.app.session.Session;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.project.Retiming;
import ivrik.core.project.Sequence;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.function.UnaryOperator;

/** Sequence settings: size, rate, duration, colour space and background. */
public final class SequenceSheet extends VBox {
    private static final int LARGEST = 16_384;

    private final Session session;
    private final NumberField width;
    private final NumberField height;
    private final NumberField length;

    public SequenceSheet(Session session, Sheets sheets) {
        this.session = session;
        Label head = new Label("Sequence");
        head.getStyleClass().add("title");
        width =
                side(
                        "sequence-width",
                        "Sequence width, in px",
                        (s, to) -> new Size(to, s.height()));
        height =
                side(
                        "sequence-height",
                        "Sequence height, in px",
                        (s, to) -> new Size(s.width(), to));
        length =
                new NumberField(
                        new NumberField.Spec("frames", 1, 10_000_000, 1, 1, 0, false),
                        "Length in frames. A shorter sequence cuts off its end; a longer one"
                                + " extends the last shot",
                        to -> {
                            session.edit(
                                    "Change sequence length",
                                    p -> Retiming.lasting(p, Math.round(to)));
                            show();
                        });
        length.setId("sequence-length");
        GridPane grid = new GridPane(12, 10);
        HBox size = new HBox(8, width, quiet("by"), height);
        size.setAlignment(Pos.CENTER_LEFT);
        grid.addRow(0, quiet("Size"), size);
        grid.addRow(1, quiet("Background"), new BackgroundChoice(session));
        ChoiceBox<ColourSpace> colour = new ChoiceBox<>();
        colour.setId("sequence-colour");
        colour.getItems().setAll(ColourSpace.values());
        colour.setConverter(
                new javafx.util.StringConverter<>() {
                    @Override
                    public String toString(ColourSpace c) {
                        return c == null ? "" : c.title();
                    }

                    @Override
                    public ColourSpace fromString(String text) {
                        throw new UnsupportedOperationException();
                    }
                });
        colour.setValue(session.project().sequence().colour());
        colour.setTooltip(
                new Tooltip(
                        "Colour space of the sequence. Footage is converted to it, and exported"
                                + " files are tagged with it"));
        colour.setOnAction(
                e ->
                        edit(
                                "Colour space: " + colour.getValue().title(),
                                s -> s.withColour(colour.getValue())));
        grid.addRow(2, quiet("Colour space"), colour);
        grid.addRow(3, quiet("Frame rate, fps"), rate());
        grid.addRow(4, quiet("Length"), new HBox(length));
        Label note =
                quiet(
                        "A sequence larger than the picture gives room to pull channels fully"
                                + " apart: on a black background light adds, on paper white ink"
                                + " subtracts.");
        note.setWrapText(true);
        Button done = sheets.done("sequence-done", "Changes apply at once. Undo reverts them");
        getChildren().addAll(head, grid, note, Sheets.end(done));
        setMaxWidth(440);
        show();
    }

    private ChoiceBox<Rational> rate() {
        ChoiceBox<Rational> rate = new ChoiceBox<>();
        rate.setId("sequence-rate");
        rate.setTooltip(
                new Tooltip(
                        "Shots, keyframes and bursts keep their times and move to the nearest new"
                                + " frame"));
        Rational now = session.project().sequence().rate();
        rate.getItems().setAll(SourceSheet.RATES);
        if (!rate.getItems().contains(now)) {
            rate.getItems().addFirst(now);
        }
        rate.setConverter(
                new javafx.util.StringConverter<>() {
                    @Override
                    public String toString(Rational r) {
                        return r == null ? "" : Controls.rate(r);
                    }

                    @Override
                    public Rational fromString(String text) {
                        throw new UnsupportedOperationException();
                    }
                });
        rate.setValue(now);
        rate.setOnAction(
                e -> {
                    session.edit("Change frame rate", p -> Retiming.at(p, rate.getValue()));
                    show();
                });
        return rate;
    }

    private interface Side {
        Size to(Size size, int pixels);
    }

    private NumberField side(String id, String help, Side side) {
        NumberField field =
                new NumberField(
                        new NumberField.Spec("px", 1, LARGEST, 1280, 2, 0, false),
                        help,
                        to ->
                                edit(
                                        "Change sequence size",
                                        s -> s.withSize(side.to(s.size(), (int) to))));
        field.setId(id);
        return field;
    }

    private void edit(String name, UnaryOperator<Sequence> change) {
        session.edit(name, p -> p.withSequence(change.apply(p.sequence())));
        show();
    }

    private void show() {
        width.show(session.project().sequence().size().width());
        height.show(session.project().sequence().size().height());
        length.show(session.project().frames());
    }

    /** The node with the initial focus. */
    public Node first() {
        return width;
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        return label;
    }
}
