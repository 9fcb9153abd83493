package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.shape.TargetedFields;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.look.Mask;
import ivrik.core.look.Target;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.ProjectEdits;
import ivrik.core.rejoin.Blend;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Below the matrix: the selected layer, the selected look, its mask and its blending. */
public final class LayerStrip extends FlowPane {
    private final Session session;
    private final View view;
    private NumberField amount;

    LayerStrip(Session session, View view) {
        super(4, 2);
        this.session = session;
        this.view = view;
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().addAll("strip", "wraps");
        setMinWidth(0);
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!Made.of(was).equals(Made.of(is))) {
                                make();
                            }
                            showAmount();
                        });
        view.frame.addListener((o, a, b) -> showAmount());
        make();
    }

    /** Everything that the strip is built for; the opacity is only updated. */
    private record Made(List<Name> layers, List<Name> looks, Optional<Mask> mask, String blend) {
        record Name(String id, String name, boolean on) {}

        static Made of(State state) {
            String layer = state.layer().map(Layer::id).orElse("");
            return new Made(
                    state.project().layers().stream()
                            .map(l -> new Name(l.id(), l.name(), l.id().equals(layer)))
                            .toList(),
                    state.layer().stream()
                            .flatMap(l -> l.looks().stream())
                            .map(l -> new Name(l.id(), l.look().displayName() + l.shots(), l.on()))
                            .toList(),
                    state.look().map(Look::mask),
                    state.lookNumber()
                            + " "
                            + state.look().map(l -> l.blend().mode().id()).orElse(""));
        }
    }

    private void make() {
        State state = session.state();
        getChildren().clear();
        state.layer().ifPresent(l -> make(state, l));
    }

    private void make(State state, Layer layer) {
        Look look = state.look().orElseThrow();
        getChildren().addAll(layers(layer), looks(state, layer), mask(look), blend(look), amount());
    }

    private MenuButton layers(Layer layer) {
        MenuButton menu = menu("Layer: " + layer.name(), "The selected layer");
        menu.setId("layer");
        List<Layer> layers = session.project().layers();
        for (Layer each : layers.reversed()) {
            menu.getItems()
                    .add(
                            Controls.item(
                                    each.name(),
                                    each.id().equals(layer.id()),
                                    () -> session.selectLayer(each.id())));
        }
        int at = layers.indexOf(layer);
        menu.getItems().add(new SeparatorMenuItem());
        item(menu, "Show layer", () -> show(Face.LAYER));
        item(menu, "Move up", () -> swap(at, at + 1)).setDisable(at == layers.size() - 1);
        item(menu, "Move down", () -> swap(at, at - 1)).setDisable(at == 0);
        menu.getItems().add(new SeparatorMenuItem());
        item(menu, "Delete layer", () -> remove(layer)).setDisable(layers.size() < 2);
        return menu;
    }

    /** Shows the mask; a click opens its controls. */
    private Button mask(Look look) {
        Mask r = look.mask();
        List<String> parts = new ArrayList<>();
        if (r.tones().on()) {
            parts.add("tone");
        }
        if (r.colour().on()) {
            parts.add("colour");
        }
        if (r.matte().isOn()) {
            parts.add("matte");
        }
        String what = parts.isEmpty() ? "none" : String.join(", ", parts);
        Button button = new Button("Mask: " + what + (r.inverted() ? ", inverted" : ""));
        button.getStyleClass().add("plain");
        button.setId("mask");
        button.setTooltip(new Tooltip("Mask of the look: which parts of the picture it changes"));
        button.setOnAction(e -> show(Face.MASK));
        return button;
    }

    private void swap(int a, int b) {
        session.edit("Reorder layers", p -> ProjectEdits.swapped(p, a, b));
    }

    private void remove(Layer layer) {
        session.edit("Delete layer " + layer.name(), p -> ProjectEdits.withoutLayer(p, layer.id()));
    }

    private MenuButton looks(State state, Layer layer) {
        int at = state.lookNumber();
        LayerLook now = layer.looks().get(at);
        int count = layer.looks().size();
        MenuButton menu =
                menu(
                        (count > 1 ? "Look " + (at + 1) + " of " + count + ": " : "Look: ")
                                + titled(now),
                        "Looks of this layer, in order");
        menu.setId("look");
        for (int i = 0; i < count; i++) {
            LayerLook each = layer.looks().get(i);
            menu.getItems()
                    .add(
                            Controls.item(
                                    i + 1 + "  " + titled(each),
                                    i == at,
                                    () -> {
                                        session.selectLook(each.id());
                                        if (!each.look().dials().isEmpty()) {
                                            show(Face.LOOK);
                                        }
                                    }));
        }
        menu.getItems().add(new SeparatorMenuItem());
        item(menu, "Show look", () -> show(Face.LOOK));
        item(
                menu,
                now.on() ? "Turn off" : "Turn on",
                () ->
                        session.editLayer(
                                "Turn look on or off",
                                l ->
                                        l.withLooks(
                                                ListEdits.with(
                                                        l.looks(), at, now.withOn(!now.on())))));
        if (layer.clips().size() > 1 && now.shots().isEmpty()) {
            item(menu, "Use on this shot only", () -> onShots(at, shotHere(layer)));
        } else if (!now.shots().isEmpty()) {
            item(menu, "Use on all shots", () -> onShots(at, List.of()));
        }
        item(
                menu,
                "Add look after this",
                () -> {
                    String id = layer.freeLookId();
                    session.editLayer("Add look", l -> ProjectEdits.withNewLook(l, id, at));
                    session.selectLook(id);
                });
        item(menu, "Move earlier", () -> moveLook(at, at - 1)).setDisable(at == 0);
        item(menu, "Move later", () -> moveLook(at, at + 1)).setDisable(at == count - 1);
        menu.getItems().add(new SeparatorMenuItem());
        item(
                        menu,
                        "Remove look",
                        () ->
                                session.editLayer(
                                        "Remove look", l -> ProjectEdits.withoutLook(l, at)))
                .setDisable(count < 2);
        return menu;
    }

    private static String titled(LayerLook look) {
        int shots = look.shots().size();
        return look.look().displayName()
                + (look.on() ? "" : ", off")
                + (shots == 0 ? "" : shots == 1 ? ", on 1 shot" : ", on " + shots + " shots");
    }

    private List<String> shotHere(Layer layer) {
        return layer.clipAt(view.frame.get()).map(Clip::id).stream().toList();
    }

    private void onShots(int look, List<String> shots) {
        session.editLayer(
                "Change shots of look",
                l ->
                        l.withLooks(
                                ListEdits.with(
                                        l.looks(), look, l.looks().get(look).withShots(shots))));
    }

    private void moveLook(int from, int to) {
        session.editLayer("Reorder looks", l -> ProjectEdits.withLooksSwapped(l, from, to));
    }

    private MenuButton blend(Look look) {
        MenuButton blend =
                menu(
                        title(look.blend().mode()),
                        "Blend of the treated picture with the untreated picture: replace it, or"
                                + " use a blend mode");
        blend.setId("look-blend");
        for (Blend each : Blend.values()) {
            blend.getItems()
                    .add(
                            Controls.item(
                                    title(each),
                                    each == look.blend().mode(),
                                    () ->
                                            session.editLook(
                                                    "Look blend: " + each.id(),
                                                    l ->
                                                            l.withBlend(
                                                                    new LookBlend(
                                                                            each,
                                                                            l.blend()
                                                                                    .opacity())))));
        }
        return blend;
    }

    private static String title(Blend blend) {
        return blend == Blend.NORMAL ? "Blend: replace" : "Blend: " + blend.title();
    }

    private NumberField amount() {
        amount =
                new NumberField(
                        new NumberField.Spec("%", 0, 100 * LookBlend.MAX_OPACITY, 100, 5, 0, false),
                        "Opacity of the look over the untreated picture, in %; above 100 % its"
                                + " change is exaggerated",
                        to ->
                                session.editLook(
                                        "Look opacity",
                                        l ->
                                                l.withBlend(
                                                        new LookBlend(
                                                                l.blend().mode(),
                                                                l.blend()
                                                                        .opacity()
                                                                        .set(
                                                                                view.frame.get(),
                                                                                to / 100)))));
        amount.setId("look-opacity");
        TargetedFields.at(amount, session, view, new Target.OfOpacity());
        showAmount();
        return amount;
    }

    private void showAmount() {
        session.state()
                .look()
                .filter(l -> amount != null)
                .ifPresent(l -> amount.show(100 * l.blend().opacity().at(view.frame.get())));
    }

    private void show(Face face) {
        view.controlsShown.set(true);
        view.face.set(face);
    }

    private static MenuButton menu(String text, String help) {
        MenuButton menu = new MenuButton(text);
        menu.setMnemonicParsing(false);
        menu.getStyleClass().add("plain");
        menu.setTooltip(new Tooltip(help));
        return menu;
    }

    private static MenuItem item(MenuButton menu, String text, Runnable action) {
        MenuItem item = Controls.item(text, action);
        menu.getItems().add(item);
        return item;
    }
}
