package ivrik.app.shape;

import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** One number first of all. */
class RulerShape extends Shape {
    /** How far the first number is from rest, as a bar. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        Parameter main = t.description().main();
        double away = s.number(main.name()) - main.rest();
        double room = Math.max(main.max() - main.rest(), main.rest() - main.min());
        double share = Math.min(1, Math.pow(Math.abs(away) / room, 0.35));
        double left = main.min() < main.rest() ? x : x - 24;
        double width = (left == x ? 24 : 48) * share;
        g.fillRect(away < 0 ? left - width : left, y - 4, Math.max(width, 1.5), 8);
    }

    @Override
    public List<Node> closeUp(Around around) {
        LaneRuler ruler =
                new LaneRuler(
                        around.session(),
                        around.view(),
                        around.palette(),
                        around.description().main());
        ruler.setId("lane-ruler");
        return List.of(ruler);
    }
}
