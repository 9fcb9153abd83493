package ivrik.app.sheet;

import ivrik.app.widget.Controls;
import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
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

/** Properties of a file and its decoding options. */
public final class SourceSheet extends VBox {
    /** Offered frame rates. */
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

    /** A colour interpretation to choose. */
    private record Meaning(String title, UnaryOperator<FootageSettings> read) {}

    private final GridPane grid = new GridPane(12, 10);
    private final Button done;
    private Source source;
    private int row;

    /**
     * @param changed receives the source with new options
     */
    public SourceSheet(Source source, SourceFacts facts, Sheets sheets, Consumer<Source> changed) {
        this.source = source;
        Label head = new Label(source.name());
        head.getStyleClass().add("title");
        fact("File", source.path());
        fact("Format", facts.format() + ", " + source.size() + ", " + depth(facts.depth()));
        List<Meaning> meanings = new ArrayList<>();
        meanings.add(
                new Meaning(
                        "from file tags: " + facts.colours(),
                        r -> r.inColourSpace(Optional.empty())));
        meanings.add(
                new Meaning(
                        "no conversion",
                        r -> r.inColourSpace(Optional.empty()).withNoConversion(true)));
        for (ColourSpace space : ColourSpace.values()) {
            meanings.add(
                    new Meaning(
                            "interpret as " + space.title(),
                            r -> r.inColourSpace(Optional.of(space))));
        }
        if (source.kind().isFile()) {
            choice(
                    "Colour space",
                    "source-colours",
                    "Colour space of the footage",
                    meanings,
                    Meaning::title,
                    meanings.stream()
                            .filter(
                                    m ->
                                            m.read()
                                                    .apply(source.settings())
                                                    .equals(source.settings()))
                            .findFirst()
                            .orElse(meanings.getFirst()),
                    m -> read(changed, m.read()));
        }
        if (facts.layers().size() > 1) {
            choice(
                    "Layer",
                    "source-layer",
                    "Image layer to use",
                    facts.layers(),
                    l -> l,
                    source.settings().imageLayer().orElse(facts.layers().getFirst()),
                    l -> read(changed, r -> r.withImageLayer(l)));
        }
        if (facts.tracks().size() > 1) {
            choice(
                    "Sound",
                    "source-track",
                    "Sound track to use",
                    facts.tracks(),
                    t -> t.description(),
                    facts.tracks().stream()
                            .filter(
                                    t ->
                                            Optional.of(t.number())
                                                    .equals(source.settings().soundTrack()))
                            .findFirst()
                            .orElse(facts.tracks().getFirst()),
                    t -> read(changed, r -> r.withSoundTrack(t.number())));
        }
        if (source.kind() == Source.Kind.SEQUENCE) {
            choice(
                    "Frame rate",
                    "source-rate",
                    "Frame rate of the numbered sequence",
                    RATES,
                    r -> Controls.rate(r) + " fps",
                    source.rate(),
                    r -> {
                        this.source = this.source.withRate(r);
                        changed.accept(this.source);
                    });
        }
        facts.notices().forEach(r -> fact("Note", r));
        done = sheets.done("source-done", "Changes apply at once");
        done.setDefaultButton(true);
        getChildren().addAll(head, grid, Sheets.end(done));
        setMaxWidth(600);
    }

    /** Readable form of {@code int8} and {@code float16}. */
    private static String depth(String name) {
        return name.startsWith("int")
                ? name.substring(3) + " bit"
                : name.replace("float", "") + "-bit float";
    }

    /** The node with the initial focus. */
    public Button first() {
        return done;
    }

    private void read(Consumer<Source> changed, Function<FootageSettings, FootageSettings> change) {
        source = source.withSettings(change.apply(source.settings()));
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
