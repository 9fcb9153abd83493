package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;

import java.util.ArrayList;
import java.util.List;

/** Mixes each channel from shares of all three, gamma-encoded. */
public final class ChannelMixer implements PictureTreatment {
    private static final List<String> CHANNELS = List.of("red", "green", "blue");
    private static final double MAX_PERCENT = 400;
    private static final Description DESCRIPTION =
            Description.of(
                            "channel-mixer",
                            "Channel mixer",
                            "Mixes each output channel from red, green and blue; can swap channels"
                                    + " or convert to grey.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            shares())
                    .with(Trait.POINTWISE)
                    .called("swap", "mixer", "matrix", "black and white");

    private static Parameter[] shares() {
        List<Parameter> shares = new ArrayList<>();
        for (String to : CHANNELS) {
            for (String from : CHANNELS) {
                double rest = to.equals(from) ? 100 : 0;
                double shown = to.equals(from) ? 0 : 50;
                shares.add(
                        Parameter.percent(
                                        name(to, from),
                                        to + " from " + from,
                                        -MAX_PERCENT,
                                        MAX_PERCENT,
                                        rest)
                                .example(shown, shown));
            }
        }
        return shares.toArray(Parameter[]::new);
    }

    /** The name of the parameter for the share of one channel in another. */
    public static String name(String to, String from) {
        return to + "-from-" + from;
    }

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        float[][] by = new float[3][3];
        for (int c = 0; c < 3; c++) {
            for (int k = 0; k < 3; k++) {
                by[c][k] = (float) settings.share(name(CHANNELS.get(c), CHANNELS.get(k)));
            }
        }
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[][] before = new float[3][width];
                    return (rgb, n) -> {
                        for (int c = 0; c < 3; c++) {
                            System.arraycopy(rgb[c], 0, before[c], 0, n);
                        }
                        for (int c = 0; c < 3; c++) {
                            mix(before, by[c], rgb[c], n);
                        }
                    };
                });
    }

    private static void mix(float[][] from, float[] by, float[] to, int n) {
        for (int i = 0; i < n; i++) {
            to[i] = by[0] * from[0][i] + by[1] * from[1][i] + by[2] * from[2][i];
        }
    }
}
