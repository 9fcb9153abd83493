package ivrik.core.motion;

/** How a value gets from one peg to the next. */
public sealed interface Ease {
    Ease HOLD = new Hold();
    Ease LINEAR = new Linear();

    /** Leaves and arrives gently. */
    Ease SMOOTH = new Eased(1 / 3.0, 0, 2 / 3.0, 1);

    /**
     * The share of the way covered when a share {@code t} of the time has passed; both 0..1, the
     * way may overshoot.
     */
    double progress(double t);

    /** How fast the way is covered then: ways a time; 0..1 as above. */
    double speed(double t);

    /** The greatest speed on the way. */
    double fastest();

    /** Stays at the first value until the next peg. */
    record Hold() implements Ease {
        @Override
        public double progress(double t) {
            return t < 1 ? 0 : 1;
        }

        @Override
        public double speed(double t) {
            return 0;
        }

        @Override
        public double fastest() {
            return 1;
        }
    }

    /** Evenly. */
    record Linear() implements Ease {
        @Override
        public double progress(double t) {
            return t;
        }

        @Override
        public double speed(double t) {
            return 1;
        }

        @Override
        public double fastest() {
            return 1;
        }
    }

    /**
     * Along a cubic Bezier curve from (0, 0) to (1, 1) with two handles, as in W3C CSS Easing
     * Functions Level 1: {@code x} is time and lies in 0..1, {@code y} is the share of the way.
     */
    record Eased(double x1, double y1, double x2, double y2) implements Ease {
        /** An even number, so that the middle is among those looked at. */
        private static final int STEPS = 200;

        public Eased {
            if (!(x1 >= 0 && x1 <= 1 && x2 >= 0 && x2 <= 1)) {
                throw new IllegalArgumentException(
                        "the handles of an ease lie between its pegs in time");
            }
        }

        @Override
        public double progress(double t) {
            return t <= 0 || t >= 1 ? Math.clamp(t, 0, 1) : bezier(y1, y2, at(t));
        }

        @Override
        public double speed(double t) {
            return speedAt(at(t));
        }

        private double speedAt(double s) {
            return slope(y1, y2, s) / Math.max(slope(x1, x2, s), 1e-6);
        }

        @Override
        public double fastest() {
            double most = 0;
            for (int i = 0; i <= STEPS; i++) {
                most = Math.max(most, speedAt((double) i / STEPS));
            }
            return most;
        }

        /** The place on the curve at a time. */
        private double at(double t) {
            double low = 0;
            double high = 1;
            // Time grows along the curve, so halving finds the place; 60 steps exhaust a double.
            for (int i = 0; i < 60; i++) {
                double middle = (low + high) / 2;
                if (bezier(x1, x2, middle) < t) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            return (low + high) / 2;
        }

        private static double bezier(double a, double b, double s) {
            double r = 1 - s;
            return 3 * r * r * s * a + 3 * r * s * s * b + s * s * s;
        }

        private static double slope(double a, double b, double s) {
            double r = 1 - s;
            return 3 * r * r * a + 6 * r * s * (b - a) + 3 * s * s * (1 - b);
        }
    }
}
