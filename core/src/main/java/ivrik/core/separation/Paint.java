package ivrik.core.separation;

/** How a lane's value becomes colour: the part of one channel, for an ink's part of that channel. */
public enum Paint {
    /** Light on black: the ink times the value. */
    LIGHT {
        @Override
        public float of(float value, float ink) {
            return value * ink;
        }
    },
    /** Ink on white paper: white less what the ink takes, times the value. */
    INK {
        @Override
        public float of(float value, float ink) {
            return 1 - value * (1 - ink);
        }
    },
    /** A difference around middle grey: the ink at one end, what is opposite to it at the other. */
    SIGNED {
        @Override
        public float of(float value, float ink) {
            return 0.5f + value * (ink - 0.5f);
        }
    },
    /** An angle in turns, shown as its hue in full colour whatever the ink. */
    ANGLE {
        @Override
        public float of(float value, float ink) {
            return value * ink;
        }
    };

    /**
     * The colour of one channel.
     *
     * @param value of the lane over its span
     * @param ink the ink's part of the channel, 0..1
     */
    public abstract float of(float value, float ink);
}
