package ivrik.app.desk;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.shape.Aimed;
import ivrik.core.look.Lists;
import ivrik.core.look.Look;
import ivrik.core.look.Onto;
import ivrik.core.look.Reach;
import ivrik.core.look.Target;
import ivrik.core.project.Arrange;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
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

/** Under the matrix: which layer is on the desk, which of its looks, and how that meets the picture. */
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

    /** All that the strip is made for; the amount within it is only shown anew. */
    private record Made(List<Name> layers, List<Name> looks, Optional<Reach> reach, String onto) {
        record Name(String id, String name, boolean on) {}

        static Made of(State state) {
            String layer = state.layer().map(Layer::id).orElse("");
            return new Made(
                    state.project().layers().stream()
                            .map(l -> new Name(l.id(), l.name(), l.id().equals(layer)))
                            .toList(),
                    state.layer().stream()
                            .flatMap(l -> l.looks().stream())
                            .map(l -> new Name(l.id(), l.look().shownName() + l.shots(), l.on()))
                            .toList(),
                    state.look().map(Look::reach),
                    state.lookNumber()
                            + " "
                            + state.look().map(l -> l.onto().blend().id()).orElse(""));
        }
    }

    private void make() {
        State state = session.state();
        getChildren().clear();
        state.layer().ifPresent(l -> make(state, l));
    }

    private void make(State state, Layer layer) {
        Look look = state.look().orElseThrow();
        getChildren().addAll(layers(layer), looks(state, layer), reach(look), onto(look), amount());
    }

    private MenuButton layers(Layer layer) {
        MenuButton menu = menu("Layer: " + layer.name(), "The layer that is being worked on");
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
        item(menu, "Its place, text and time", () -> show(Face.LAYER));
        item(menu, "Lay it higher", () -> swap(at, at + 1)).setDisable(at == layers.size() - 1);
        item(menu, "Lay it lower", () -> swap(at, at - 1)).setDisable(at == 0);
        item(menu, "Take the layer away", () -> remove(layer)).setDisable(layers.size() < 2);
        return menu;
    }

    /** Which part of the picture the look touches; its controls are a press away. */
    private Button reach(Look look) {
        Reach r = look.reach();
        List<String> words = new ArrayList<>();
        if (r.tones().on()) {
            words.add("tones");
        }
        if (r.colour().on()) {
            words.add("colour");
        }
        if (r.matte().isOn()) {
            words.add("matte");
        }
        String what = words.isEmpty() ? "all" : String.join(", ", words);
        Button button = new Button("Reaches " + (r.inverted() ? "all but " + what : what));
        button.getStyleClass().add("plain");
        button.setId("reach");
        button.setTooltip(new Tooltip("The look's reach: which part of the picture it touches"));
        button.setOnAction(e -> show(Face.REACH));
        return button;
    }

    private void swap(int a, int b) {
        session.edit("Order of the layers", p -> Arrange.swapped(p, a, b));
    }

    private void remove(Layer layer) {
        session.edit("Take away layer " + layer.name(), p -> Arrange.withoutLayer(p, layer.id()));
    }

    private MenuButton looks(State state, Layer layer) {
        int at = state.lookNumber();
        LayerLook now = layer.looks().get(at);
        int count = layer.looks().size();
        MenuButton menu =
                menu(
                        "Look: " + (count > 1 ? at + 1 + " of " + count + " " : "") + titled(now),
                        "The looks of this layer, done one after the other");
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
        item(menu, "Its name, dials and motion blur", () -> show(Face.LOOK));
        item(
                menu,
                now.on() ? "Switch it off" : "Switch it on",
                () ->
                        session.editLayer(
                                "Look on or off",
                                l ->
                                        l.withLooks(
                                                Lists.with(l.looks(), at, now.withOn(!now.on())))));
        if (layer.clips().size() > 1 && now.shots().isEmpty()) {
            item(menu, "Only on this shot", () -> onShots(at, shotHere(layer)));
        } else if (!now.shots().isEmpty()) {
            item(menu, "On all shots", () -> onShots(at, List.of()));
        }
        item(
                menu,
                "Add a look after it",
                () -> {
                    String id = layer.freeLookId();
                    session.editLayer("Add a look", l -> Arrange.withNewLook(l, id, at));
                    session.selectLook(id);
                });
        item(menu, "Move this look one earlier", () -> moveLook(at, at - 1)).setDisable(at == 0);
        item(menu, "Move this look one later", () -> moveLook(at, at + 1))
                .setDisable(at == count - 1);
        item(
                        menu,
                        "Take the look away",
                        () ->
                                session.editLayer(
                                        "Take away a look", l -> Arrange.withoutLook(l, at)))
                .setDisable(count < 2);
        return menu;
    }

    private static String titled(LayerLook look) {
        int shots = look.shots().size();
        return look.look().shownName()
                + (look.on() ? "" : ", off")
                + (shots == 0 ? "" : shots == 1 ? ", on 1 shot" : ", on " + shots + " shots");
    }

    private List<String> shotHere(Layer layer) {
        return layer.clipAt(view.frame.get()).map(Clip::id).stream().toList();
    }

    private void onShots(int look, List<String> shots) {
        session.editLayer(
                "Shots of the look",
                l ->
                        l.withLooks(
                                Lists.with(l.looks(), look, l.looks().get(look).withShots(shots))));
    }

    private void moveLook(int from, int to) {
        session.editLayer("Order of the looks", l -> Arrange.withLooksSwapped(l, from, to));
    }

    private MenuButton onto(Look look) {
        MenuButton onto =
                menu(
                        word(look.onto().blend()),
                        "How the treated picture is laid on the untouched one: instead of it, or by"
                                + " a blend mode");
        onto.setId("onto");
        for (Blend each : Blend.values()) {
            onto.getItems()
                    .add(
                            Controls.item(
                                    word(each),
                                    each == look.onto().blend(),
                                    () ->
                                            session.editLook(
                                                    "Onto: " + each.id(),
                                                    l ->
                                                            l.withOnto(
                                                                    new Onto(
                                                                            each,
                                                                            l.onto().amount())))));
        }
        return onto;
    }

    private static String word(Blend blend) {
        return blend == Blend.NORMAL ? "Replaces it" : "Laid on by " + blend.title();
    }

    private NumberField amount() {
        amount =
                new NumberField(
                        new NumberField.Spec("%", 0, 100, 100, 5, 0, false),
                        "How much of the look is laid onto the untouched picture",
                        to ->
                                session.editLook(
                                        "Onto amount",
                                        l ->
                                                l.withOnto(
                                                        new Onto(
                                                                l.onto().blend(),
                                                                l.onto()
                                                                        .amount()
                                                                        .set(
                                                                                view.frame.get(),
                                                                                to / 100)))));
        amount.setId("onto-amount");
        Aimed.at(amount, session, view, new Target.OfOnto());
        showAmount();
        return amount;
    }

    private void showAmount() {
        session.state()
                .look()
                .filter(l -> amount != null)
                .ifPresent(l -> amount.show(100 * l.onto().amount().at(view.frame.get())));
    }

    private void show(Face face) {
        view.closeUpShown.set(true);
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
