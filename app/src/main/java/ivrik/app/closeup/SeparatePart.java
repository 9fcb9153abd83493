package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Badge;
import ivrik.app.control.Controls;
import ivrik.app.control.Hint;
import ivrik.app.control.NumberField;
import ivrik.app.session.Models;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.look.Look;
import ivrik.core.separation.Cmyk;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.separation.Trio;

import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** How the picture is taken apart: the colour model, and what can be set of it. */
final class SeparatePart extends PieceByPiece<State> {
    private final View view;

    SeparatePart(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        super(session, Optional::of);
        this.view = view;
        Label title = new Label("Separate");
        title.getStyleClass().add("title");
        Look look = session.state().look().orElseThrow();
        getChildren().addAll(row(title, quiet(look.model().title())), models());
        if (look.model() instanceof Cmyk) {
            add(this::blackGeneration);
        }
        if (look.model() instanceof Trio) {
            add(() -> trio(colourAt));
        } else {
            add(() -> lanes(look.model().lanes()));
        }
        add(() -> heading("Pictures and times of the lanes"));
        FeedPart feeds = new FeedPart(session, view, look.model().lanes(), showers);
        add(() -> feeds);
        addAll(feeds.pieces());
    }

    private void shows(Consumer<Look> shower) {
        showers.add(s -> s.look().ifPresent(shower));
    }

    private Node trio(Function<Point2D, Optional<Ink>> colourAt) {
        TrioPart trio = new TrioPart(session, view, colourAt);
        shows(l -> trio.show());
        return trio;
    }

    private Node models() {
        FlowPane models = new FlowPane(4, 4);
        for (Separation each : Separations.all()) {
            models.getChildren()
                    .add(
                            choice(
                                    each.title(),
                                    each.id(),
                                    each.lanes().stream()
                                            .map(LaneKind::title)
                                            .collect(Collectors.joining(", ")),
                                    l -> l.model().title().equals(each.title()),
                                    () -> Models.change(session, view, each)));
        }
        models.getChildren()
                .add(
                        choice(
                                "Own trio",
                                "trio",
                                "any three colours that you choose",
                                l -> l.model() instanceof Trio,
                                () -> Models.change(session, view, TrioPart.FIRST)));
        return models;
    }

    private ToggleButton choice(
            String title, String id, String into, Predicate<Look> is, Runnable action) {
        ToggleButton button = new ToggleButton(title);
        button.setId("model-" + id);
        Controls.explain(button, "Takes the picture apart into " + into);
        button.setOnAction(
                e -> {
                    session.state().look().ifPresent(l -> button.setSelected(is.test(l)));
                    action.run();
                });
        shows(l -> button.setSelected(is.test(l)));
        return button;
    }

    private Node blackGeneration() {
        NumberField field =
                new NumberField(
                        new NumberField.Spec("%", 0, 100, 100, 5, 0, false),
                        "How much of the grey that the three inks have in common is printed in"
                                + " black",
                        to ->
                                session.editLook(
                                        "Black generation",
                                        l -> l.withSeparation(new Cmyk(to / 100).id())));
        field.setId("black-generation");
        shows(
                l -> {
                    if (l.model() instanceof Cmyk cmyk) {
                        field.show(100 * cmyk.generation());
                    }
                });
        return row(quiet("Black generation"), field);
    }

    private static Node lanes(List<LaneKind> kinds) {
        VBox list = new VBox(6);
        for (LaneKind kind : kinds) {
            Label name = new Label(kind.title());
            HBox line = new HBox(8, new Badge(kind), name, quiet(range(kind)));
            line.setAlignment(Pos.CENTER_LEFT);
            list.getChildren().add(line);
        }
        Hint.install(list, () -> "The lanes of this model, and the range of their values");
        return list;
    }

    private static String range(LaneKind kind) {
        return switch (kind.paint()) {
            case LIGHT -> "light, 0 to 1";
            case INK -> "ink on paper, 0 to 1";
            case SIGNED -> "difference, -" + kind.span() + " to " + kind.span();
            case ANGLE -> "angle, in turns";
        };
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("heading");
        return label;
    }
}
