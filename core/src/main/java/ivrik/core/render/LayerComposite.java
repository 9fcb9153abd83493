package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.separation.Ink;
import ivrik.core.threads.Workers;

/** Composites a layer's picture, channel by channel if its channels have separate coverage. */
record LayerComposite(Workers workers) {
    /** With the layer's blend mode and opacity. */
    Frame over(Frame under, PictureState over, LayerPlan layer) {
        return layer.blend() == Blend.NORMAL && over.channelCoverage().isPresent()
                ? over.channelCoverage().get().over(under, over.frame(), layer.opacity(), workers)
                : Composite.of(under, over.frame(), layer.blend(), layer.opacity(), workers);
    }

    /** All layers over the sequence's background. */
    Frame overBackground(Ink colour, PictureState over) {
        Size size = over.frame().size();
        Frame background =
                Frame.opaque(
                        Plane.flat(size.width(), size.height(), colour.red()),
                        Plane.flat(size.width(), size.height(), colour.green()),
                        Plane.flat(size.width(), size.height(), colour.blue()));
        return over.channelCoverage()
                .map(p -> p.over(background, over.frame(), 1, workers))
                .orElseGet(() -> Composite.of(background, over.frame(), Blend.NORMAL, 1, workers));
    }

    /** Mixes the result of a span with the picture below it. */
    Frame mixed(Frame under, Frame over, LayerPlan span) {
        return span.blend() == Blend.NORMAL
                ? Composite.mix(under, over, span.opacity(), workers)
                : Composite.of(under, over, span.blend(), span.opacity(), workers);
    }
}
