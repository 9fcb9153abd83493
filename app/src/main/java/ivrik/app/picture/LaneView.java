package ivrik.app.picture;

import ivrik.app.picture.PictureService.Request;
import ivrik.app.session.View.Show;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;
import ivrik.core.render.Cancel;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Renderer;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separations;

/** One lane, and differences, as pictures. */
final class LaneView {
    private static final float AMPLIFIED = 4;

    private LaneView() {}

    static Frame of(
            Request request,
            Show show,
            double scale,
            Renderer renderer,
            Cancel cancel,
            Workers workers) {
        if (request.layer() < 0) {
            return Frame.empty(request.plan().size().scaled(scale));
        }
        LayerPlan layer = request.plan().layers().get(request.layer());
        Plane lane =
                renderer.lanes(layer, request.plan().size(), scale, cancel).get(request.lane());
        if (show == Show.LANE_GREY) {
            return Frame.opaque(lane, lane, lane);
        }
        Ink ink = Separations.named(layer.look().separation()).lanes().get(request.lane()).ink();
        return Frame.opaque(
                Kernels.scale(lane, ink.red(), workers),
                Kernels.scale(lane, ink.green(), workers),
                Kernels.scale(lane, ink.blue(), workers));
    }

    /** How far two frames are apart, made easy to see. */
    static Frame difference(Frame a, Frame b, Workers workers) {
        Frame p = a.premultiplied(workers);
        Frame q = b.premultiplied(workers);
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            Plane apart =
                    Kernels.add(
                            p.colour().get(c),
                            Kernels.scale(q.colour().get(c), -1, workers),
                            workers);
            planes[c] =
                    Kernels.maximum(
                            Kernels.scale(apart, AMPLIFIED, workers),
                            Kernels.scale(apart, -AMPLIFIED, workers),
                            workers);
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }
}
