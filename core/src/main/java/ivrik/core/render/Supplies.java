package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.StepPlan;

import java.util.Optional;

/** The other pictures that a look needs, each found when it is asked for. */
interface Supplies {
    /** A picture in its place in the sequence, of the size of the layer's own; nothing for none. */
    Frame placed(Optional<? extends Seen> picture, PlacePlan place);

    /** The picture that a step uses; of any size. */
    Frame used(StepPlan step);

    /** For looks that need no other picture. */
    Supplies NONE =
            new Supplies() {
                @Override
                public Frame placed(Optional<? extends Seen> picture, PlacePlan place) {
                    throw new IllegalStateException("nothing is fed");
                }

                @Override
                public Frame used(StepPlan step) {
                    throw new IllegalStateException("nothing is used");
                }
            };
}
