package ivrik.app.controls;

import static ivrik.app.widget.Controls.item;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.core.motion.Anchor;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;

import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Chooses the anchor of a burst: a cut of its layer, a marker, all markers, or the present frame.
 */
final class AnchorMenu extends MenuButton {
    private final Session session;

    AnchorMenu(Session session, View view, Consumer<Anchor> set) {
        this.session = session;
        getStyleClass().add("plain");
        setId("burst-anchor");
        setTooltip(new Tooltip("Anchor: the burst moves with this cut, marker or frame"));
        getItems().add(new MenuItem(""));
        setOnShowing(
                e -> {
                    List<MenuItem> items = new ArrayList<>();
                    for (Anchor anchor : anchors(view.frame.get())) {
                        items.add(item(anchor, title(anchor), () -> set.accept(anchor)));
                    }
                    getItems().setAll(items);
                });
    }

    private List<Anchor> anchors(long frame) {
        List<Anchor> anchors = new ArrayList<>();
        cuts().entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .forEach(cut -> anchors.add(new Anchor.AtCut(cut.getKey())));
        List<String> markers = session.project().markers().stream().map(Marker::id).toList();
        markers.forEach(id -> anchors.add(new Anchor.AtMarkers(List.of(id))));
        if (markers.size() > 1) {
            anchors.add(new Anchor.AtMarkers(markers));
        }
        anchors.add(new Anchor.AtFrame(frame));
        return anchors;
    }

    private Map<String, Long> cuts() {
        return session.state().layer().map(l -> session.project().cuts(l)).orElse(Map.of());
    }

    void show(Anchor anchor) {
        Controls.show(this, anchor, title(anchor));
    }

    private String title(Anchor anchor) {
        Project project = session.project();
        return switch (anchor) {
            case Anchor.AtFrame at -> "frame " + at.frame();
            case Anchor.AtCut at ->
                    Optional.ofNullable(cuts().get(at.clip()))
                            .map(frame -> "the cut at " + frame)
                            .orElse("deleted cut");
            case Anchor.AtMarkers at ->
                    at.markers().size() > 1
                            ? at.markers().size() + " markers"
                            : project.markers().stream()
                                    .filter(m -> at.markers().contains(m.id()))
                                    .findFirst()
                                    .map(m -> m.name().isEmpty() ? "marker " + m.frame() : m.name())
                                    .orElse("deleted marker");
        };
    }
}
