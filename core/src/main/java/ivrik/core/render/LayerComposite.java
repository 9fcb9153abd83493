package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.separation.Ink;
import ivrik.core.threads.Workers;

/** A layer's picture laid upon what is beneath it: lane by lane, where its lanes lie apart. */
record LayerComposite(Workers workers) {
    /** By the layer's blend mode and as far as it is opaque. */
    Frame upon(Frame under, Passage over, LayerPlan layer) {
        return layer.blend() == Blend.NORMAL && over.parting().isPresent()
                ? over.parting().get().upon(under, over.frame(), layer.opacity(), workers)
                : Composite.of(under, over.frame(), layer.blend(), layer.opacity(), workers);
    }

    /** The picture of all layers, upon the sequence's ground. */
    Frame uponGround(Ink colour, Passage over) {
        Size size = over.frame().size();
        Frame ground =
                Frame.opaque(
                        Plane.flat(size.width(), size.height(), colour.red()),
                        Plane.flat(size.width(), size.height(), colour.green()),
                        Plane.flat(size.width(), size.height(), colour.blue()));
        return over.parting()
                .map(p -> p.upon(ground, over.frame(), 1, workers))
                .orElseGet(() -> Composite.of(ground, over.frame(), Blend.NORMAL, 1, workers));
    }

    /** What a span has made of what lies beneath it, mixed with that. */
    Frame mixed(Frame under, Frame over, LayerPlan span) {
        return span.blend() == Blend.NORMAL
                ? Composite.mix(under, over, span.opacity(), workers)
                : Composite.of(under, over, span.blend(), span.opacity(), workers);
    }
}
