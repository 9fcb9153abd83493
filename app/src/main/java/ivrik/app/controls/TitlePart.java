package ivrik.app.controls;

import static ivrik.app.widget.Controls.choice;
import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;
import static ivrik.app.widget.Controls.text;

import ivrik.app.session.Session;
import ivrik.app.widget.Controls;
import ivrik.app.widget.EditingDone;
import ivrik.app.widget.InkWell;
import ivrik.app.widget.NumberField;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.project.Title.Align;
import ivrik.media.vector.ShippedFonts;

import javafx.application.Platform;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextArea;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** Text and style of a title; only the colour of a solid. */
final class TitlePart extends VBox {
    /** Name of the edit that adds a title. */
    public static final String ADDED = "Add title";

    private final Session session;
    private final String source;
    private final TextArea text = new TextArea();
    private final ComboBox<String> family = new ComboBox<>();
    private final NumberField weight;
    private final NumberField size;
    private final NumberField tracking;
    private final InkWell colour;
    private final MenuButton align;
    private boolean showing;

    TitlePart(Session session, Source drawn) {
        super(8);
        this.session = session;
        this.source = drawn.id();
        colour = new InkWell("Text colour", ink -> edit("Colour", t -> t.withColour(ink)));
        colour.setId("title-colour");
        text.setId("title-text");
        text.setPrefRowCount(2);
        text.setWrapText(true);
        text.textProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!showing) {
                                edit("Edit text", t -> t.withText(is));
                            }
                        });
        EditingDone.onEscape(text);
        if (session.undoName().equals(Optional.of(ADDED))) {
            text.sceneProperty().addListener((o, was, is) -> Platform.runLater(this::typeText));
        }
        family.setId("title-family");
        family.setMaxWidth(Double.MAX_VALUE);
        family.getItems().setAll(ShippedFonts.families());
        family.setTooltip(new Tooltip("Font. The fonts supplied with Ivrik come first"));
        family.setOnAction(
                e -> {
                    if (!showing && family.getValue() != null) {
                        edit("Font", t -> t.withFamily(family.getValue()));
                    }
                });
        weight =
                number(
                        "title-weight",
                        new NumberField.Spec("", 100, 900, 700, 100, 0, false),
                        "Font weight; 400 is regular, 700 bold",
                        (t, v) -> t.withWeight((int) Math.round(v)));
        size =
                number(
                        "title-size",
                        new NumberField.Spec("px", 4, 2000, 120, 2, 0, false),
                        "Font size, in px of the sequence",
                        Title::withSizePx);
        tracking =
                number(
                        "title-tracking",
                        new NumberField.Spec("", -200, 1000, 0, 10, 0, true),
                        "Tracking, in 1/1000 em",
                        Title::withTracking);
        align =
                choice(
                        "Text alignment",
                        Align.values(),
                        to -> edit("Align: " + text(to), t -> t.withAlign(to)));
        align.setId("title-align");
        if (drawn.kind() == Source.Kind.SOLID) {
            getChildren().add(row(quiet("Colour"), colour));
        } else {
            getChildren()
                    .addAll(
                            text,
                            family,
                            row(quiet("Size"), size, quiet("Weight"), weight),
                            row(quiet("Tracking"), tracking, align, colour));
        }
        show(drawn);
    }

    /** Selects the text of a title that was just added, for typing. */
    private void typeText() {
        if (text.getScene() != null) {
            text.requestFocus();
            text.selectAll();
        }
    }

    private interface Set {
        Title to(Title title, double value);
    }

    private NumberField number(String id, NumberField.Spec spec, String help, Set set) {
        NumberField field =
                new NumberField(spec, help, to -> edit("Change type " + id, t -> set.to(t, to)));
        field.setId(id);
        return field;
    }

    private void edit(String name, UnaryOperator<Title> change) {
        session.edit(
                name,
                p ->
                        p.source(source)
                                .map(
                                        s ->
                                                p.withSource(
                                                        s.withTitle(
                                                                Optional.of(changed(s, change)))))
                                .orElse(p));
    }

    private static Title changed(Source source, UnaryOperator<Title> change) {
        return change.apply(source.title().orElse(Title.EMPTY));
    }

    void show(Source drawn) {
        Title title = drawn.title().orElse(Title.EMPTY);
        showing = true;
        if (!text.getText().equals(title.text())) {
            text.setText(title.text());
        }
        family.setValue(title.family());
        weight.show(title.weight());
        size.show(title.sizePx());
        tracking.show(title.tracking());
        colour.show(title.colour());
        Controls.show(align, title.align(), text(title.align()));
        showing = false;
    }
}
