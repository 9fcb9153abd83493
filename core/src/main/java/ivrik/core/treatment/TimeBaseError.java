package ivrik.core.treatment;

import ivrik.core.filter.RowShift;
import ivrik.core.filter.Warp;
import ivrik.core.motion.Hash;
import ivrik.core.picture.Size;

/**
 * Horizontal line errors of a tape with uneven speed, and the torn lines at the bottom where the heads
 * switch. The error is smooth noise over lines and frames plus a little noise per line; with interlacing,
 * alternate lines belong to different moments.
 */
public final class TimeBaseError implements Move {
    private static final double FAR_PX = 1000;

    /** Distance of noise knots in lines, for slow and fast errors. */
    private static final int SLOW_LINES = 28;

    private static final int QUICK_LINES = 9;

    /** Distance of noise knots in frames. */
    private static final int SLOW_FRAMES = 7;

    private static final double SLOW = 0.5;
    private static final double QUICK = 0.35;
    private static final double OWN = 0.15;

    private static final Description DESCRIPTION =
            Description.of(
                            "time-base-error",
                            "Time-base error",
                            "Shifts each scanline at random and tears the last lines sideways, as"
                                    + " in videotape playback.",
                            TreatmentGroup.MOVES,
                            Control.RULER,
                            Parameter.px("line-jitter", "line jitter", 0, FAR_PX).example(6, 3),
                            Parameter.px("head-switching", "head switching", -FAR_PX, FAR_PX)
                                    .example(0, 0),
                            Parameter.of(
                                            "head-switching-height",
                                            "head switching height",
                                            "px",
                                            0,
                                            FAR_PX,
                                            24,
                                            1)
                                    .setting(),
                            Parameter.of(
                                            "line-height",
                                            "line height",
                                            "px",
                                            0.5,
                                            FAR_PX,
                                            2.25,
                                            0.25)
                                    .setting(),
                            Parameter.of("interlaced", "interlaced", "", 0, 1, 1, 1).setting(),
                            Parameter.of("same", "same in all channels", "", 0, 1, 1, 1).setting(),
                            Randomised.hold(1))
                    .with(Trait.SPREADS, Trait.LIVE)
                    .called("tape", "time base", "jitter", "head switching", "tracking");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double scale = context.scale();
        double line = settings.number("line-height") * scale;
        double[] shifts = new double[(int) Math.ceil(size.height() / line) + 1];
        double tear = settings.number("head-switching") * scale;
        double torn = Math.max(1e-9, settings.number("head-switching-height") * scale);
        LineShifts lines = new LineShifts(settings);
        for (int i = 0; i < shifts.length; i++) {
            double down = ((i + 0.5) * line - (size.height() - torn)) / torn;
            double into = Math.clamp(down, 0, 1);
            double rough = 1 + 0.5 * lines.own(i);
            shifts[i] =
                    settings.number("line-jitter") * scale * lines.at(i)
                            + (into > 0 ? tear * into * into * rough : 0);
        }
        RowShift shift = y -> shifts[Math.clamp((long) Math.floor(y / line), 0, shifts.length - 1)];
        return shift;
    }

    /** Error of each line, -1 to 1. */
    private record LineShifts(long key, long moment, boolean fields) {
        LineShifts(Settings settings) {
            this(
                    settings.moment()
                            .draw()
                            .at(settings.isOn("same") ? -1 : settings.moment().channel()),
                    Math.floorDiv(
                            settings.moment().frame(),
                            Math.max(1, Math.round(settings.number("hold")))),
                    settings.isOn("interlaced"));
        }

        double own(int line) {
            return Hash.signed(key, 2, line, moment(line));
        }

        /** Moment of each field. */
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

    /** No line moves further than the parameters. */
    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double far =
                settings.number("line-jitter") + 1.5 * Math.abs(settings.number("head-switching"));
        double x = Math.ceil(far + 1 - settings.sampler().firstTap());
        return new ValidRegion(
                before.left() + x, before.top(), before.right() - x, before.bottom());
    }
}
