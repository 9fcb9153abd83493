package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.Controls;
import ivrik.app.widget.ListenWhileShown;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Look;
import ivrik.core.look.Mask;
import ivrik.core.look.Mask.Matte;
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

/** Controls of the mask: tone range, colour range, matte. */
final class MaskPart extends IncrementalBuild<State> {
    private final View view;

    /**
     * @param colourAt colour of the source at a position of the sequence
     */
    MaskPart(Session session, View view, Function<Point2D, Optional<Ink>> colourAt) {
        super(session, Optional::of);
        this.view = view;
        Label title = new Label("Mask");
        title.getStyleClass().add("title");
        title.setTooltip(new Tooltip("Limits the look to part of the picture"));
        FlowPane seen =
                new FlowPane(
                        2,
                        2,
                        quiet("show"),
                        see("result", Show.RESULT, "Shows the result"),
                        see(
                                "mask overlay",
                                Show.MASK_OVERLAY,
                                "Shows the picture with everything outside the mask dimmed and"
                                        + " grey"),
                        see(
                                "mask only",
                                Show.MASK_ONLY,
                                "Shows only the area inside the mask, on grey"));
        getChildren().addAll(title, seen);
        add(
                () ->
                        toggle(
                                "tones",
                                "by tone",
                                "Selects a range of brightness",
                                r -> r.tones().on(),
                                (r, on) -> r.withTones(r.tones().withOn(on))));
        add(() -> row(number("low"), number("high"), number("soft")));
        add(
                () ->
                        toggle(
                                "linear",
                                "linear light",
                                "Measures brightness as linear-light luminance instead of luma",
                                r -> r.tones().linear(),
                                (r, on) -> r.withTones(r.tones().withLinear(on))));
        add(() -> row(colour(), sample(colourAt)));
        add(() -> row(number("hue"), number("width"), number("falloff")));
        add(this::matte);
        add(this::whole);
    }

    private Node colour() {
        return toggle(
                "colour",
                "by colour",
                "Selects a range of hue; greys are outside it",
                r -> r.colour().on(),
                (r, on) -> r.withColour(r.colour().withOn(on)));
    }

    private Node whole() {
        return row(
                toggle(
                        "inverted",
                        "invert",
                        "Inverts the mask",
                        Mask::inverted,
                        Mask::withInverted),
                toggle(
                        "spreads",
                        "may spread beyond the mask",
                        "On: the look treats the masked area and its blurs and moves may extend"
                                + " outside. Off: the result shows only inside the mask",
                        Mask::spreads,
                        Mask::withSpreads));
    }

    private void edit(String name, UnaryOperator<Mask> change) {
        session.editLook(name, look -> look.withMask(change.apply(look.mask())));
    }

    private ToggleButton see(String title, Show show, String help) {
        String id = "see-" + show.name().toLowerCase(Locale.ROOT);
        ToggleButton button = Controls.toggle(id, title, help);
        button.setOnAction(e -> view.paneA.set(show));
        ListenWhileShown.listen(
                button, () -> button.setSelected(view.paneA.get() == show), view.paneA);
        return button;
    }

    private interface With {
        Mask of(Mask mask, boolean on);
    }

    private ToggleButton toggle(
            String id, String title, String help, Function<Mask, Boolean> is, With with) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().setAll("switch");
        button.setId("mask-" + id);
        button.setMinWidth(USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(
                e -> {
                    boolean on = button.isSelected();
                    edit("Mask: " + title + (on ? "" : " off"), r -> with.of(r, on));
                });
        showers.add(s -> s.look().map(Look::mask).ifPresent(r -> button.setSelected(is.apply(r))));
        return button;
    }

    private Node number(String name) {
        Mask.Part part =
                Mask.PARTS.stream().filter(p -> p.name().equals(name)).findFirst().orElseThrow();
        NumberField field =
                new NumberField(
                        new NumberField.Spec(
                                part.range().unit(),
                                part.range().min(),
                                part.range().max(),
                                part.value().apply(Mask.NONE).rest(),
                                1,
                                0,
                                false),
                        "Mask " + part.range().title() + ", in " + part.range().unit(),
                        to ->
                                edit(
                                        "Mask " + part.range().title(),
                                        r ->
                                                r.with(
                                                                name,
                                                                part.value()
                                                                        .apply(r)
                                                                        .set(view.frame.get(), to))
                                                        .turnedOn(name)));
        field.setId("mask-" + name);
        TargetedFields.at(field, session, view, new Target.OfMask(name));
        showers.add(
                s ->
                        s.look()
                                .ifPresent(
                                        l ->
                                                field.show(
                                                        part.value()
                                                                .apply(l.mask())
                                                                .at(view.frame.get()))));
        VBox box = new VBox(quiet(part.range().title()), field);
        return box;
    }

    /** Samples the hue at the next click on the picture. */
    private Button sample(Function<Point2D, Optional<Ink>> colourAt) {
        Button sample = new Button("sample from picture");
        sample.getStyleClass().add("plain");
        sample.setId("mask-sample");
        sample.setTooltip(new Tooltip("Click the picture to sample the hue"));
        sample.setOnAction(
                e -> {
                    view.notice.set("Click the picture to sample the hue");
                    view.sampling.set(
                            at ->
                                    colourAt.apply(at)
                                            .ifPresent(
                                                    ink ->
                                                            edit(
                                                                    "Sample mask colour",
                                                                    r -> sampled(r, ink))));
                });
        return sample;
    }

    private Mask sampled(Mask mask, Ink ink) {
        double hue =
                Color.color(
                                Math.clamp(ink.red(), 0, 1),
                                Math.clamp(ink.green(), 0, 1),
                                Math.clamp(ink.blue(), 0, 1))
                        .getHue();
        return mask.with("hue", mask.colour().hueDegrees().set(view.frame.get(), Math.rint(hue)))
                .turnedOn("hue");
    }

    private Node matte() {
        MenuButton layer =
                Controls.menu(
                        "mask-matte",
                        "Uses the alpha or luma of another layer as a matte",
                        this::items);
        showers.add(
                s ->
                        s.look()
                                .map(l -> l.mask().matte())
                                .ifPresent(
                                        m ->
                                                Controls.show(
                                                        layer,
                                                        m,
                                                        m.isOn()
                                                                ? name(s, m)
                                                                        + ", "
                                                                        + Controls.text(m.channel())
                                                                : "none")));
        return row(quiet("by matte"), layer);
    }

    private static String name(State state, Matte matte) {
        return state.project().layer(matte.layer()).map(Layer::name).orElse("deleted layer");
    }

    private List<MenuItem> items() {
        List<MenuItem> items = new ArrayList<>();
        items.add(item("none", Matte.OFF));
        for (Layer layer : session.project().layers()) {
            for (Matte.Channel channel : Matte.Channel.values()) {
                items.add(
                        item(
                                layer.name() + ", " + Controls.text(channel),
                                new Matte(layer.id(), channel)));
            }
        }
        return items;
    }

    private MenuItem item(String title, Matte matte) {
        return Controls.item(matte, title, () -> edit("Mask: " + title, r -> r.withMatte(matte)));
    }
}
