package ivrik.core.look;

import static ivrik.core.look.DialLinks.allChannels;
import static ivrik.core.look.DialLinks.centre;
import static ivrik.core.look.DialLinks.channels;
import static ivrik.core.look.DialLinks.dial;
import static ivrik.core.look.DialLinks.whole;

import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Dispersion;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.Vignette;
import ivrik.core.treatment.ZoomBlur;

import java.util.List;
import java.util.Map;

/** Built-in lens looks. */
final class LensLooks {
    private LensLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.LENS,
                        "Chromatic aberration",
                        chromaticAberration(),
                        "chromatic aberration",
                        "fringe",
                        "corners"),
                BuiltInLook.of(
                        LookGroup.LENS,
                        "Spectral dispersion",
                        spectrum(),
                        "chromatic aberration",
                        "prism",
                        "rainbow",
                        "dispersion"),
                BuiltInLook.of(
                                LookGroup.LENS,
                                "Fringe correction",
                                fringeCorrection(),
                                "correct",
                                "chromatic aberration",
                                "remove")
                        .example(Map.of("red", 0.5, "blue", -0.5)));
    }

    /**
     * One channel is fixed; the others spread to either side, with blur that grows towards the corners.
     */
    private static Look chromaticAberration() {
        List<Dial> own =
                List.of(
                        dial(
                                "amount",
                                "Aberration at corner",
                                "%",
                                -20,
                                20,
                                0,
                                0.8,
                                channels("lens-distortion-1", "k0", 1, 0, -1)),
                        dial(
                                "smear",
                                "Blur at corner",
                                "px",
                                0,
                                200,
                                0,
                                6,
                                channels("zoom-1", "length", 1, 0.4, 1)));
        return Look.atRest(
                        "chromatic-aberration",
                        new Rgb(),
                        new LensDistortion(),
                        new ZoomBlur(),
                        new Vignette())
                .withNote(
                        "Lateral chromatic aberration: green stays, red and blue separate and blur"
                                + " towards the corners.")
                .withDials(
                        DialLinks.dials(
                                own,
                                centre("lens-distortion-1", "zoom-1", "vignette-1"),
                                vignette()));
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
                                "Length at corner",
                                "px",
                                -1000,
                                1000,
                                0,
                                30,
                                allChannels("dispersion-1", "length", 1)),
                        dial(
                                "samples",
                                "Samples",
                                "",
                                2,
                                128,
                                16,
                                16,
                                allChannels("dispersion-1", "samples", 1)));
        return Look.atRest("spectral-dispersion", new Rgb(), new Dispersion(), new Vignette())
                .withNote("Spreads the picture into a continuous spectrum towards the corners.")
                .withDials(DialLinks.dials(own, centre("dispersion-1", "vignette-1"), vignette()));
    }

    /** The inverse: aligns the channels that a lens has separated. */
    private static Look fringeCorrection() {
        List<Dial> own =
                List.of(
                        off("red", "Red scale (k0)", "k0", 0),
                        off("red-bend", "Red distortion (k1)", "k1", 0),
                        off("blue", "Blue scale (k0)", "k0", 2),
                        off("blue-bend", "Blue distortion (k1)", "k1", 2));
        return Look.atRest("fringe-correction", new Rgb(), new LensDistortion())
                .withNote("Corrects lateral chromatic aberration: aligns red and blue with green.")
                .withDials(DialLinks.dials(own, centre("lens-distortion-1")));
    }

    private static Dial off(String name, String title, String number, int channel) {
        double[] shares = new double[3];
        shares[channel] = -1;
        return dial(name, title, "%", -20, 20, 0, 0, channels("lens-distortion-1", number, shares));
    }
}
