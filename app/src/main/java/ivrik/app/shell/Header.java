package ivrik.app.shell;

import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.theme.Marks;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.core.measure.Misregistration;

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
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The top of the window: menus, project name, misregistration and export. */
final class Header extends StackPane {
    /** Pixels by which the project's name may be cut before the header gets two lines. */
    private static final double ROOM = 40;

    /** Ids of the commands that are followed by a line in their menu. */
    private static final Set<String> LAST_IN_GROUP =
            Set.of("recovered-work", "save-as", "export", "colour-scheme");

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
        ToggleButton without = new ToggleButton("Bypass");
        without.selectedProperty().bindBidirectional(view.bypass);
        without.setTooltip(
                new Tooltip("Shows the picture without looks. Also while W is held down"));
        Button out = new Button("Export");
        out.setId("export");
        out.setTooltip(new Tooltip("Exports images or a movie. Key: Ctrl+E"));
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

    /** One line, or two if the content does not fit. */
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
        Set<Menu> apart = new HashSet<>();
        List<Command> ordered =
                commands.stream().sorted(Comparator.comparing(Command::isDestructive)).toList();
        for (Command command : ordered) {
            Menu menu = menus.computeIfAbsent(command.menu(), Menu::new);
            if (command.isDestructive() && apart.add(menu)) {
                menu.getItems().add(new SeparatorMenuItem());
            }
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
            if (command.id().equals("open-demo")) {
                menu.getItems().add(recent);
            }
            if (LAST_IN_GROUP.contains(command.id())) {
                menu.getItems().add(new SeparatorMenuItem());
            }
        }
        // an item that was disabled when its menu was last open would not respond to its key
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
     * @param standing state of the project, such as saved
     */
    void showName(String project, String standing) {
        name.setText(project);
        saved.setText(standing);
    }

    /** Marks the number as outdated. */
    private void stale(boolean is) {
        register.getStyleClass().remove("stale");
        if (is) {
            register.getStyleClass().add("stale");
        }
    }

    /** Shows the misregistration; null without a picture. */
    void showRegister(Misregistration r) {
        mark.setVisible(r != null);
        register.setVisible(r != null);
        if (r == null) {
            return;
        }
        register.setText(
                r.largest() == 0
                        ? "exact"
                        : r.isExact()
                                ? "differs by less than 1/65535"
                                : differs(Math.round(r.largest() * 255)));
        measured.setText(
                String.format(
                        Locale.ROOT,
                        "Difference between the result and its source, white being 1: largest %.3g,"
                                + " average %.3g. At 8 bits per channel the largest is %s.",
                        r.largest(),
                        r.mean(),
                        codes(r.largest())));
        apart = apart(r);
        mark.redraw();
    }

    private static String differs(long codes) {
        return codes == 0
                ? "differs by less than 1/255"
                : codes > 255
                        ? "differs by more than 255/255"
                        : "differs by up to " + codes + "/255";
    }

    /** A difference in 8-bit code values. */
    private static String codes(double difference) {
        long codes = Math.round(difference * 255);
        return codes == 0 ? "less than 1/255" : codes > 255 ? "more than 255/255" : codes + "/255";
    }

    /** Distance of the marks for a misregistration, in pixels. */
    static double apart(Misregistration r) {
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
