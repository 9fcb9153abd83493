package ivrik.app.pane;

import ivrik.app.picture.ShownFrame;
import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.widget.ChannelBadge;
import ivrik.core.look.Step;
import ivrik.core.picture.Frame;

import javafx.geometry.Point2D;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.util.Locale;
import java.util.function.Supplier;

/** The line below the panes: channel, treatment and messages; pixel values under the pointer. */
public final class Footer extends HBox {
    private final Session session;
    private final View view;
    private final Supplier<ShownFrame> result;
    private final Supplier<ShownFrame> source;
    private final ChannelBadge badge = new ChannelBadge();
    private final Label working = new Label();
    private final Label notice = new Label();
    private final Label place = new Label();
    private final Label value = new Label();
    private final Label was = new Label("before");
    private final Label before = new Label();

    /**
     * @param result last rendered result, or null
     * @param source last rendered source, or null
     */
    public Footer(
            Session session, View view, Supplier<ShownFrame> result, Supplier<ShownFrame> source) {
        this.session = session;
        this.view = view;
        this.result = result;
        this.source = source;
        getStyleClass().addAll("strip", "footer");
        notice.getStyleClass().add("quiet");
        notice.setMinWidth(0);
        Tooltip whole = new Tooltip();
        whole.textProperty().bind(notice.textProperty());
        whole.setWrapText(true);
        whole.setMaxWidth(480);
        notice.setTooltip(whole);
        working.setMinWidth(USE_PREF_SIZE);
        was.getStyleClass().add("quiet");
        place.getStyleClass().addAll("number", "quiet");
        for (Label label : new Label[] {value, before}) {
            label.getStyleClass().add("number");
        }
        for (Label label : new Label[] {place, value, was, before}) {
            label.setMinWidth(USE_PREF_SIZE);
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        getChildren().addAll(badge, working, notice, gap, place, value, was, before);
        session.stateProperty().addListener((o, a, b) -> showWork());
        view.notice.addListener((o, a, b) -> notice.setText(b));
        view.pointer.addListener((o, a, b) -> showValues());
        showWork();
        showValues();
    }

    private void showWork() {
        State state = session.state();
        boolean any = !ChannelEdits.kinds(state).isEmpty();
        badge.setVisible(any);
        if (!any) {
            working.setText("No footage yet");
            return;
        }
        var channel = ChannelEdits.kinds(state).get(state.channel());
        String treatment =
                state.step()
                        .map(s -> s.kind().description().title())
                        .orElse("no treatment selected");
        boolean whole = state.step().filter(Step::isWhole).isPresent();
        badge.show(whole ? ChannelEdits.PICTURE : channel);
        working.setText(
                "editing " + (whole ? "whole picture" : channel.title()) + ", " + treatment);
    }

    /** Shows the pixel values under the pointer, before and after. */
    public void showValues() {
        Point2D at = view.pointer.get();
        ShownFrame now = result.get();
        boolean any = at != null && now != null && now.frame() != null;
        for (Label label : new Label[] {place, value, was, before}) {
            label.setVisible(any);
        }
        if (!any) {
            return;
        }
        place.setText((int) at.getX() + ", " + (int) at.getY());
        value.setText(sample(now, at));
        before.setText(
                source.get() == null || source.get().frame() == null
                        ? ""
                        : sample(source.get(), at));
    }

    private static String sample(ShownFrame shown, Point2D at) {
        Frame frame = shown.frame();
        int x = Math.clamp((int) (at.getX() * shown.scale()), 0, frame.width() - 1);
        int y = Math.clamp((int) (at.getY() * shown.scale()), 0, frame.height() - 1);
        StringBuilder text = new StringBuilder();
        for (var plane : frame.colour()) {
            text.append(String.format(Locale.ROOT, "%5.2f ", plane.at(x, y)));
        }
        return text.toString().strip();
    }
}
