package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.filter.PatternTile;
import ivrik.core.filter.RadialWarp;
import ivrik.core.filter.ScanBeam;
import ivrik.core.filter.Warp;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Size;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The screen of a tube or a panel: a mask of coloured phosphors, and a beam that draws lines. In linear light.
 * What the mask and the dark between the lines take away is paid back by their mean over this very picture;
 * so a flat grey is as bright as before. Bright light leaves less room for that than dark light, so mask and
 * lines fade as a value nears white, and nothing is clipped.
 */
public final class Phosphors implements PictureTreatment {
    /** Whether the light that is taken is paid back. */
    static final Option BRIGHTNESS =
            new Option(
                    "brightness",
                    "brightness",
                    "Whether the light that mask and lines take is paid back",
                    "paid back",
                    "as it is");

    private static final double FINEST_PX = 2;

    /** From here on a mask is shown in full. */
    private static final double CLEAR_PX = 2.5;

    private static final Description DESCRIPTION =
            Description.of(
                            "phosphors",
                            "Phosphors",
                            "Shows the picture through a mask of coloured phosphors, drawn in"
                                    + " lines.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.percent("mask", "mask", 0, 100, 0).shown(80, 80),
                            Parameter.of("pitch", "pitch", "px", 1, 400, 6, 0.1).setting(),
                            Parameter.percent("scan", "dark between lines", 0, 100, 0),
                            Parameter.of("lines", "lines", "", 10, 4320, 240, 1).setting(),
                            Parameter.percent("beam", "beam width", 10, 100, 45).setting(),
                            Parameter.percent("curve", "curve", 0, 100, 0).setting(),
                            Parameter.of("fields", "drawn in fields", "", 0, 1, 0, 1).setting())
                    .choosing(PhosphorMask.CHOICE, BRIGHTNESS, Pattern.TILE)
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

    /** All that decides how light is taken and paid back. */
    private record Shown(
            Map<String, Double> numbers,
            Map<String, String> words,
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
        double mask = settings.share("mask") * (own ? 1 : seen(pitch));
        Optional<PatternTile> tile =
                mask == 0
                        ? Optional.empty()
                        : PhosphorMask.tile(settings, pitch, context.picture());
        boolean odd = settings.isOn("fields") && settings.moment().frame() % 2 != 0;
        ScanBeam beam =
                new ScanBeam(
                        size.height() / settings.number("lines"),
                        settings.share("beam") / 2,
                        settings.share("scan"),
                        odd ? 0.5 : 0);
        if (tile.isEmpty() && !beam.isSeen()) {
            return picture;
        }
        Optional<Warp> curve =
                settings.number("curve") == 0
                        ? Optional.empty()
                        : Optional.of(curve(settings, size));
        boolean back = settings.word(BRIGHTNESS).equals(BRIGHTNESS.rest());
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
                                                settings.words(),
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
        boolean masked = settings.number("mask") > 0 && !PhosphorMask.isOwnPicture(settings);
        if (masked && pitch < clean) {
            return Optional.of(
                    String.format(
                            Locale.ROOT,
                            "a mask with a pitch of %.1f px is finer than the pixels and %s;"
                                    + " %.1f px is the next clean pitch",
                            pitch,
                            seen(pitch * scale) == 0 ? "does not show" : "is faded",
                            clean));
        }
        double lines = settings.number("lines");
        double most = Math.floor(size.height() * scale / CLEAR_PX);
        if (settings.number("scan") > 0 && lines > most) {
            return Optional.of(
                    String.format(
                            Locale.ROOT,
                            "%.0f lines lie closer than the pixels can show; %.0f or fewer are"
                                    + " clean",
                            lines,
                            most));
        }
        return Optional.empty();
    }

    /**
     * How much of a mask of a pitch pixels can show: none at two pixels and below, where it could only come
     * back as something else.
     */
    static double seen(double pitchPx) {
        return Math.clamp((pitchPx - FINEST_PX) / (CLEAR_PX - FINEST_PX), 0, 1);
    }

    /** The same bulge that a lens of this k1 gives the picture. */
    private static Warp curve(Settings settings, Size size) {
        double half = Centre.halfDiagonal(size);
        return new RadialWarp(
                size.width() / 2.0, size.height() / 2.0, half, 1, 0, -settings.share("curve"), 0);
    }
}
