package ivrik.core.look;

import static ivrik.core.look.Links.alike;
import static ivrik.core.look.Links.centre;
import static ivrik.core.look.Links.dial;
import static ivrik.core.look.Links.lanes;
import static ivrik.core.look.Links.whole;

import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Dispersion;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Vignette;
import ivrik.core.treatment.ZoomBlur;

import java.util.List;
import java.util.Map;

/** Built-in looks of lenses. */
final class LensLooks {
    private LensLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.LENS,
                        "Lens fringe",
                        lensFringe(),
                        "chromatic aberration",
                        "fringe",
                        "corners"),
                BuiltInLook.of(
                        LookGroup.LENS,
                        "Spectrum",
                        spectrum(),
                        "chromatic aberration",
                        "prism",
                        "rainbow",
                        "dispersion"),
                BuiltInLook.of(
                                LookGroup.LENS,
                                "Fringe off",
                                fringeOff(),
                                "correct",
                                "chromatic aberration",
                                "remove")
                        .shown(Map.of("red", 0.5, "blue", -0.5)));
    }

    /** One lane is held, the others are spread to either side, and blur grows outward as they part. */
    private static Look lensFringe() {
        List<Dial> own =
                List.of(
                        dial(
                                "amount",
                                "Amount at the corner",
                                "%",
                                -20,
                                20,
                                0,
                                0.8,
                                lanes("lens-1", "k0", 1, 0, -1)),
                        dial(
                                "smear",
                                "Smear at the corner",
                                "px",
                                0,
                                200,
                                0,
                                6,
                                lanes("zoom-1", "length", 1, 0.4, 1)));
        return Look.atRest("lens-fringe", new Rgb(), new Lens(), new ZoomBlur(), new Vignette())
                .withNote(
                        "The colour fringes of a poor lens: green stays, red and blue part towards"
                                + " the corners and smear outward.")
                .withDials(Links.dials(own, centre("lens-1", "zoom-1", "vignette-1"), vignette()));
    }

    private static List<Dial> vignette() {
        return List.of(
                dial(
                        "vignette",
                        "Vignette",
                        "stops",
                        -6,
                        6,
                        0,
                        0,
                        whole("vignette-1", "stops", 1)));
    }

    private static Look spectrum() {
        List<Dial> own =
                List.of(
                        dial(
                                "length",
                                "Length at the corner",
                                "px",
                                -1000,
                                1000,
                                0,
                                30,
                                alike("dispersion-1", "length", 1)),
                        dial(
                                "samples",
                                "Samples",
                                "",
                                2,
                                128,
                                16,
                                16,
                                alike("dispersion-1", "samples", 1)));
        return Look.atRest("spectrum", new Rgb(), new Dispersion(), new Vignette())
                .withNote("Spreads the picture into a continuous spectrum towards the corners.")
                .withDials(Links.dials(own, centre("dispersion-1", "vignette-1"), vignette()));
    }

    /** The other way round: what a lens has parted comes together. */
    private static Look fringeOff() {
        List<Dial> own =
                List.of(
                        off("red", "Red out at the corner", "k0", 0),
                        off("red-bend", "Red bends", "k1", 0),
                        off("blue", "Blue out at the corner", "k0", 2),
                        off("blue-bend", "Blue bends", "k1", 2));
        return Look.atRest("fringe-off", new Rgb(), new Lens())
                .withNote(
                        "Takes the fringes of a lens out of a picture: red and blue are brought"
                                + " back onto green.")
                .withDials(Links.dials(own, centre("lens-1")));
    }

    private static Dial off(String name, String title, String number, int lane) {
        double[] shares = new double[3];
        shares[lane] = -1;
        return dial(name, title, "%", -20, 20, 0, 0, lanes("lens-1", number, shares));
    }
}
