package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Target;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;

import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** Controls of the selected layer: placement, compositing, time, and its title or colour. */
final class LayerPart extends IncrementalBuild<Layer> {
    private final View view;

    LayerPart(Session session, View view) {
        super(session, State::layer);
        this.view = view;
        Label title = new Label();
        title.getStyleClass().add("title");
        showers.add(l -> title.setText(l.name()));
        CheckBox visible = new CheckBox("visible");
        visible.setId("layer-visible");
        Controls.explain(visible, "Shows or hides the layer");
        visible.setOnAction(
                e -> edit("Show or hide layer", l -> l.withVisible(visible.isSelected())));
        showers.add(l -> visible.setSelected(l.visible()));
        getChildren().addAll(row(title, visible), compositing(), time());
        add(this::place);
        add(this::shot);
        drawn(session).ifPresent(source -> add(() -> text(source)));
    }

    private Node place() {
        PlacementPart place =
                new PlacementPart(
                        "layer",
                        view,
                        (name, change) ->
                                edit(name, l -> l.withPlacement(change.apply(l.placement()))),
                        (part, field) ->
                                TargetedFields.at(
                                        field, session, view, new Target.OfPlacement(part.name())));
        showers.add(l -> place.show(l.placement()));
        return place;
    }

    private Node shot() {
        ShotPart shot = new ShotPart(session, view);
        showers.add(shot::show);
        return shot;
    }

    private Node text(Source source) {
        TitlePart text = new TitlePart(session, source);
        showers.add(l -> drawn(session).ifPresent(text::show));
        return text;
    }

    /** The title or solid colour of the layer, if it has one. */
    static Optional<Source> drawn(Session session) {
        return session.state()
                .layer()
                .flatMap(l -> session.project().source(l.clips().getFirst().source()))
                .filter(s -> !s.kind().isFile());
    }

    private Node compositing() {
        MenuButton blend = new MenuButton();
        blend.getStyleClass().add("plain");
        blend.setId("layer-blend");
        blend.setTooltip(new Tooltip("Blend of the layer with the layers below"));
        for (Blend each : Blend.values()) {
            blend.getItems()
                    .add(
                            Controls.item(
                                    each,
                                    each.title(),
                                    () -> edit("Layer: " + each.id(), l -> l.withBlend(each))));
        }
        showers.add(l -> Controls.show(blend, l.blend(), l.blend().title()));
        NumberField opacity =
                new NumberField(
                        new NumberField.Spec("%", 0, 100, 100, 5, 0, false),
                        "Opacity of the layer, in %",
                        to ->
                                edit(
                                        "Opacity",
                                        l ->
                                                l.withOpacity(
                                                        l.opacity()
                                                                .set(view.frame.get(), to / 100))));
        opacity.setId("layer-opacity");
        showers.add(l -> opacity.show(100 * l.opacity().at(view.frame.get())));
        return row(quiet("Blend"), blend, quiet("Opacity"), opacity);
    }

    /** Start and end of a layer with one clip. */
    private Node time() {
        NumberField in =
                frame(
                        "layer-in",
                        "First frame of the layer",
                        (clip, to) -> {
                            long start = Math.min(to, clip.end() - 1);
                            return clip.with(c -> c.start(start).length(clip.end() - start));
                        });
        NumberField out =
                frame(
                        "layer-out",
                        "Last frame of the layer",
                        (clip, to) -> clip.withLength(Math.max(1, to + 1 - clip.start())));
        showers.add(
                l -> {
                    in.show(l.range().first());
                    out.show(l.range().last());
                    in.setDisable(l.clips().size() > 1);
                    out.setDisable(l.clips().size() > 1);
                });
        return row(quiet("From frame"), in, quiet("to"), out);
    }

    private interface ClipChange {
        Clip to(Clip clip, long frame);
    }

    private NumberField frame(String id, String help, ClipChange change) {
        NumberField field =
                new NumberField(
                        new NumberField.Spec("", 0, 1_000_000, 0, 1, 0, false),
                        help,
                        to ->
                                edit(
                                        "Change layer range",
                                        l ->
                                                l.withClips(
                                                        ListEdits.with(
                                                                l.clips(),
                                                                0,
                                                                change.to(
                                                                        l.clips().getFirst(),
                                                                        Math.round(to))))));
        field.setId(id);
        return field;
    }

    private void edit(String name, UnaryOperator<Layer> change) {
        session.editLayer(name, change);
    }
}
