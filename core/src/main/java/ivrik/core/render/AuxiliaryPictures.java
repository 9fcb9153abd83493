package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.render.Plan.Seen;
import ivrik.core.render.Plan.StepPlan;

import java.util.Optional;

/** The further pictures that a look needs, produced on request. */
interface AuxiliaryPictures {
    /**
     * A picture placed in the sequence, at the size of the layer's own; transparent if there is none.
     */
    Frame placed(Optional<? extends Seen> picture, PlacementPlan place);

    /** The picture that a step uses, of any size. */
    Frame used(StepPlan step);

    /** For looks that need no further picture. */
    AuxiliaryPictures NONE =
            new AuxiliaryPictures() {
                @Override
                public Frame placed(Optional<? extends Seen> picture, PlacementPlan place) {
                    throw new IllegalStateException("no auxiliary picture is used");
                }

                @Override
                public Frame used(StepPlan step) {
                    throw new IllegalStateException("no auxiliary picture is used");
                }
            };
}
