package ivrik.core.rejoin;

import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

import java.util.List;

/**
 * Blend modes of W3C Compositing and Blending Level 1, and add. Each knows its blend of two opaque
 * channels and its share where both pictures cover in part. Values outside 0..1 are not clamped.
 */
public enum Blend {
    /** The upper picture. */
    NORMAL {
        @Override
        public Plane channel(Plane under, Plane over, Workers workers) {
            return over;
        }

        @Override
        Plane shared(Plane under, Plane underCover, Plane over, Plane overCover, Workers workers) {
            return Kernels.multiply(over, underCover, workers);
        }
    },
    /** The sum of both: light added to light. */
    ADD {
        @Override
        public Plane channel(Plane under, Plane over, Workers workers) {
            return Kernels.add(under, over, workers);
        }

        @Override
        Plane shared(Plane under, Plane underCover, Plane over, Plane overCover, Workers workers) {
            return Kernels.add(
                    Kernels.multiply(under, overCover, workers),
                    Kernels.multiply(over, underCover, workers),
                    workers);
        }
    },
    /** a + b - ab. Over 1 it can fall again. */
    SCREEN {
        @Override
        public Plane channel(Plane under, Plane over, Workers workers) {
            return Kernels.screen(under, over, workers);
        }

        @Override
        Plane shared(Plane under, Plane underCover, Plane over, Plane overCover, Workers workers) {
            Plane sum = ADD.shared(under, underCover, over, overCover, workers);
            return Kernels.add(
                    sum,
                    Kernels.scale(Kernels.multiply(under, over, workers), -1, workers),
                    workers);
        }
    },
    /** The greater of both. */
    LIGHTEN {
        @Override
        public Plane channel(Plane under, Plane over, Workers workers) {
            return Kernels.maximum(under, over, workers);
        }

        @Override
        Plane shared(Plane under, Plane underCover, Plane over, Plane overCover, Workers workers) {
            return Kernels.maximum(
                    Kernels.multiply(under, overCover, workers),
                    Kernels.multiply(over, underCover, workers),
                    workers);
        }
    };

    /** The name in files. */
    public String id() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    public String title() {
        return name().charAt(0) + id().substring(1);
    }

    /** B(under, over) of one channel, both fully covered. */
    public abstract Plane channel(Plane under, Plane over, Workers workers);

    /** Coverage times coverage times B(under, over), from premultiplied channels. */
    abstract Plane shared(
            Plane under, Plane underCover, Plane over, Plane overCover, Workers workers);

    /** One premultiplied channel upon another: over (1 - ua) + under (1 - oa) + shared. */
    Plane channel(Plane under, Plane underCover, Plane over, Plane overCover, Workers workers) {
        if (this == NORMAL) {
            return Kernels.over(over, overCover, under, workers);
        }
        List<Plane> parts =
                List.of(
                        uncovered(over, underCover, workers),
                        uncovered(under, overCover, workers),
                        shared(under, underCover, over, overCover, workers));
        return parts.stream().reduce((a, b) -> Kernels.add(a, b, workers)).orElseThrow();
    }

    private static Plane uncovered(Plane colour, Plane cover, Workers workers) {
        Plane none = Plane.of(colour.width(), colour.height());
        return Kernels.over(none, cover, colour, workers);
    }
}
