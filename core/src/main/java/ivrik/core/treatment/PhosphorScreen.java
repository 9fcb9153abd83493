package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.filter.PatternTile;
import ivrik.core.filter.RadialWarp;
import ivrik.core.filter.ScanlineBeam;
import ivrik.core.filter.Warp;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Size;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A CRT or panel: a phosphor mask and a scanning beam, in linear light. The light they absorb is compensated
 * by the mean over the actual picture, so that flat grey keeps its brightness. Bright values have less
 * headroom, so mask and scanlines fade towards white, and nothing is clipped.
 */
public final class PhosphorScreen implements PictureTreatment {
    /** Whether the absorbed light is compensated. */
    static final Option BRIGHTNESS =
            new Option(
                    "compensation",
                    "brightness",
                    "Brightness compensation for phosphor mask and scanlines",
                    "compensated",
                    "uncompensated");

    private static final double FINEST_PX = 2;

    /** Pitch in pixels from which a mask is shown at full strength. */
    private static final double CLEAR_PX = 2.5;

    private static final Description DESCRIPTION =
            Description.of(
                            "phosphor-screen",
                            "Phosphor screen",
                            "Shows the picture through a phosphor mask with scanlines.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.percent("mask-strength", "mask strength", 0, 100, 0)
                                    .example(80, 80),
                            Parameter.of("pitch", "pitch", "px", 1, 400, 6, 0.1).setting(),
                            Parameter.percent("scanline-depth", "scanline depth", 0, 100, 0),
                            Parameter.of("scanlines", "scanlines", "", 10, 4320, 240, 1).setting(),
                            Parameter.percent("beam", "beam width", 10, 100, 45).setting(),
                            Parameter.percent("curvature", "curvature", 0, 100, 0).setting(),
                            Parameter.of("interlaced", "interlaced", "", 0, 1, 0, 1).setting())
                    .choosing(PhosphorMask.CHOICE, BRIGHTNESS, PatternPlacement.TILE)
                    .with(Trait.PICTURE, Trait.LIVE, Trait.LIGHT)
                    .called(
                            "phosphor screen",
                            "crt",
                            "tube",
                            "scanlines",
                            "aperture grille",
                            "monitor",
                            "display");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    /** Everything that the light tables depend on. */
    private record Shown(
            Map<String, Double> numbers,
            Map<String, String> options,
            boolean odd,
            Size size,
            double scale,
            Transfer transfer) {}

    @Override
    public boolean needsPicture(Settings settings) {
        return PhosphorMask.isOwnPicture(settings);
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Size size = new Size(picture.width(), picture.height());
        double pitch = settings.number("pitch") * context.scale();
        boolean own = PhosphorMask.isOwnPicture(settings);
        double mask = settings.share("mask-strength") * (own ? 1 : seen(pitch));
        Optional<PatternTile> tile =
                mask == 0
                        ? Optional.empty()
                        : PhosphorMask.tile(settings, pitch, context.picture());
        boolean odd = settings.isOn("interlaced") && settings.moment().frame() % 2 != 0;
        ScanlineBeam beam =
                new ScanlineBeam(
                        size.height() / settings.number("scanlines"),
                        settings.share("beam") / 2,
                        settings.share("scanline-depth"),
                        odd ? 0.5 : 0);
        if (tile.isEmpty() && !beam.isSeen()) {
            return picture;
        }
        Optional<Warp> curve =
                settings.number("curvature") == 0
                        ? Optional.empty()
                        : Optional.of(curve(settings, size));
        boolean back = settings.choice(BRIGHTNESS).equals(BRIGHTNESS.rest());
        ScreenLight light =
                new ScreenLight(
                        tile,
                        (float) mask,
                        beam,
                        curve,
                        back,
                        size,
                        TransferTable.toLinear(context.transfer()),
                        TransferTable.fromLinear(context.transfer()),
                        own
                                ? Optional.empty()
                                : Optional.of(
                                        new Shown(
                                                settings.numbers(),
                                                settings.choices(),
                                                odd,
                                                size,
                                                context.scale(),
                                                context.transfer())));
        return light.of(picture);
    }

    @Override
    public Optional<String> advice(Settings settings, Size size, double scale) {
        double pitch = settings.number("pitch");
        double clean = Math.ceil(CLEAR_PX / scale * 10) / 10;
        boolean masked =
                settings.number("mask-strength") > 0 && !PhosphorMask.isOwnPicture(settings);
        if (masked && pitch < clean) {
            return Optional.of(
                    String.format(
                            Locale.ROOT,
                            "a phosphor mask with a pitch of %.1f px is finer than the pixels and"
                                    + " %s; the next usable pitch is %.1f px",
                            pitch,
                            seen(pitch * scale) == 0 ? "is not visible" : "is faded",
                            clean));
        }
        double lines = settings.number("scanlines");
        double most = Math.floor(size.height() * scale / CLEAR_PX);
        if (settings.number("scanline-depth") > 0 && lines > most) {
            return Optional.of(
                    String.format(
                            Locale.ROOT,
                            "%.0f scanlines are finer than the pixels; use %.0f or fewer",
                            lines,
                            most));
        }
        return Optional.empty();
    }

    /** Visible share of a mask of a pitch: 0 at two pixels and below, where it would alias. */
    static double seen(double pitchPx) {
        return Math.clamp((pitchPx - FINEST_PX) / (CLEAR_PX - FINEST_PX), 0, 1);
    }

    /** The distortion of a lens with this k1. */
    private static Warp curve(Settings settings, Size size) {
        double half = Centre.halfDiagonal(size);
        return new RadialWarp(
                size.width() / 2.0,
                size.height() / 2.0,
                half,
                1,
                0,
                -settings.share("curvature"),
                0);
    }
}
