package ivrik.app.shape;

import ivrik.app.session.Session;
import ivrik.app.session.Values;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Amounts;
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

/** Tones from dark to light as the colours that they become, with a grip under each colour that is set. */
final class GradientStrip extends LaneDrawing {
    private static final double SIDE = 7;
    private static final double GRIP = 8;
    private static final String MIDDLE = "middle-";

    private Consumer<Ink> shown = ink -> {};

    /** The stop that was pressed last, by what its parameters are called by. */
    private String stop = MIDDLE;

    GradientStrip(Session session, View view, ObjectProperty<Palette> palette) {
        super(session, view, palette, "Colours in the place of tones");
        setMinSize(120, 52);
        setPrefHeight(52);
    }

    /**
     * @param told the colour of the stop that was pressed last
     */
    void onShown(Consumer<Ink> told) {
        shown = told;
        redraw();
    }

    private Optional<Settings> settings() {
        return Values.settings(session, 0, view.frame.get());
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
                continue; // of a ready scale
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

    private void edit(String name, UnaryOperator<Amounts> change) {
        String step = session.state().stepId();
        session.editLook(name, l -> l.withAmounts(step, 0, change));
    }

    /** Another colour for the stop that was pressed last. */
    void colour(Ink ink) {
        edit(
                "Colour of a stop",
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
            return; // a ready scale
        } else {
            stop =
                    GradientMap.SERIES.address(
                            settings().orElseThrow().count(GradientMap.SERIES), "");
            double[] rgb = GradientMap.colour(stops, tone(e) / 100);
            edit(
                    "Add a stop",
                    a ->
                            a.withThing(
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
        gesture = session.gesture("Move a stop");
        redraw();
    }

    private void remove(Stop gone) {
        stop = MIDDLE;
        edit("Remove a stop", a -> a.withoutThing(GradientMap.SERIES, number(gone.name())));
    }

    /** Which of the further colours it is; -1 for none of them. */
    private static int number(String name) {
        return name.startsWith(GradientMap.SERIES.name() + ".")
                ? Integer.parseInt(name.split("\\.")[1])
                : -1;
    }

    @Override
    void dragged(MouseEvent e) {
        String at = stop.equals(MIDDLE) ? "middle" : number(stop) >= 0 ? stop + "at" : null;
        if (gesture == null || at == null) {
            return;
        }
        String step = session.state().stepId();
        double to = stop.equals(MIDDLE) ? Math.clamp(tone(e), 1, 99) : tone(e);
        gesture.editLook(l -> l.withAmounts(step, 0, a -> a.with(at, Value.of(to))));
    }
}
