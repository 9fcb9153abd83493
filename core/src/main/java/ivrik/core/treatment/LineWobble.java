package ivrik.core.treatment;

import ivrik.core.filter.RowShift;
import ivrik.core.filter.Warp;
import ivrik.core.motion.Hash;
import ivrik.core.picture.Size;

/**
 * Lines that begin too early or too late, as of a tape whose speed is not steady, and those at the bottom
 * that are torn aside where one head takes over from the other. The error of a line is smooth noise over
 * lines and frames with a little of its own; if the picture is drawn in fields, every second line is of
 * another moment.
 */
public final class LineWobble implements Move {
    private static final double FAR_PX = 1000;

    /** Knots of the noise lie so many lines apart: of what is slow in time, and of what is quick. */
    private static final int SLOW_LINES = 28;

    private static final int QUICK_LINES = 9;

    /** And so many frames. */
    private static final int SLOW_FRAMES = 7;

    private static final double SLOW = 0.5;
    private static final double QUICK = 0.35;
    private static final double OWN = 0.15;

    private static final Description DESCRIPTION =
            Description.of(
                            "wobble",
                            "Line wobble",
                            "Shifts each line of a lane a little, and tears the last lines aside,"
                                    + " as a worn tape does.",
                            Group.MOVES,
                            Control.RULER,
                            Parameter.px("wobble", "wobble", 0, FAR_PX).shown(6, 3),
                            Parameter.px("tear", "tear", -FAR_PX, FAR_PX).shown(0, 0),
                            Parameter.of("tear-height", "of height", "px", 0, FAR_PX, 24, 1)
                                    .setting(),
                            Parameter.of("line", "line", "px", 0.5, FAR_PX, 2.25, 0.25).setting(),
                            Parameter.of("fields", "drawn in fields", "", 0, 1, 1, 1).setting(),
                            Parameter.of("alike", "same in all lanes", "", 0, 1, 1, 1).setting(),
                            Live.hold(1))
                    .with(Trait.SPREADS, Trait.LIVE)
                    .called("tape", "time base", "jitter", "head switching", "tracking");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double scale = context.scale();
        double line = settings.number("line") * scale;
        double[] shifts = new double[(int) Math.ceil(size.height() / line) + 1];
        double tear = settings.number("tear") * scale;
        double torn = Math.max(1e-9, settings.number("tear-height") * scale);
        Lines lines = new Lines(settings);
        for (int i = 0; i < shifts.length; i++) {
            double down = ((i + 0.5) * line - (size.height() - torn)) / torn;
            double into = Math.clamp(down, 0, 1);
            double rough = 1 + 0.5 * lines.own(i);
            shifts[i] =
                    settings.number("wobble") * scale * lines.at(i)
                            + (into > 0 ? tear * into * into * rough : 0);
        }
        RowShift shift = y -> shifts[Math.clamp((long) Math.floor(y / line), 0, shifts.length - 1)];
        return shift;
    }

    /** The error of each line, -1 to 1. */
    private record Lines(long key, long moment, boolean fields) {
        Lines(Settings settings) {
            this(
                    settings.moment()
                            .draw()
                            .at(settings.isOn("alike") ? -1 : settings.moment().lane()),
                    Math.floorDiv(
                            settings.moment().frame(),
                            Math.max(1, Math.round(settings.number("hold")))),
                    settings.isOn("fields"));
        }

        double own(int line) {
            return Hash.signed(key, 2, line, moment(line));
        }

        /** Of each field in turn. */
        private long moment(int line) {
            return fields ? 2 * moment + line % 2 : 2 * moment;
        }

        double at(int line) {
            double t = moment(line) / 2.0 / SLOW_FRAMES;
            long before = (long) Math.floor(t);
            double slow =
                    mixed(
                            knots(0, line, SLOW_LINES, before),
                            knots(0, line, SLOW_LINES, before + 1),
                            t - before);
            double quick = knots(1, line, QUICK_LINES, moment(line));
            return SLOW * slow + QUICK * quick + OWN * own(line);
        }

        private double knots(int kind, int line, int apart, long moment) {
            long knot = line / apart;
            return mixed(
                    Hash.signed(key, kind, knot, moment),
                    Hash.signed(key, kind, knot + 1, moment),
                    (double) (line % apart) / apart);
        }

        private static double mixed(double from, double to, double share) {
            double smooth = share * share * (3 - 2 * share);
            return from + smooth * (to - from);
        }
    }

    /** No line goes further than the numbers say. */
    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double far = settings.number("wobble") + 1.5 * Math.abs(settings.number("tear"));
        double x = Math.ceil(far + 1 - settings.sampler().firstTap());
        return new ValidRegion(
                before.left() + x, before.top(), before.right() - x, before.bottom());
    }
}
