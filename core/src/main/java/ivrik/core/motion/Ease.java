package ivrik.core.motion;

/** Interpolation from one keyframe to the next. */
public sealed interface Ease {
    Ease HOLD = new Hold();
    Ease LINEAR = new Linear();

    /** Zero speed at both ends. */
    Ease SMOOTH = new Eased(1 / 3.0, 0, 2 / 3.0, 1);

    /**
     * Progress after a share {@code t} (0..1) of the time: 0 at the start, 1 at the end; may overshoot
     * between.
     */
    double progress(double t);

    /** Derivative of {@link #progress}. */
    double speed(double t);

    /** Maximum of {@link #speed}. */
    double fastest();

    /** Keeps the first value until the next keyframe. */
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

    /** Constant speed. */
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
     * Cubic Bezier curve from (0, 0) to (1, 1) with two control points, as in W3C CSS Easing Functions Level
     * 1: {@code x} is time in 0..1, {@code y} is progress.
     */
    record Eased(double x1, double y1, double x2, double y2) implements Ease {
        /** Number of samples, even so that the middle is one of them. */
        private static final int STEPS = 200;

        public Eased {
            if (!(x1 >= 0 && x1 <= 1 && x2 >= 0 && x2 <= 1)) {
                throw new IllegalArgumentException(
                        "the handles of an ease must lie between its keyframes");
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

        /** Curve parameter at a time. */
        private double at(double t) {
            double low = 0;
            double high = 1;
            // time increases along the curve, so bisection converges; 60 steps exhaust a double
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
