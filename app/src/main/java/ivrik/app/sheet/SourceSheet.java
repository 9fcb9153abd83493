package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.project.Source;
import ivrik.core.project.Source.Reading;
import ivrik.media.facts.SourceFacts;

import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** What a file is, and how it is read where there is a choice. */
public final class SourceSheet extends VBox {
    /** Frames a second that are offered. */
    static final List<Rational> RATES =
            List.of(
                    Rational.of(12),
                    new Rational(24_000, 1001),
                    Rational.of(24),
                    Rational.of(25),
                    new Rational(30_000, 1001),
                    Rational.of(30),
                    Rational.of(50),
                    new Rational(60_000, 1001),
                    Rational.of(60));

    /** What the numbers of its colours may be taken to mean. */
    private record Meaning(String words, UnaryOperator<Reading> read) {}

    private final GridPane grid = new GridPane(12, 10);
    private final Button done;
    private Source source;
    private int row;

    /**
     * @param changed gets the source as it is to be read from now on
     */
    public SourceSheet(Source source, SourceFacts facts, Sheets sheets, Consumer<Source> changed) {
        this.source = source;
        Label head = new Label(source.name());
        head.getStyleClass().add("title");
        fact("File", source.path());
        fact("Is", facts.form() + ", " + source.size() + ", " + depth(facts.depth()));
        List<Meaning> meanings = new ArrayList<>();
        meanings.add(
                new Meaning(
                        "as the file says: " + facts.colours(), r -> r.ofSpace(Optional.empty())));
        meanings.add(
                new Meaning(
                        "left as they are in the file",
                        r -> r.ofSpace(Optional.empty()).withDelivered(true)));
        for (ColourSpace space : ColourSpace.values()) {
            meanings.add(
                    new Meaning("taken as " + space.title(), r -> r.ofSpace(Optional.of(space))));
        }
        if (source.kind().isFile()) {
            choice(
                    "Colours",
                    "source-colours",
                    "What the numbers of its colours mean",
                    meanings,
                    Meaning::words,
                    meanings.stream()
                            .filter(m -> m.read().apply(source.reading()).equals(source.reading()))
                            .findFirst()
                            .orElse(meanings.getFirst()),
                    m -> read(changed, m.read()));
        }
        if (facts.layers().size() > 1) {
            choice(
                    "Layer",
                    "source-layer",
                    "Which of its pictures is shown",
                    facts.layers(),
                    l -> l,
                    source.reading().layer().orElse(facts.layers().getFirst()),
                    l -> read(changed, r -> r.withLayer(l)));
        }
        if (facts.tracks().size() > 1) {
            choice(
                    "Sound",
                    "source-track",
                    "Which of its sound tracks is heard",
                    facts.tracks(),
                    t -> t.words(),
                    facts.tracks().stream()
                            .filter(t -> Optional.of(t.number()).equals(source.reading().track()))
                            .findFirst()
                            .orElse(facts.tracks().getFirst()),
                    t -> read(changed, r -> r.withTrack(t.number())));
        }
        if (source.kind() == Source.Kind.SEQUENCE) {
            choice(
                    "Rate",
                    "source-rate",
                    "How many of its pictures make a second",
                    RATES,
                    r -> String.format(java.util.Locale.ROOT, "%.5g a second", r.toDouble()),
                    source.rate(),
                    r -> {
                        this.source = this.source.withRate(r);
                        changed.accept(this.source);
                    });
        }
        facts.remarks().forEach(r -> fact("Note", r));
        done = sheets.done("source-done", "What was chosen is in force already");
        done.setDefaultButton(true);
        getChildren().addAll(head, grid, Sheets.end(done));
        setMaxWidth(600);
    }

    /** {@code int8} and {@code float16} as a person says it. */
    private static String depth(String name) {
        return name.startsWith("int")
                ? name.substring(3) + " bit"
                : name.replace("float", "") + " bit floats";
    }

    /** What has the keys at first. */
    public Button first() {
        return done;
    }

    private void read(Consumer<Source> changed, Function<Reading, Reading> change) {
        source = source.withReading(change.apply(source.reading()));
        changed.accept(source);
    }

    private void fact(String name, String text) {
        Label value = new Label(text);
        value.setWrapText(true);
        grid.addRow(row++, quiet(name), value);
    }

    private <T> void choice(
            String name,
            String id,
            String help,
            List<T> all,
            Function<T, String> words,
            T now,
            Consumer<T> chosen) {
        ChoiceBox<T> box = new ChoiceBox<>();
        box.setId(id);
        Controls.explain(box, help);
        box.getItems().setAll(all);
        box.setConverter(
                new StringConverter<>() {
                    @Override
                    public String toString(T t) {
                        return t == null ? "" : words.apply(t);
                    }

                    @Override
                    public T fromString(String text) {
                        throw new UnsupportedOperationException();
                    }
                });
        box.setValue(now);
        box.valueProperty().addListener((o, was, is) -> chosen.accept(is));
        grid.addRow(row++, quiet(name), box);
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.setMinWidth(USE_PREF_SIZE);
        label.getStyleClass().add("quiet");
        return label;
    }
}
