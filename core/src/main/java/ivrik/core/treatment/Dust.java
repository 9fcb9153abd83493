package ivrik.core.treatment;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Size;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/**
 * Dirt on film: specks of dust that last one or two frames, and scratches along the film that last longer and
 * drift. Dark on a print, light on a negative.
 */
public final class Dust implements RowTreatment {
    /** Distance in pixels over which the strength of a scratch varies. */
    private static final double FAINT_RUN_PX = 40;

    private static final Option TONE =
            new Option(
                    "colour",
                    "colour",
                    "Dark: dirt on a print. Light: dirt on a negative",
                    "dark",
                    "light",
                    "both");

    private static final Description DESCRIPTION =
            Description.of(
                            "dust",
                            "Dust and scratches",
                            "Adds dust specks, and scratches that last several frames.",
                            TreatmentGroup.GRAIN,
                            Control.RULER,
                            Parameter.of("specks", "specks per frame", "", 0, 500, 0, 1)
                                    .example(12, 12),
                            Parameter.of("scratches", "scratches per frame", "", 0, 40, 0, 1)
                                    .example(2, 2),
                            Parameter.of("size", "size", "px", 0.5, 200, 6, 0.5).setting(),
                            Parameter.of(
                                            "scratch-duration",
                                            "scratch duration",
                                            "frames",
                                            1,
                                            1000,
                                            30,
                                            1)
                                    .setting(),
                            Parameter.percent("strength", "strength", 0, 100, 80).setting(),
                            Parameter.of("same", "same in all channels", "", 0, 1, 1, 1).setting(),
                            Randomised.hold(1))
                    .choosing(TONE)
                    .with(Trait.POINTWISE, Trait.LIVE)
                    .called("film", "dirt", "hair", "wear");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    /** Something that covers part of the picture, in pixels of the channel. */
    private sealed interface Dirt {
        boolean light();

        /** Coverage of row {@code y}, into the first {@code n} elements of {@code cover}. */
        void cover(int y, float[] cover, int n);
    }

    /** A blot whose outline is a circle with harmonics of order three and five. */
    private record Speck(
            double x, double y, double radius, double bent, double turned, boolean light)
            implements Dirt {
        @Override
        public void cover(int row, float[] cover, int n) {
            double dy = row + 0.5 - y;
            double most = radius * 1.5 + 1;
            if (Math.abs(dy) > most) {
                return;
            }
            int from = (int) Math.max(0, Math.floor(x - most));
            int to = (int) Math.min(n, Math.ceil(x + most));
            for (int i = from; i < to; i++) {
                double dx = i + 0.5 - x;
                double angle = StrictMath.atan2(dy, dx) + turned;
                double edge =
                        radius
                                * (1
                                        + bent * StrictMath.sin(3 * angle)
                                        + 0.5 * bent * StrictMath.sin(5 * angle + 1));
                double in = edge - Math.sqrt(dx * dx + dy * dy) + 0.5;
                double small = Math.min(1, 4 * radius * radius); // smaller than a pixel
                cover[i] = (float) Math.max(cover[i], Math.clamp(in, 0, 1) * small);
            }
        }
    }

    /** A vertical line. */
    private record Scratch(
            double x, double width, double run, double strength, long key, boolean light)
            implements Dirt {
        @Override
        public void cover(int row, float[] cover, int n) {
            double faint = 0.55 + 0.45 * smooth(row / run);
            double left = x - width / 2;
            int from = (int) Math.max(0, Math.floor(left));
            int to = (int) Math.min(n, Math.ceil(left + width));
            for (int i = from; i < to; i++) {
                double part = Math.min(i + 1, left + width) - Math.max(i, left);
                cover[i] = (float) Math.max(cover[i], part * strength * faint);
            }
        }

        private double smooth(double at) {
            long before = (long) Math.floor(at);
            double a = Hash.signed(key, before);
            double b = Hash.signed(key, before + 1);
            return a + (at - before) * (b - a);
        }
    }

    private static double unit(long key, long... what) {
        long[] parts = new long[what.length + 1];
        parts[0] = key;
        System.arraycopy(what, 0, parts, 1, what.length);
        return (Hash.signed(parts) + 1) / 2;
    }

    private static boolean light(Settings settings, double draw) {
        return switch (settings.choice(TONE)) {
            case "dark" -> false;
            case "light" -> true;
            default -> draw < 0.5;
        };
    }

    private static void specks(Size size, Settings settings, double scale, List<Dirt> into) {
        long key = Randomised.key(settings, settings.isOn("same"));
        double count = settings.number("specks");
        for (int i = 0; i < Math.ceil(count); i++) {
            if (unit(key, i, 0) >= Math.clamp(count - i, 0, 1) * 0.9) {
                continue;
            }
            double small = unit(key, i, 3);
            into.add(
                    new Speck(
                            unit(key, i, 1) * size.width(),
                            unit(key, i, 2) * size.height(),
                            settings.number("size") * scale / 2 * (0.3 + 1.4 * small * small),
                            0.35 * unit(key, i, 4),
                            6.3 * unit(key, i, 5),
                            light(settings, unit(key, i, 6))));
        }
    }

    private static void scratches(Size size, Settings settings, double scale, List<Dirt> into) {
        Settings.Moment moment = settings.moment();
        long key = moment.draw().at(settings.isOn("same") ? -1 : moment.channel());
        double count = settings.number("scratches");
        for (int i = 0; i < Math.ceil(count); i++) {
            double life = settings.number("scratch-duration") * (0.5 + unit(key, i, 0));
            double since = moment.frame() + life * unit(key, i, 1);
            long number = (long) Math.floor(since / life);
            double there = Math.clamp(count - i, 0, 1);
            if (unit(key, i, number, 2) >= there * 0.8) {
                continue;
            }
            double on = since / life - number;
            double wander = 3 * scale * (Hash.signed(key, i, number, 3) * on);
            double shake = 0.6 * scale * Hash.signed(key, i, number, 4, moment.frame());
            into.add(
                    new Scratch(
                            unit(key, i, number, 5) * size.width() + wander + shake,
                            (0.6 + 1.2 * unit(key, i, number, 6)) * scale,
                            FAINT_RUN_PX * scale,
                            Math.min(1, 4 * Math.min(on, 1 - on) + 0.3),
                            Hash.of(key, i, number, moment.frame()),
                            light(settings, unit(key, i, number, 7))));
        }
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        List<Dirt> all = new ArrayList<>();
        specks(size, settings, context.scale(), all);
        scratches(size, settings, context.scale(), all);
        List<Dirt> dark = all.stream().filter(d -> !d.light()).toList();
        List<Dirt> light = all.stream().filter(Dirt::light).toList();
        float strength = (float) settings.share("strength");
        float full = context.channel().span();
        float[] ends =
                switch (context.channel().paint()) {
                    case LIGHT -> new float[] {0, full};
                    case INK -> new float[] {full, 0};
                    case SIGNED, ANGLE -> new float[] {0, 0};
                };
        int n = size.width();
        return () -> {
            float[] cover = new float[n];
            return (y, row) -> {
                lay(dark, y, cover, strength, ends[0], row);
                lay(light, y, cover, strength, ends[1], row);
            };
        };
    }

    private static void lay(
            List<Dirt> dirt, int y, float[] cover, float strength, float end, float[] row) {
        if (dirt.isEmpty()) {
            return;
        }
        java.util.Arrays.fill(cover, 0);
        dirt.forEach(d -> d.cover(y, cover, cover.length));
        for (int x = 0; x < cover.length; x++) {
            row[x] += strength * cover[x] * (end - row[x]);
        }
    }
}
