package ivrik.app.shape;

import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;

import java.util.List;

/** A single main number. */
class RulerShape extends Shape {
    /** The distance of the number from its default as a bar. */
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
    public List<Node> controls(Context context) {
        ChannelRuler ruler =
                new ChannelRuler(
                        context.session(),
                        context.view(),
                        context.palette(),
                        context.description().main());
        ruler.setId("channel-ruler");
        return List.of(ruler);
    }
}
