package ivrik.core.treatment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import ivrik.core.filter.PatternTile;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;

import java.util.List;
import java.util.Optional;

/** Arrangements of a screen's phosphors: where red, green and blue are transmitted. */
enum PhosphorMask {
    GRILLE("aperture grille") {
        @Override
        double height() {
            return 0;
        }

        @Override
        boolean lets(int channel, double x, double y) {
            return isIn(x * 3 - channel, FILL);
        }
    },
    SLOT("slot mask") {
        @Override
        double width() {
            return 2;
        }

        @Override
        double height() {
            return 1.5;
        }

        @Override
        boolean lets(int channel, double x, double y) {
            double down = x < 1 ? y / height() : y / height() + 0.5;
            double across = x < 1 ? x : x - 1;
            return isIn(across * 3 - channel, FILL) && isIn(down - Math.floor(down), SLOT_LONG);
        }
    },
    TRIAD("shadow mask") {
        @Override
        double height() {
            return Math.sqrt(3);
        }

        @Override
        boolean lets(int channel, double x, double y) {
            double own = y - channel % 2 * height() / 6 - channel / 2 * height() / 3;
            double aside = x - channel % 2 * 0.5;
            return isNear(aside, own) || isNear(aside - 0.5, own - height() / 2);
        }

        private boolean isNear(double x, double y) {
            double across = x - Math.rint(x);
            double down = y - Math.rint(y / height()) * height();
            return across * across + down * down < DOT * DOT;
        }
    };

    /** Open share of a third of the pitch. */
    private static final double FILL = 0.86;

    /** Open share of a slot's height. */
    private static final double SLOT_LONG = 0.84;

    /** Radius of a dot in pitches. */
    private static final double DOT = 0.26;

    /** Texels per pixel. */
    private static final double FINE = 8;

    private static final int FEWEST = 24;
    private static final int MAX = 192;

    /** Samples per side of a texel. */
    private static final int WITHIN = 4;

    /** The arrangement, or a custom image. */
    static final Option CHOICE =
            new Option(
                    "phosphor-mask",
                    "phosphor mask",
                    "Arrangement of the phosphors; a custom image is tiled at original size",
                    "aperture grille",
                    "slot mask",
                    "shadow mask",
                    "custom image");

    private record Drawn(PhosphorMask mask, double pitchPx) {}

    /** Masks are the same for all frames. */
    private static final Cache<Drawn, PatternTile> DRAWN =
            Caffeine.newBuilder().maximumSize(8).build();

    private final String choice;

    PhosphorMask(String choice) {
        this.choice = choice;
    }

    /** Width of the repeated tile in pitches. */
    double width() {
        return 1;
    }

    /** Height of the repeated tile in pitches; 0 if it does not vary vertically. */
    abstract double height();

    /** Whether a channel is transmitted at a position in pitches. */
    abstract boolean lets(int channel, double x, double y);

    private static boolean isIn(double at, double share) {
        return Math.abs(at - 0.5) < share / 2;
    }

    static boolean isOwnPicture(Settings settings) {
        return settings.choice(CHOICE).equals("custom image");
    }

    /**
     * The repeated tile at pixel resolution.
     *
     * @param pitchPx in rendered pixels
     * @param own the step's picture
     */
    static Optional<PatternTile> tile(Settings settings, double pitchPx, Optional<Frame> own) {
        if (isOwnPicture(settings)) {
            return own.map(PhosphorMask::ofPicture);
        }
        for (PhosphorMask mask : values()) {
            if (settings.choice(CHOICE).equals(mask.choice)) {
                return Optional.of(DRAWN.get(new Drawn(mask, pitchPx), d -> mask.drawn(d.pitchPx)));
            }
        }
        throw new IllegalArgumentException("no phosphor mask is named " + settings.choice(CHOICE));
    }

    private static PatternTile ofPicture(Frame frame) {
        float[][] texels = new float[3][];
        List<Plane> colour = frame.colour();
        for (int c = 0; c < 3; c++) {
            Plane plane = colour.get(c);
            texels[c] = new float[plane.width() * plane.height()];
            for (int y = 0; y < plane.height(); y++) {
                System.arraycopy(
                        plane.data(), plane.row(y), texels[c], y * plane.width(), plane.width());
            }
        }
        return PatternTile.ofPixels(frame.width(), frame.height(), texels);
    }

    private PatternTile drawn(double pitchPx) {
        int columns = texels(width() * pitchPx);
        int rows = height() == 0 ? 1 : texels(height() * pitchPx);
        float[][] texels = new float[3][columns * rows];
        for (int c = 0; c < 3; c++) {
            for (int y = 0; y < rows; y++) {
                for (int x = 0; x < columns; x++) {
                    texels[c][y * columns + x] = open(c, x, y, columns, rows);
                }
            }
        }
        double heightPx = height() == 0 ? 1 : height() * pitchPx;
        return PatternTile.seen(columns, rows, width() * pitchPx, heightPx, texels);
    }

    private static int texels(double px) {
        return (int) Math.clamp(Math.ceil(FINE * px), FEWEST, MAX);
    }

    private float open(int channel, int x, int y, int columns, int rows) {
        int open = 0;
        for (int j = 0; j < WITHIN; j++) {
            for (int i = 0; i < WITHIN; i++) {
                double across = (x + (i + 0.5) / WITHIN) * width() / columns;
                double down = (y + (j + 0.5) / WITHIN) * height() / rows;
                open += lets(channel, across, down) ? 1 : 0;
            }
        }
        return (float) open / (WITHIN * WITHIN);
    }
}
