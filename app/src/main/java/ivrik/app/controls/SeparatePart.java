package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.SeparationChange;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.ChannelBadge;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.app.widget.TooltipText;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Cmyk;
import ivrik.core.separation.CustomPrimaries;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;

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

/** Controls of the separation: colour model and its settings. */
final class SeparatePart extends IncrementalBuild<State> {
    private final View view;

    SeparatePart(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        super(session, Optional::of);
        this.view = view;
        Label title = new Label("Separation");
        title.getStyleClass().add("title");
        Look look = session.state().look().orElseThrow();
        getChildren().addAll(row(title, quiet(look.model().title())), models());
        if (look.model() instanceof Cmyk) {
            add(this::blackGeneration);
        }
        if (look.model() instanceof CustomPrimaries) {
            add(() -> customPrimaries(colourAt));
        } else {
            add(() -> channels(look.model().channels()));
        }
        add(() -> heading("Channel sources and delays"));
        ChannelSourcePart channelSources =
                new ChannelSourcePart(session, view, look.model().channels(), showers);
        add(() -> channelSources);
        addAll(channelSources.pieces());
    }

    private void shows(Consumer<Look> shower) {
        showers.add(s -> s.look().ifPresent(shower));
    }

    private Node customPrimaries(Function<Point2D, Optional<Ink>> colourAt) {
        PrimariesPart customPrimaries = new PrimariesPart(session, view, colourAt);
        shows(l -> customPrimaries.show());
        return customPrimaries;
    }

    private Node models() {
        FlowPane models = new FlowPane(4, 4);
        for (Separation each : Separations.all()) {
            models.getChildren()
                    .add(
                            choice(
                                    each.title(),
                                    each.id(),
                                    each.channels().stream()
                                            .map(ChannelKind::title)
                                            .collect(Collectors.joining(", ")),
                                    l -> l.model().title().equals(each.title()),
                                    () -> SeparationChange.change(session, view, each)));
        }
        models.getChildren()
                .add(
                        choice(
                                "Custom primaries",
                                "primaries",
                                "three colours of your choice",
                                l -> l.model() instanceof CustomPrimaries,
                                () -> SeparationChange.change(session, view, PrimariesPart.FIRST)));
        return models;
    }

    private ToggleButton choice(
            String title, String id, String into, Predicate<Look> is, Runnable action) {
        ToggleButton button = new ToggleButton(title);
        button.setId("model-" + id);
        Controls.explain(button, "Separates the picture into " + into);
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
                        "Black generation: share of the common grey of cyan, magenta and yellow"
                                + " printed in black, in %",
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

    private static Node channels(List<ChannelKind> kinds) {
        VBox list = new VBox(6);
        for (ChannelKind kind : kinds) {
            Label name = new Label(kind.title());
            HBox line = new HBox(8, new ChannelBadge(kind), name, quiet(range(kind)));
            line.setAlignment(Pos.CENTER_LEFT);
            list.getChildren().add(line);
        }
        TooltipText.install(list, () -> "Channels of this colour model and their value ranges");
        return list;
    }

    private static String range(ChannelKind kind) {
        return switch (kind.paint()) {
            case LIGHT -> "light, 0 to 1";
            case INK -> "ink amount, 0 to 1";
            case SIGNED -> "signed, -" + kind.span() + " to " + kind.span();
            case ANGLE -> "angle, 0 to 1 turn";
        };
    }

    private static Label heading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("heading");
        return label;
    }
}
