package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.Frame;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.StepPlan;

/** The other pictures that a look needs, each found when it is asked for. */
interface Supplies {
    /** What a lane is taken from in place of the layer's own picture; of its size. */
    Frame feed(FeedPlan feed);

    /** The key of that picture. */
    Key key(FeedPlan feed);

    /** The picture that a step uses; of any size. */
    Frame used(StepPlan step);

    /** What the reach is taken from where it is a matte; of the picture's size. */
    Frame matte(MattePlan matte);

    /** For looks that need no other picture. */
    Supplies NONE =
            new Supplies() {
                @Override
                public Frame feed(FeedPlan feed) {
                    throw new IllegalStateException("nothing is fed");
                }

                @Override
                public Key key(FeedPlan feed) {
                    throw new IllegalStateException("nothing is fed");
                }

                @Override
                public Frame used(StepPlan step) {
                    throw new IllegalStateException("nothing is used");
                }

                @Override
                public Frame matte(MattePlan matte) {
                    throw new IllegalStateException("there is no matte");
                }
            };
}
