package ivrik.app.shell;

import ivrik.app.pane.Handles;
import ivrik.app.pane.PaneFrame;
import ivrik.app.pane.PicturePane;
import ivrik.app.pane.ZoomMenu;
import ivrik.app.picture.SourceFault;
import ivrik.app.scope.ScopePanel;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.measure.Misregistration;

import javafx.beans.property.ObjectProperty;
import javafx.stage.Stage;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * The two panes with their frames and pictures, and further views of the same pictures: the separate window
 * and the scopes.
 *
 * @param first the pane that is always visible
 */
record Panes(
        PicturePane first,
        List<PaneFrame> frames,
        PanePictures pictures,
        PictureWindow ownWindow,
        ScopePanel scopes) {
    /**
     * @param onRegister receives the misregistration of each finished picture
     * @param onFaults receives the sources that cannot be shown
     */
    static Panes of(
            Stage stage,
            Session session,
            View view,
            ObjectProperty<Palette> palette,
            Consumer<Misregistration> onRegister,
            Consumer<Map<String, SourceFault>> onFaults) {
        Handles handles = new Handles(session, view);
        PicturePane paneA = new PicturePane(session, view, palette, handles);
        paneA.setId("picture-a");
        PicturePane paneB = new PicturePane(session, view, palette, handles);
        PaneFrame frameA =
                new PaneFrame(
                        session,
                        view,
                        view.paneA,
                        view.takeA,
                        View.Show.TAKE,
                        paneA,
                        new ZoomMenu(session, view, paneA));
        PaneFrame frameB =
                new PaneFrame(session, view, view.paneB, view.takeB, View.Show.OTHER_TAKE, paneB);
        PanePictures pictures =
                new PanePictures(
                        session,
                        view,
                        List.of(
                                new PanePictures.Pane(frameA::detail, paneA, view.paneA),
                                new PanePictures.Pane(frameB::detail, paneB, view.paneB)),
                        onRegister,
                        onFaults);
        PictureWindow ownWindow =
                new PictureWindow(
                        stage,
                        view,
                        pictures,
                        () -> new PicturePane(session, view, palette, handles));
        ScopePanel scopes = new ScopePanel(view, palette);
        pictures.onPainted(scopes::show);
        return new Panes(paneA, List.of(frameA, frameB), pictures, ownWindow, scopes);
    }
}
