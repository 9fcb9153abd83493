package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.control.WhileShown;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.app.shape.Aimed;
import ivrik.core.look.Look;
import ivrik.core.look.Reach;
import ivrik.core.look.Reach.Matte;
import ivrik.core.look.Target;
import ivrik.core.project.Layer;
import ivrik.core.separation.Ink;

import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** Which part of the picture the look touches: tones, a colour, another layer's matte. */
final class ReachPart extends PieceByPiece<State> {
    private final View view;

    /**
     * @param colourAt the source's colour at a place of the sequence
     */
    ReachPart(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        super(session, Optional::of);
        this.view = view;
        Label title = new Label("Reach");
        title.getStyleClass().add("title");
        title.setTooltip(new Tooltip("Which part of the picture the look touches"));
        FlowPane seen =
                new FlowPane(
                        2,
                        2,
                        quiet("see"),
                        see("result", Show.RESULT, "What the look makes of the picture"),
                        see(
                                "over the picture",
                                Show.REACH_OVER,
                                "What is not reached is dim and grey"),
                        see("alone", Show.REACH, "Only what is reached, on grey"));
        getChildren().addAll(title, seen);
        add(
                () ->
                        toggle(
                                "tones",
                                "Only what is so bright",
                                r -> r.tones().on(),
                                (r, on) -> r.withTones(r.tones().withOn(on))));
        add(() -> row(number("low"), number("high"), number("soft")));
        add(
                () ->
                        toggle(
                                "linear",
                                "Tones as the luminance of linear light, not as delivered",
                                r -> r.tones().linear(),
                                (r, on) -> r.withTones(r.tones().withLinear(on))));
        add(() -> row(colour(), pick(colourAt)));
        add(() -> row(number("hue"), number("width"), number("falloff")));
        add(this::matte);
        add(this::whole);
    }

    private Node colour() {
        return toggle(
                "colour",
                "Only what is of this hue; greys are of none",
                r -> r.colour().on(),
                (r, on) -> r.withColour(r.colour().withOn(on)));
    }

    private Node whole() {
        return row(
                toggle("inverted", "All but what is reached", Reach::inverted, Reach::withInverted),
                toggle(
                        "may spread beyond",
                        "Only what is reached is treated, and its blur or move may leave it;"
                                + " otherwise the result is seen only where the reach is",
                        Reach::spreads,
                        Reach::withSpreads));
    }

    private void edit(String name, UnaryOperator<Reach> change) {
        session.editLook(name, look -> look.withReach(change.apply(look.reach())));
    }

    private ToggleButton see(String word, Show show, String help) {
        String id = "see-" + show.name().toLowerCase(Locale.ROOT);
        ToggleButton button = Controls.toggle(id, word, help);
        button.setOnAction(e -> view.paneA.set(show));
        WhileShown.listen(button, () -> button.setSelected(view.paneA.get() == show), view.paneA);
        return button;
    }

    private interface With {
        Reach of(Reach reach, boolean on);
    }

    private ToggleButton toggle(String word, String help, Function<Reach, Boolean> is, With with) {
        ToggleButton button = new ToggleButton(word);
        button.getStyleClass().setAll("switch");
        button.setId("reach-" + word.replace(' ', '-'));
        button.setMinWidth(USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(
                e -> {
                    boolean on = button.isSelected();
                    edit("Reach: " + word + (on ? "" : " off"), r -> with.of(r, on));
                });
        showers.add(s -> s.look().map(Look::reach).ifPresent(r -> button.setSelected(is.apply(r))));
        return button;
    }

    private Node number(String name) {
        Reach.Part part =
                Reach.PARTS.stream().filter(p -> p.name().equals(name)).findFirst().orElseThrow();
        NumberField field =
                new NumberField(
                        new NumberField.Spec(
                                part.range().unit(),
                                part.range().min(),
                                part.range().max(),
                                part.value().apply(Reach.ALL).rest(),
                                1,
                                0,
                                false),
                        "Reach " + part.range().title() + ", in " + part.range().unit(),
                        to ->
                                edit(
                                        "Reach " + part.range().title(),
                                        r ->
                                                r.with(
                                                        name,
                                                        part.value()
                                                                .apply(r)
                                                                .set(view.frame.get(), to))));
        field.setId("reach-" + name);
        Aimed.at(field, session, view, new Target.OfReach(name));
        showers.add(
                s ->
                        s.look()
                                .ifPresent(
                                        l ->
                                                field.show(
                                                        part.value()
                                                                .apply(l.reach())
                                                                .at(view.frame.get()))));
        VBox box = new VBox(quiet(part.range().title()), field);
        return box;
    }

    /** Takes the hue of the place of the picture that is pressed next. */
    private Button pick(Function<Point2D, Optional<Ink>> colourAt) {
        Button pick = new Button("from the picture");
        pick.getStyleClass().add("plain");
        pick.setId("reach-pick");
        pick.setTooltip(new Tooltip("Press the picture where it has the colour"));
        pick.setOnAction(
                e -> {
                    view.notice.set("Press the picture where it has the colour");
                    view.picking.set(
                            at ->
                                    colourAt.apply(at)
                                            .ifPresent(
                                                    ink ->
                                                            edit(
                                                                    "Reach a colour",
                                                                    r -> reaching(r, ink))));
                });
        return pick;
    }

    private Reach reaching(Reach reach, Ink ink) {
        double hue =
                Color.color(
                                Math.clamp(ink.red(), 0, 1),
                                Math.clamp(ink.green(), 0, 1),
                                Math.clamp(ink.blue(), 0, 1))
                        .getHue();
        Reach reached =
                reach.with(
                        "hue", reach.colour().hueDegrees().set(view.frame.get(), Math.rint(hue)));
        return reached.withColour(reached.colour().withOn(true));
    }

    private Node matte() {
        MenuButton layer =
                Controls.menu("reach-matte", "Only where another layer's picture is", this::items);
        showers.add(
                s ->
                        s.look()
                                .map(l -> l.reach().matte())
                                .ifPresent(
                                        m ->
                                                layer.setText(
                                                        m.isOn()
                                                                ? name(s, m)
                                                                        + ", "
                                                                        + Controls.word(m.channel())
                                                                : "no matte")));
        return row(quiet("matte"), layer);
    }

    private static String name(State state, Matte matte) {
        return state.project().layer(matte.layer()).map(Layer::name).orElse("a layer that is gone");
    }

    private List<MenuItem> items() {
        List<MenuItem> items = new ArrayList<>();
        items.add(item("no matte", Matte.OFF));
        for (Layer layer : session.project().layers()) {
            for (Matte.Channel channel : Matte.Channel.values()) {
                items.add(
                        item(
                                layer.name() + ", " + Controls.word(channel),
                                new Matte(layer.id(), channel)));
            }
        }
        return items;
    }

    private MenuItem item(String title, Matte matte) {
        return Controls.item(title, () -> edit("Reach: " + title, r -> r.withMatte(matte)));
    }
}
