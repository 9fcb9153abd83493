package ivrik.app.widget;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Words that find commands, looks and treatments with other names. */
final class Synonyms {
    /** Current words, by words of earlier versions and other common words. */
    private static final Map<String, List<String>> ALSO =
            Map.ofEntries(
                    Map.entry("3d lut", List.of("lookup table")),
                    Map.entry("8 bit", List.of("low resolution")),
                    Map.entry("adjustment layer", List.of("add span")),
                    Map.entry("audio", List.of("export sound")),
                    Map.entry("autosave", List.of("recovered work")),
                    Map.entry("backup", List.of("recovered work")),
                    Map.entry("barrel", List.of("lens distortion")),
                    Map.entry("before and after", List.of("split line", "bypass")),
                    Map.entry("black point", List.of("levels")),
                    Map.entry("blend mode", List.of("show blend sheet")),
                    Map.entry("bokeh", List.of("disc blur")),
                    Map.entry("brightness", List.of("exposure")),
                    Map.entry("bring", List.of("import")),
                    Map.entry("camera shake", List.of("shift")),
                    Map.entry("canvas", List.of("sequence settings")),
                    Map.entry("caption", List.of("add title")),
                    Map.entry("hotkeys", List.of("keys")),
                    Map.entry("center", List.of("centre")),
                    Map.entry("close-up", List.of("controls")),
                    Map.entry("color", List.of("colour")),
                    Map.entry("compare", List.of("split line", "second pane", "bypass")),
                    Map.entry("dark mode", List.of("switch colour scheme")),
                    Map.entry("datamosh", List.of("digital breakup")),
                    Map.entry("delete", List.of("remove", "discard")),
                    Map.entry("denoise", List.of("median")),
                    Map.entry("desaturate", List.of("saturation")),
                    Map.entry("duplicate", List.of("copy")),
                    Map.entry("edge detect", List.of("convolution kernel")),
                    Map.entry("effect", List.of("treatment")),
                    Map.entry("emboss", List.of("convolution kernel")),
                    Map.entry("film grain", List.of("grain")),
                    Map.entry("filter", List.of("treatment")),
                    Map.entry("fisheye", List.of("lens distortion")),
                    Map.entry("fps", List.of("sequence settings")),
                    Map.entry("frame rate", List.of("sequence settings")),
                    Map.entry("full screen", List.of("picture only")),
                    Map.entry("grade", List.of("slope, offset, power")),
                    Map.entry("grading", List.of("slope, offset, power")),
                    Map.entry("gray", List.of("grey")),
                    Map.entry("grayscale", List.of("channel mixer", "channel in grey")),
                    Map.entry("greyscale", List.of("channel mixer", "channel in grey")),
                    Map.entry("histogram", List.of("scopes")),
                    Map.entry("interlace", List.of("time-base error")),
                    Map.entry("kept", List.of("recovered")),
                    Map.entry("keyboard", List.of("find command")),
                    Map.entry("lane", List.of("channel")),
                    Map.entry("light mode", List.of("switch colour scheme")),
                    Map.entry("lut", List.of("lookup table", "table")),
                    Map.entry("magnifier", List.of("loupe")),
                    Map.entry("magnify", List.of("zoom in", "loupe")),
                    Map.entry("matte", List.of("show mask")),
                    Map.entry("mesh", List.of("pin warp")),
                    Map.entry("monochrome", List.of("channel mixer", "channel in grey")),
                    Map.entry("negative", List.of("invert")),
                    Map.entry("old tv", List.of("crt screen")),
                    Map.entry("opacity", List.of("show layer", "strength", "amount")),
                    Map.entry("out of focus", List.of("disc blur")),
                    Map.entry("outward", List.of("zoom blur")),
                    Map.entry("overlay", List.of("show blend sheet")),
                    Map.entry("parade", List.of("scopes")),
                    Map.entry("peg", List.of("keyframe")),
                    Map.entry("pincushion", List.of("lens distortion")),
                    Map.entry("position", List.of("shift")),
                    Map.entry("prism", List.of("spectral dispersion")),
                    Map.entry("progressives", List.of("channel combinations")),
                    Map.entry("rainbow", List.of("spectral dispersion")),
                    Map.entry("random", List.of("jitter", "seed")),
                    Map.entry("reach", List.of("mask")),
                    Map.entry("render", List.of("export")),
                    Map.entry("resize", List.of("sequence settings")),
                    Map.entry("ripple delete", List.of("delete shot and close gap")),
                    Map.entry("second monitor", List.of("picture in separate window")),
                    Map.entry("shake", List.of("rgb split")),
                    Map.entry("sharpen", List.of("unsharp")),
                    Map.entry("shortcuts", List.of("keys")),
                    Map.entry("slider", List.of("dial")),
                    Map.entry("solarise", List.of("rgb curves")),
                    Map.entry("solarize", List.of("rgb curves")),
                    Map.entry("stereo", List.of("anaglyph")),
                    Map.entry("sticker", List.of("animated image")),
                    Map.entry("television", List.of("crt screen")),
                    Map.entry("theme", List.of("switch colour scheme")),
                    Map.entry("trace", List.of("graph")),
                    Map.entry("variant", List.of("take")),
                    Map.entry("vectorscope", List.of("scopes")),
                    Map.entry("version", List.of("take")),
                    Map.entry("vhs", List.of("videotape")),
                    Map.entry("waveform", List.of("scopes")),
                    Map.entry("white point", List.of("levels")),
                    Map.entry("wiggle", List.of("rgb split")));

    private Synonyms() {}

    /** The words that a typed text stands for. */
    static List<String> of(String text) {
        return ALSO.getOrDefault(text, List.of());
    }

    /** The words that are meant by a text of at least three letters that begins a synonym. */
    static Stream<String> beginning(String text) {
        return ALSO.entrySet().stream()
                .filter(e -> text.length() > 2 && e.getKey().startsWith(text))
                .flatMap(e -> e.getValue().stream());
    }
}
