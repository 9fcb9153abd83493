package ivrik.app.picture;

import ivrik.app.picture.PictureService.Wanted;
import ivrik.app.session.View.Show;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.render.LanePicture;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Reaching;
import ivrik.core.render.Renderer;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

import java.util.List;

/** One lane, and differences, as pictures. */
final class LaneView {
    private static final float AMPLIFIED = 4;

    /** The grey of what a look does not reach, and how much is left of its light in the overlay. */
    private static final float UNREACHED = 0.22f;

    private static final float DIMMED = 0.45f;

    private LaneView() {}

    static Frame of(
            Wanted wanted,
            Show show,
            double scale,
            Renderer renderer,
            Cancel cancel,
            Workers workers) {
        LayerPlan layer = wanted.layerPlan();
        Plane lane =
                renderer.lanes(wanted.plan(), layer, wanted.look(), scale, cancel)
                        .get(wanted.lane());
        LaneKind kind = layer.looks().get(wanted.look()).model().lanes().get(wanted.lane());
        if (show == Show.LANE_GREY) {
            return LanePicture.grey(lane, kind, workers);
        }
        Ink ink = layer.looks().get(wanted.look()).ink(wanted.lane());
        return LanePicture.inked(lane, kind, ink, workers);
    }

    /** What the look reaches: alone on grey, or in colour over the whole picture, dim and grey. */
    static Frame reach(
            Wanted wanted,
            Show show,
            double scale,
            Renderer renderer,
            Cancel cancel,
            Workers workers) {
        LayerPlan layer = wanted.layerPlan();
        Plane reached = renderer.reached(wanted.plan(), layer, wanted.look(), scale, cancel);
        Frame picture =
                renderer.render(wanted.plan().untouched(), scale, cancel).premultiplied(workers);
        Plane under =
                show == Show.REACH
                        ? Plane.flat(reached.width(), reached.height(), UNREACHED)
                        : dimmed(picture, workers);
        List<Plane> colour =
                picture.colour().stream()
                        .map(p -> Kernels.mix(under, p, reached, workers))
                        .toList();
        return Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
    }

    private static Plane dimmed(Frame picture, Workers workers) {
        Plane luma = Reaching.luma(picture.colour(), workers);
        Plane black = Plane.flat(luma.width(), luma.height(), 0);
        return Kernels.mix(black, luma, DIMMED, workers);
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
