package ivrik.app.shell;

import ivrik.app.control.Drawing;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.theme.Marks;
import ivrik.app.theme.Palette;
import ivrik.core.measure.Register;

import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The top of the window: menus, the project's name, how far the picture is out of register, export. */
final class Header extends StackPane {
    /** By so much the project's name may be cut before there are two lines. */
    private static final double ROOM = 40;

    private final Label name = new Label();
    private final Label saved = new Label();
    private final Label register = new Label();
    private final Tooltip measured = new Tooltip();
    private final Menu recent = new Menu("Open recent");
    private final Mark mark;
    private final HBox menus;
    private final HBox about;
    private boolean isOnTwo;
    private double apart;

    Header(List<Command> commands, View view, ObjectProperty<Palette> palette, Runnable export) {
        getStyleClass().add("header-stack");
        mark = new Mark(palette);
        Label brand = new Label("Ivrik");
        brand.getStyleClass().add("brand");
        MenuBar bar = new MenuBar();
        bar.setMinWidth(Region.USE_PREF_SIZE);
        bar.getMenus().addAll(menusOf(commands));
        view.behind.addListener((o, was, is) -> stale(is));
        register.setId("register");
        register.setMinWidth(Region.USE_PREF_SIZE);
        register.setTooltip(measured);
        ToggleButton without = new ToggleButton("Without");
        without.selectedProperty().bindBidirectional(view.without);
        without.setTooltip(new Tooltip("The picture without the look; also while W is held down"));
        Button out = new Button("Export");
        out.setId("export");
        out.setTooltip(new Tooltip("Writes pictures or a movie. Key: Ctrl+E"));
        out.getStyleClass().add("primary");
        out.setOnAction(e -> export.run());
        name.getStyleClass().add("project-name");
        saved.getStyleClass().add("quiet");
        HBox title = new HBox(8, name, saved);
        title.setMouseTransparent(true);
        title.setAlignment(Pos.CENTER);
        title.setMinWidth(0);
        HBox.setHgrow(title, Priority.ALWAYS);
        for (Region whole : List.of(brand, without, out)) {
            whole.setMinWidth(USE_PREF_SIZE);
        }
        menus = new HBox(brand, bar);
        about = new HBox(title, mark, register, without, out);
        about.setMinWidth(0);
        HBox.setHgrow(about, Priority.ALWAYS);
        for (HBox part : List.of(menus, about)) {
            part.getStyleClass().add("header");
        }
        for (ObservableValue<?> room :
                List.of(widthProperty(), register.textProperty(), name.textProperty(), palette)) {
            room.subscribe(() -> Platform.runLater(this::arrange));
        }
        arrange();
    }

    /** On one line, or on two where there is no room for all of it on one. */
    private void arrange() {
        double wanted =
                menus.prefWidth(-1) + about.prefWidth(-1) - (name.getText().isEmpty() ? 0 : ROOM);
        boolean two = getWidth() > 0 && getWidth() < wanted;
        if (getChildren().isEmpty() || two != isOnTwo) {
            isOnTwo = two;
            getChildren().setAll(two ? new VBox(menus, about) : new HBox(menus, about));
        }
    }

    private List<Menu> menusOf(List<Command> commands) {
        Map<String, Menu> menus = new LinkedHashMap<>();
        for (Command command : commands) {
            Menu menu = menus.computeIfAbsent(command.menu(), Menu::new);
            MenuItem item = new MenuItem(command.title());
            item.setMnemonicParsing(false);
            item.setAccelerator(command.key());
            item.setOnAction(e -> command.run());
            menu.getItems().add(item);
            menu.addEventHandler(
                    Menu.ON_SHOWING,
                    e -> {
                        item.setText(command.title());
                        item.setDisable(!command.enabled().getAsBoolean());
                    });
            if (command.title().equals("Open the demo")) {
                menu.getItems().add(recent);
            }
            if (List.of("Kept work...", "Save as...", "Export...", Commands.SCHEME)
                    .contains(command.title())) {
                menu.getItems().add(new SeparatorMenuItem());
            }
        }
        // An item that was disabled when its menu was last open would not answer to its key.
        menus.values()
                .forEach(
                        menu ->
                                menu.addEventHandler(
                                        Menu.ON_HIDDEN,
                                        e ->
                                                menu.getItems()
                                                        .forEach(item -> item.setDisable(false))));
        return new ArrayList<>(menus.values());
    }

    void showRecent(List<String> projects, java.util.function.Consumer<String> open) {
        recent.getItems().clear();
        for (String project : projects) {
            MenuItem item = new MenuItem(project);
            item.setMnemonicParsing(false);
            item.setOnAction(e -> open.accept(project));
            recent.getItems().add(item);
        }
        recent.setDisable(projects.isEmpty());
    }

    /**
     * @param standing how the project stands: saved, kept aside and the like
     */
    void showName(String project, String standing) {
        name.setText(project);
        saved.setText(standing);
    }

    /** The number is of a picture that is older than what is set. */
    private void stale(boolean is) {
        register.getStyleClass().remove("stale");
        if (is) {
            register.getStyleClass().add("stale");
        }
    }

    /** How far out of register; null where there is no picture. */
    void showRegister(Register r) {
        mark.setVisible(r != null);
        register.setVisible(r != null);
        if (r == null) {
            return;
        }
        register.setText(
                r.largest() == 0
                        ? "in register, off by 0"
                        : r.isExact()
                                ? "in register, off by less than 1 of 65535"
                                : "out of register by " + codes(r.largest()));
        measured.setText(
                String.format(
                        Locale.ROOT,
                        "The largest difference between this picture and its source: %.3g of"
                                + " white; on average %.3g. Of 255 steps from black to white, as"
                                + " files of 8 bit have, it is %s.",
                        r.largest(),
                        r.mean(),
                        codes(r.largest())));
        apart = apart(r);
        mark.redraw();
    }

    /** A difference in steps of 8 bit. */
    private static String codes(double difference) {
        long codes = Math.round(difference * 255);
        return codes == 0
                ? "less than 1 of 255"
                : codes > 255 ? "more than 255 of 255" : codes + " of 255";
    }

    /** How far apart the marks are drawn for a register, in pixels. */
    static double apart(Register r) {
        return r.isExact() ? 0 : 1 + 2 * Math.min(1, r.largest());
    }

    /** The registration mark beside the number. */
    private final class Mark extends Drawing {
        Mark(ObjectProperty<Palette> palette) {
            super(palette);
            setMinSize(28, 24);
            setMaxSize(28, 24);
        }

        @Override
        protected void draw(GraphicsContext g, Palette p, double w, double h) {
            Marks.register(g, p, w / 2, h / 2, 5, apart);
        }
    }
}
