package ivrik.core.separation;

/** Converts a channel's value to colour, one component at a time. */
public enum Paint {
    /** Light on black: ink times value. */
    LIGHT {
        @Override
        public float of(float value, float ink) {
            return value * ink;
        }
    },
    /** Ink on white paper: 1 minus what the ink absorbs, times value. */
    INK {
        @Override
        public float of(float value, float ink) {
            return 1 - value * (1 - ink);
        }
    },
    /** A signed value around middle grey: the ink at one end, its opposite at the other. */
    SIGNED {
        @Override
        public float of(float value, float ink) {
            return 0.5f + value * (ink - 0.5f);
        }
    },
    /** An angle in turns, shown as a saturated hue whatever the ink. */
    ANGLE {
        @Override
        public float of(float value, float ink) {
            return value * ink;
        }
    };

    /**
     * One component of the colour.
     *
     * @param value channel value over its range
     * @param ink component of the ink, 0..1
     */
    public abstract float of(float value, float ink);
}
