package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.TreatmentEdits;
import ivrik.core.look.Section;
import ivrik.core.look.Step;

import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** Head of a treatment's column: a click selects it, a drag moves the column. */
final class ColumnHead extends Label {
    private static final double DRAG_FROM = 6;

    /** Titles with more characters take two lines. */
    private static final int LONG = 12;

    private final Session session;
    private final TreatmentEdits steps;
    private final String id;
    private final Runnable select;
    private double pressedAt;
    private boolean dragging;

    /**
     * @param number index of the step in its look
     */
    ColumnHead(Session session, TreatmentEdits steps, Step step, int number, Runnable select) {
        super(step.kind().description().title() + (step.on() ? "" : " (off)"));
        this.session = session;
        this.steps = steps;
        this.id = step.id();
        this.select = select;
        setId("head-" + number);
        getStyleClass().add("column-head");
        if (getText().length() > LONG) {
            getStyleClass().add("long");
            setWrapText(true);
        }
        setTooltip(
                new Tooltip(
                        step.kind().description().help()
                                + "\nDrag to reorder. Right-click for more"));
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
                                step.on() ? "Turn off" : "Turn on",
                                () ->
                                        session.editLook(
                                                "Turn treatment on or off",
                                                l -> l.withStep(id, s -> s.withOn(!s.on())))),
                        item("Move earlier", () -> steps.move(id, -1)),
                        item("Move later", () -> steps.move(id, 1)));
        for (Section section : Section.of(step.kind())) {
            if (section != step.section()) {
                menu.getItems().add(item(to(section), () -> steps.place(id, section)));
            }
        }
        menu.getItems()
                .addAll(new SeparatorMenuItem(), item("Remove treatment", () -> steps.remove(id)));
        return menu;
    }

    private static String to(Section section) {
        return switch (section) {
            case PREPARE -> "Apply to: whole picture, before separation";
            case CHANNELS -> "Apply to: each channel";
            case FINISH -> "Apply to: whole picture, after rejoin";
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
