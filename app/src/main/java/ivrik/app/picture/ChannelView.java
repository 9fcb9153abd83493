package ivrik.app.picture;

import ivrik.app.picture.PictureService.Wanted;
import ivrik.app.session.View.Show;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.render.ChannelPicture;
import ivrik.core.render.MaskWeights;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Renderer;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.List;

/** Channels, masks and differences as pictures. */
final class ChannelView {
    private static final float AMPLIFIED = 4;

    /** Grey outside the mask, and brightness there in the overlay. */
    private static final float OUTSIDE_MASK = 0.22f;

    private static final float DIMMED = 0.45f;

    private ChannelView() {}

    static Frame of(
            Wanted wanted,
            Show show,
            double scale,
            Renderer renderer,
            Cancellation cancel,
            Workers workers) {
        LayerPlan layer = wanted.layerPlan();
        Plane channel =
                renderer.channels(wanted.plan(), layer, wanted.look(), scale, cancel)
                        .get(wanted.channel());
        ChannelKind kind =
                layer.looks().get(wanted.look()).model().channels().get(wanted.channel());
        if (show == Show.CHANNEL_GREY) {
            return ChannelPicture.grey(channel, kind, workers);
        }
        Ink ink = layer.looks().get(wanted.look()).ink(wanted.channel());
        return ChannelPicture.inked(channel, kind, ink, workers);
    }

    /** The masked part: on grey, or in colour over a dim grey picture. */
    static Frame masked(
            Wanted wanted,
            Show show,
            double scale,
            Renderer renderer,
            Cancellation cancel,
            Workers workers) {
        LayerPlan layer = wanted.layerPlan();
        Plane weights = renderer.maskWeights(wanted.plan(), layer, wanted.look(), scale, cancel);
        Frame picture =
                renderer.render(wanted.plan().untouched(), scale, cancel).premultiplied(workers);
        Plane under =
                show == Show.MASK_ONLY
                        ? Plane.flat(weights.width(), weights.height(), OUTSIDE_MASK)
                        : dimmed(picture, workers);
        List<Plane> colour =
                picture.colour().stream()
                        .map(p -> PlaneArithmetic.mix(under, p, weights, workers))
                        .toList();
        return Frame.opaque(colour.get(0), colour.get(1), colour.get(2));
    }

    private static Plane dimmed(Frame picture, Workers workers) {
        Plane luma = MaskWeights.luma(picture.colour(), workers);
        Plane black = Plane.flat(luma.width(), luma.height(), 0);
        return PlaneArithmetic.mix(black, luma, DIMMED, workers);
    }

    /** The difference between two frames, amplified for display. */
    static Frame difference(Frame a, Frame b, Workers workers) {
        Frame p = a.premultiplied(workers);
        Frame q = b.premultiplied(workers);
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            Plane apart =
                    PlaneArithmetic.add(
                            p.colour().get(c),
                            PlaneArithmetic.scale(q.colour().get(c), -1, workers),
                            workers);
            planes[c] =
                    PlaneArithmetic.maximum(
                            PlaneArithmetic.scale(apart, AMPLIFIED, workers),
                            PlaneArithmetic.scale(apart, -AMPLIFIED, workers),
                            workers);
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }
}
