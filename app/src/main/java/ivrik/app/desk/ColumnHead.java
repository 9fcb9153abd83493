package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.Steps;
import ivrik.core.look.Section;
import ivrik.core.look.Step;

import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** The head of a treatment's column: a press selects it, a drag moves the column. */
final class ColumnHead extends Label {
    private static final double DRAG_FROM = 6;

    private final Session session;
    private final Steps steps;
    private final String id;
    private final Runnable select;
    private double pressedAt;
    private boolean dragging;

    /**
     * @param number of the step in its look
     */
    ColumnHead(Session session, Steps steps, Step step, int number, Runnable select) {
        super(step.kind().description().title() + (step.on() ? "" : " off"));
        this.session = session;
        this.steps = steps;
        this.id = step.id();
        this.select = select;
        setId("head-" + number);
        getStyleClass().add("column-head");
        setTooltip(
                new Tooltip(
                        step.kind().description().help()
                                + "\nDrag to change the order of work; right button for more"));
        setContextMenu(menu(step));
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(this::released);
    }

    String stepId() {
        return id;
    }

    private ContextMenu menu(Step step) {
        ContextMenu menu =
                new ContextMenu(
                        item(
                                step.on() ? "Switch off" : "Switch on",
                                () ->
                                        session.editLook(
                                                "Treatment on or off",
                                                l -> l.withStep(id, s -> s.withOn(!s.on())))),
                        item("One column to the left", () -> steps.move(id, -1)),
                        item("One column to the right", () -> steps.move(id, 1)),
                        item("Remove", () -> steps.remove(id)));
        for (Section section : Section.of(step.kind())) {
            if (section != step.section()) {
                menu.getItems().add(item(to(section), () -> steps.place(id, section)));
            }
        }
        return menu;
    }

    private static String to(Section section) {
        return switch (section) {
            case PREPARE -> "Do it to the picture, before separating";
            case LANES -> "Do it to each lane";
            case FINISH -> "Do it to the picture, after rejoining";
        };
    }

    private static MenuItem item(String title, Runnable action) {
        MenuItem item = new MenuItem(title);
        item.setOnAction(e -> action.run());
        return item;
    }

    private void pressed(MouseEvent e) {
        pressedAt = e.getSceneX();
        dragging = false;
        setViewOrder(-1);
    }

    private void dragged(MouseEvent e) {
        double by = e.getSceneX() - pressedAt;
        if (e.getButton() == MouseButton.PRIMARY && (dragging || Math.abs(by) > DRAG_FROM)) {
            dragging = true;
            setTranslateX(by);
            setOpacity(0.8);
        }
    }

    private void released(MouseEvent e) {
        if (dragging) {
            int by = (int) Math.rint((e.getSceneX() - pressedAt) / getWidth());
            setTranslateX(0);
            setOpacity(1);
            setViewOrder(0);
            steps.move(id, by);
        } else if (e.getButton() == MouseButton.PRIMARY) {
            select.run();
        }
        dragging = false;
    }
}
