package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.shape.Aimed;
import ivrik.core.look.Lists;
import ivrik.core.look.Target;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;

import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** The layer on the desk: its place, how it lies on those beneath, when it is there, and its text. */
final class LayerPart extends PieceByPiece<Layer> {
    private final View view;

    LayerPart(Session session, View view) {
        super(session, State::layer);
        this.view = view;
        Label title = new Label();
        title.getStyleClass().add("title");
        showers.add(l -> title.setText(l.name()));
        CheckBox visible = new CheckBox("visible");
        visible.setId("layer-visible");
        Controls.explain(visible, "Whether the layer is in the picture");
        visible.setOnAction(
                e -> edit("Layer visible or not", l -> l.withVisible(visible.isSelected())));
        showers.add(l -> visible.setSelected(l.visible()));
        getChildren().addAll(row(title, visible), onto(), time());
        add(this::place);
        add(this::shot);
        drawn(session).ifPresent(source -> add(() -> text(source)));
    }

    private Node place() {
        PlacePart place =
                new PlacePart(
                        "layer",
                        view,
                        (name, change) -> edit(name, l -> l.withPlace(change.apply(l.place()))),
                        (part, field) ->
                                Aimed.at(field, session, view, new Target.OfPlace(part.name())));
        showers.add(l -> place.show(l.place()));
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

    /** The title or solid that the layer shows, if it shows one. */
    static Optional<Source> drawn(Session session) {
        return session.state()
                .layer()
                .flatMap(l -> session.project().source(l.clips().getFirst().source()))
                .filter(s -> !s.kind().isFile());
    }

    private Node onto() {
        MenuButton blend = new MenuButton();
        blend.getStyleClass().add("plain");
        blend.setId("layer-blend");
        blend.setTooltip(new Tooltip("How the layer meets those beneath it"));
        for (Blend each : Blend.values()) {
            MenuItem item = new MenuItem(each.title());
            item.setOnAction(e -> edit("Layer: " + each.id(), l -> l.withBlend(each)));
            blend.getItems().add(item);
        }
        showers.add(l -> blend.setText(l.blend().title()));
        NumberField opacity =
                new NumberField(
                        new NumberField.Spec("%", 0, 100, 100, 5, 0, false),
                        "How much of the layer covers those beneath",
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

    /** When a layer of one clip begins and ends. */
    private Node time() {
        NumberField in =
                frame(
                        "layer-in",
                        "The first frame in which the layer is there",
                        (clip, to) -> {
                            long start = Math.min(to, clip.end() - 1);
                            return clip.with(c -> c.start(start).length(clip.end() - start));
                        });
        NumberField out =
                frame(
                        "layer-out",
                        "The last frame in which the layer is there",
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
                                        "Layer in time",
                                        l ->
                                                l.withClips(
                                                        Lists.with(
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
