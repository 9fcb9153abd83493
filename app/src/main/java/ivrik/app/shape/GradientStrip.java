package ivrik.app.shape;

import ivrik.app.session.CurrentValues;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.ChannelSettings;
import ivrik.core.motion.Value;
import ivrik.core.separation.Ink;
import ivrik.core.treatment.GradientMap;
import ivrik.core.treatment.GradientMap.Stop;
import ivrik.core.treatment.Settings;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** A gradient strip with a handle below each custom colour. */
final class GradientStrip extends ChannelDrawing {
    private static final double SIDE = 7;
    private static final double GRIP = 8;
    private static final String MIDDLE = "middle-";

    private Consumer<Ink> shown = ink -> {};

    /** Name of the stop that was clicked last. */
    private String stop = MIDDLE;

    GradientStrip(Session session, View view, ObjectProperty<Palette> palette) {
        super(session, view, palette, "Gradient, dark tones at the left");
        setMinSize(120, 52);
        setPrefHeight(52);
    }

    /**
     * @param reported receives the colour of the selected stop
     */
    void onDrawn(Consumer<Ink> reported) {
        shown = reported;
        redraw();
    }

    private Optional<Settings> settings() {
        return CurrentValues.settings(session, 0, view.frame.get());
    }

    private List<Stop> stops() {
        return settings().map(GradientMap::stops).orElse(List.of());
    }

    private double x(double tone) {
        return SIDE + tone * (getWidth() - 2 * SIDE);
    }

    private double tone(MouseEvent e) {
        double tone = (e.getX() - SIDE) / (getWidth() - 2 * SIDE);
        return Math.rint(Math.clamp(tone, 0, 1) * 1000) / 10;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        List<Stop> stops = stops();
        if (stops.isEmpty()) {
            return;
        }
        GradientShape.strip(g, stops, SIDE, 0, w - 2 * SIDE, h - 16);
        for (Stop each : stops) {
            if (each.name().isEmpty()) {
                continue; // part of a built-in gradient
            }
            double x = x(each.at());
            boolean last = each.name().equals(stop);
            g.setFill(GradientShape.colour(each.rgb()));
            g.fillRect(x - 5, h - 13, 10, 10);
            g.setStroke(p.colour(last ? "paper" : "quiet"));
            g.setLineWidth(last ? 2 : 1);
            g.strokeRect(x - 5, h - 13, 10, 10);
            if (last) {
                shown.accept(
                        new Ink(
                                (float) each.rgb()[0],
                                (float) each.rgb()[1],
                                (float) each.rgb()[2]));
            }
        }
    }

    private void edit(String name, UnaryOperator<ChannelSettings> change) {
        String step = session.state().stepId();
        session.editLook(name, l -> l.withSettings(step, 0, change));
    }

    /** Sets the colour of the selected stop. */
    void colour(Ink ink) {
        edit(
                "Change stop colour",
                a ->
                        a.with(stop + "red", Value.of(100 * ink.red()))
                                .with(stop + "green", Value.of(100 * ink.green()))
                                .with(stop + "blue", Value.of(100 * ink.blue())));
    }

    @Override
    void pressed(MouseEvent e) {
        List<Stop> stops = stops();
        Optional<Stop> here =
                stops.stream()
                        .filter(s -> !s.name().isEmpty() && Math.abs(x(s.at()) - e.getX()) < GRIP)
                        .findFirst();
        boolean away = e.getButton() == MouseButton.SECONDARY;
        if (away) {
            here.filter(s -> number(s.name()) >= 0).ifPresent(this::remove);
            return;
        }
        if (here.isPresent()) {
            stop = here.get().name();
        } else if (stops.stream().noneMatch(s -> s.name().equals(MIDDLE))) {
            return; // a built-in gradient
        } else {
            stop =
                    GradientMap.SERIES.address(
                            settings().orElseThrow().count(GradientMap.SERIES), "");
            double[] rgb = GradientMap.colour(stops, tone(e) / 100);
            edit(
                    "Add stop",
                    a ->
                            a.withItem(
                                    GradientMap.SERIES,
                                    Map.of(
                                            "at",
                                            tone(e),
                                            "red",
                                            100 * rgb[0],
                                            "green",
                                            100 * rgb[1],
                                            "blue",
                                            100 * rgb[2])));
        }
        gesture = session.gesture("Move stop");
        redraw();
    }

    private void remove(Stop gone) {
        stop = MIDDLE;
        edit("Delete stop", a -> a.withoutItem(GradientMap.SERIES, number(gone.name())));
    }

    /** Index of a further colour; -1 for others. */
    private static int number(String name) {
        return name.startsWith(GradientMap.SERIES.name() + ".")
                ? Integer.parseInt(name.split("\\.")[1])
                : -1;
    }

    @Override
    void dragged(MouseEvent e) {
        String at = stop.equals(MIDDLE) ? "midpoint" : number(stop) >= 0 ? stop + "at" : null;
        if (gesture == null || at == null) {
            return;
        }
        String step = session.state().stepId();
        double to = stop.equals(MIDDLE) ? Math.clamp(tone(e), 1, 99) : tone(e);
        gesture.editLook(l -> l.withSettings(step, 0, a -> a.with(at, Value.of(to))));
    }
}
