package ivrik.core.look;

import static java.util.Map.entry;

import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfMask;
import ivrik.core.look.Target.OfOpacity;
import ivrik.core.look.Target.OfPlacement;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Names that version 3 of the files replaced.
 *
 * <p>Random numbers are salted with names. They keep the former names, so that every picture stays as version
 * 2 rendered it.
 */
public final class FormerNames {
    /** Former ids of treatments, by current id. */
    private static final Map<String, String> TREATMENTS =
            Map.ofEntries(
                    entry("tiled-scroll", "tiles"),
                    entry("lens-distortion", "lens"),
                    entry("displacement", "displace"),
                    entry("pin-warp", "pins"),
                    entry("time-base-error", "wobble"),
                    entry("bandwidth-limit", "bandwidth"),
                    entry("bloom", "spread-light"),
                    entry("minimum-maximum", "min-max"),
                    entry("convolution-kernel", "kernel"),
                    entry("bright-pass", "highlights"),
                    entry("screen-pattern", "mask"),
                    entry("phosphor-screen", "phosphors"),
                    entry("channel-mixer", "channel-mix"),
                    entry("cast-correction", "cast-off"),
                    entry("block-corruption", "broken-blocks"),
                    entry("pixelate", "low-resolution"),
                    entry("rgb-curves", "picture-curve"));

    /** Former names of parameters, by current {@code treatment.parameter}. */
    private static final Map<String, String> PARAMETERS =
            Map.ofEntries(
                    entry("displacement.affected", "share"),
                    entry("displacement.same", "alike"),
                    entry("pin-warp.border-spacing", "border"),
                    entry("pin-warp.iterations", "times"),
                    entry("time-base-error.line-jitter", "wobble"),
                    entry("time-base-error.head-switching", "tear"),
                    entry("time-base-error.head-switching-height", "tear-height"),
                    entry("time-base-error.line-height", "line"),
                    entry("time-base-error.interlaced", "fields"),
                    entry("time-base-error.same", "alike"),
                    entry("bandwidth-limit.resolution", "lines"),
                    entry("bandwidth-limit.generations", "passes"),
                    entry("bloom.conserve-energy", "keep"),
                    entry("halation.conserve-energy", "keep"),
                    entry("grain.correlation", "alike"),
                    entry("noise.monochrome", "alike"),
                    entry("dropouts.same", "alike"),
                    entry("dropouts.line-height", "line"),
                    entry("dust.same", "alike"),
                    entry("dust.scratch-duration", "life"),
                    entry("screen-pattern.compensation", "pay-back"),
                    entry("phosphor-screen.mask-strength", "mask"),
                    entry("phosphor-screen.scanline-depth", "scan"),
                    entry("phosphor-screen.scanlines", "lines"),
                    entry("phosphor-screen.curvature", "curve"),
                    entry("phosphor-screen.interlaced", "fields"),
                    entry("rolling-bar.start", "at"),
                    entry("gradient-map.midpoint", "middle"),
                    entry("cast-correction.midtones-red", "middle-red"),
                    entry("cast-correction.midtones-green", "middle-green"),
                    entry("cast-correction.midtones-blue", "middle-blue"),
                    entry("cast-correction.highlights-red", "lights-red"),
                    entry("cast-correction.highlights-green", "lights-green"),
                    entry("cast-correction.highlights-blue", "lights-blue"),
                    entry("dither.dot-size", "size"));

    /** Former names of the timing parameters of a channel, by current name. */
    private static final Map<String, String> CHANNEL_PARAMETERS =
            Map.of(
                    ChannelSourceParameters.CUT, "cut",
                    ChannelSourceParameters.SLIT, "slit",
                    ChannelSourceParameters.TRAIL, "linger");

    /** Current names of built-in looks, by former name. */
    private static final Map<String, String> LOOKS =
            Map.ofEntries(
                    entry("in-register", "neutral"),
                    entry("stereo-glasses", "anaglyph"),
                    entry("ghost-pins", "ghost-warp"),
                    entry("max-min", "dilate-erode"),
                    entry("glow-one-colour", "colour-streak"),
                    entry("lens-fringe", "chromatic-aberration"),
                    entry("spectrum", "spectral-dispersion"),
                    entry("fringe-off", "fringe-correction"),
                    entry("ink-misprint", "misregistered-print"),
                    entry("film", "film-print"),
                    entry("tape", "videotape"),
                    entry("tube", "crt"),
                    entry("heat", "false-colour"),
                    entry("ghost-trail", "channel-trails"),
                    entry("lane-lag", "channel-delay"),
                    entry("slit-time", "slit-scan"),
                    entry("lane-cut", "staggered-cut"),
                    entry("lane-wipe", "channel-wipe"),
                    entry("bad-signal", "digital-breakup"));

    /** Current choices of the dials of built-in looks, by former choice. */
    private static final Map<String, String> PRESENT_DIAL_CHOICES =
            Map.ofEntries(
                    entry("grille", "aperture-grille"),
                    entry("slot", "slot-mask"),
                    entry("triad", "shadow-mask"),
                    entry("own-picture", "custom-image"),
                    entry("auto", "on"),
                    entry("as-it-is", "off"),
                    entry("even-steps", "uniform-rgb"),
                    entry("heat", "thermal"),
                    entry("ice", "cold"),
                    entry("night", "night-vision"));

    private static final Map<String, String> PRESENT_TREATMENTS = inverse(TREATMENTS);

    private FormerNames() {}

    private static Map<String, String> inverse(Map<String, String> names) {
        return names.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));
    }

    /** The former id of a treatment; the same id if it was not renamed. */
    public static String treatment(String id) {
        return TREATMENTS.getOrDefault(id, id);
    }

    /** The former name of a parameter of a treatment; the same name if it was not renamed. */
    public static String parameter(String treatment, String parameter) {
        return PARAMETERS.getOrDefault(treatment + "." + parameter, parameter);
    }

    /** The former id of a step, which consists of a treatment id and a number. */
    public static String step(String id) {
        return renumbered(id, FormerNames::treatment);
    }

    /**
     * The address of a target in version 2.
     *
     * @param look the look that holds the target
     */
    public static String address(Target target, Look look) {
        return switch (target) {
            case OfChannel t ->
                    String.join(
                            ".",
                            step(t.step()),
                            channel(look, t.channel()),
                            parameterOf(look, t.step(), t.parameter()));
            case OfStep t -> step(t.step()) + "." + parameterOf(look, t.step(), t.parameter());
            case OfMask t -> "reach." + t.part();
            case OfOpacity t -> "onto.amount";
            case OfStrength t -> "lane." + channel(look, t.channel()) + ".strength";
            case OfChannelSource t ->
                    String.join(
                            ".",
                            "lane",
                            channel(look, t.channel()),
                            CHANNEL_PARAMETERS.getOrDefault(t.part(), t.part()));
            case OfPlacement t -> "place." + t.part();
            default -> target.address(look.model());
        };
    }

    private static String channel(Look look, int number) {
        return look.model().channels().get(number).id();
    }

    private static String parameterOf(Look look, String step, String parameter) {
        String treatment = look.step(step).map(Step::treatment).orElse("");
        return parameter.startsWith(OfChannel.OWN_JITTER)
                ? OfChannel.OWN_JITTER
                        + parameter(treatment, parameter.substring(OfChannel.OWN_JITTER.length()))
                : parameter(treatment, parameter);
    }

    /** The current name of a choice of a dial; the same name if it was not renamed. */
    public static String presentDialChoice(String former) {
        return PRESENT_DIAL_CHOICES.getOrDefault(former, former);
    }

    /** The current id of a treatment of version 2. */
    public static String presentTreatment(String former) {
        return PRESENT_TREATMENTS.getOrDefault(former, former);
    }

    /**
     * The current name of a parameter of version 2.
     *
     * @param treatment current id
     */
    public static String presentParameter(String treatment, String former) {
        return present(PARAMETERS, treatment + ".", former);
    }

    /** The current name of a timing parameter of version 2. */
    public static String presentChannelParameter(String former) {
        return present(CHANNEL_PARAMETERS, "", former);
    }

    private static String present(Map<String, String> names, String prefix, String former) {
        return names.entrySet().stream()
                .filter(e -> e.getKey().startsWith(prefix) && e.getValue().equals(former))
                .map(e -> e.getKey().substring(prefix.length()))
                .findFirst()
                .orElse(former);
    }

    /** The current id of a step of version 2. */
    public static String presentStep(String former) {
        return renumbered(former, FormerNames::presentTreatment);
    }

    /** The current name of a built-in look of version 2; empty if it was not renamed. */
    public static Optional<String> presentLook(String former) {
        return Optional.ofNullable(LOOKS.get(former));
    }

    /** A step id with its treatment replaced. */
    private static String renumbered(String id, Function<String, String> treatment) {
        int dash = id.lastIndexOf('-');
        return dash < 0 || !id.substring(dash + 1).matches("\\d+")
                ? id
                : treatment.apply(id.substring(0, dash)) + id.substring(dash);
    }
}
