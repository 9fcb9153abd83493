package ivrik.app.closeup;

import static ivrik.app.control.Controls.choice;
import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;
import static ivrik.app.control.Controls.word;

import ivrik.app.control.InkWell;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.project.Title.Align;
import ivrik.media.vector.ShippedFonts;

import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextArea;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** What a title says and how it is set; of a solid only its colour. */
final class TitlePart extends VBox {
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
        colour = new InkWell("The colour", ink -> edit("Colour", t -> t.withColour(ink)));
        colour.setId("title-colour");
        text.setId("title-text");
        text.setPrefRowCount(2);
        text.setWrapText(true);
        text.textProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!showing) {
                                edit("Type a title", t -> t.withText(is));
                            }
                        });
        family.setId("title-family");
        family.setMaxWidth(Double.MAX_VALUE);
        family.getItems().setAll(ShippedFonts.families());
        family.setTooltip(new Tooltip("The font: those that come with Ivrik stand first"));
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
                        "Weight, 400 is regular",
                        (t, v) -> t.withWeight((int) Math.round(v)));
        size =
                number(
                        "title-size",
                        new NumberField.Spec("px", 4, 2000, 120, 2, 0, false),
                        "Size of the type, in pixels of the sequence",
                        Title::withSizePx);
        tracking =
                number(
                        "title-tracking",
                        new NumberField.Spec("", -200, 1000, 0, 10, 0, true),
                        "Added between letters, in thousandths of the size",
                        Title::withTracking);
        align =
                choice(
                        "How lines stand to each other",
                        Align.values(),
                        to -> edit("Align: " + word(to), t -> t.withAlign(to)));
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

    private interface Set {
        Title to(Title title, double value);
    }

    private NumberField number(String id, NumberField.Spec spec, String help, Set set) {
        NumberField field =
                new NumberField(spec, help, to -> edit("Type: " + id, t -> set.to(t, to)));
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
        align.setText(word(title.align()));
        showing = false;
    }
}
