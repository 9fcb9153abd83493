package ivrik.app.pane;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.app.session.View.TakeId;
import ivrik.app.widget.Controls;
import ivrik.core.project.Takes;

import javafx.beans.binding.Bindings;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.util.List;
import java.util.stream.Stream;

/** A pane with a strip above that names and chooses its content. */
public final class PaneFrame extends BorderPane {
    /** Smallest width of the shot's name. */
    private static final double MIN = 70;

    private final Label detail = new Label();
    private final MenuButton choice = new MenuButton();

    /**
     * @param take the shown take, if any
     * @param asTake the content kind that shows a take
     */
    public PaneFrame(
            Session session,
            View view,
            ObjectProperty<Show> show,
            ObjectProperty<TakeId> take,
            Show asTake,
            PicturePane pane,
            Node... extras) {
        choice.getStyleClass().add("plain");
        choice.setMinWidth(USE_PREF_SIZE);
        choice.setId(asTake == Show.TAKE ? "pane-a" : "pane-b");
        choice.setTooltip(new Tooltip("Choose what this pane, one view of the picture, shows"));
        List<MenuItem> plain =
                Stream.of(Show.values())
                        .filter(s -> !s.isTake())
                        .map(s -> Controls.item(s, s.toString(), () -> show.set(s)))
                        .toList();
        choice.getItems().setAll(plain);
        choice.setOnShowing(
                e -> {
                    choice.getItems().setAll(plain);
                    for (Takes.OfLayer each : Takes.all(session.project())) {
                        TakeId id = new TakeId(each.layer().id(), each.take().id());
                        choice.getItems()
                                .add(
                                        Controls.item(
                                                id,
                                                title(each),
                                                () -> {
                                                    take.set(id);
                                                    show.set(asTake);
                                                }));
                    }
                });
        detail.getStyleClass().add("quiet");
        detail.visibleProperty()
                .bind(
                        Bindings.createBooleanBinding(
                                () -> detail.getWidth() >= Math.min(MIN, detail.prefWidth(-1)),
                                detail.widthProperty(),
                                detail.textProperty()));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label working = new Label("rendering");
        working.setId(asTake == Show.TAKE ? "working-a" : "working-b");
        working.getStyleClass().add("quiet");
        ProgressBar moving = new ProgressBar();
        moving.getStyleClass().add("working");
        HBox behind = new HBox(6, working, moving);
        behind.setAlignment(Pos.CENTER_LEFT);
        behind.visibleProperty().bind(view.behind);
        behind.managedProperty().bind(view.behind);
        view.behind.addListener(
                (o, was, is) -> moving.setProgress(is ? ProgressBar.INDETERMINATE_PROGRESS : 0));
        moving.setProgress(0);
        HBox strip = new HBox(choice, detail, behind, gap);
        strip.getStyleClass().addAll("strip", "pane-head");
        strip.getChildren().addAll(extras);
        setTop(strip);
        setCenter(pane);
        Runnable name =
                () ->
                        Controls.show(
                                choice,
                                show.get().isTake() ? take.get() : show.get(),
                                show.get().isTake()
                                        ? taken(session, take.get())
                                        : PicturePane.title(
                                                show.get(),
                                                view.bypass.get(),
                                                view.showSnapshot.get()
                                                        && show.get() == Show.RESULT));
        take.addListener((o, a, b) -> name.run());
        session.stateProperty().addListener((o, a, b) -> name.run());
        show.addListener((o, a, b) -> name.run());
        view.bypass.addListener((o, a, b) -> name.run());
        view.showSnapshot.addListener((o, a, b) -> name.run());
        name.run();
    }

    private static String title(Takes.OfLayer kept) {
        return "Take: " + kept.take().name();
    }

    private static String taken(Session session, TakeId kept) {
        return kept == null
                ? Show.TAKE.toString()
                : Takes.find(session.project(), kept.layer(), kept.take())
                        .map(PaneFrame::title)
                        .orElse("Deleted take");
    }

    /** Sets the shot and frame in the strip. */
    public void detail(String text) {
        detail.setText(text);
    }
}
