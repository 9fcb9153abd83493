package ivrik.core.rejoin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Plane;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

class ChannelRejoinerTest {
    private final Workers workers = Workers.shared();

    private static List<Plane> flat(double... values) {
        List<Plane> planes = new ArrayList<>();
        for (double v : values) {
            planes.add(Plane.of(1, 1, (float) v));
        }
        return planes;
    }

    private static List<ChannelPrint> prints(Separation model) {
        List<ChannelPrint> prints = new ArrayList<>();
        for (ChannelKind kind : model.channels()) {
            prints.add(ChannelPrint.plain(prints.size(), kind));
        }
        return prints;
    }

    private double[] join(
            String model, List<ChannelPrint> prints, Rejoin rejoin, double... colour) {
        Separation separation = Separations.named(model);
        List<Plane> channels = separation.separate(flat(colour), workers);
        return ChannelRejoiner.join(separation, channels, prints, rejoin, workers).stream()
                .mapToDouble(p -> p.at(0, 0))
                .toArray();
    }

    private static ChannelPrint with(ChannelPrint p, Ink ink, double strength) {
        return new ChannelPrint(p.channel(), p.visible(), ink, p.blend(), strength);
    }

    @Test
    void rgbChannelsAgreeInSeveralBlendModes() {
        List<ChannelPrint> prints = prints(Separations.named("rgb"));
        for (String direction :
                List.of("exact", "add", "screen", "lighten", "exclusion", "difference")) {
            assertThat(join("rgb", prints, Rejoin.named(direction), 0.2, 0.5, 0.9))
                    .as(direction)
                    .containsExactly(new double[] {0.2, 0.5, 0.9}, within(1e-7));
        }
    }

    @Test
    void subtractiveInksMultiplyToTheSource() {
        List<ChannelPrint> prints = prints(Separations.named("cmyk"));
        assertThat(join("cmyk", prints, Rejoin.by(Blend.MULTIPLY), 0.2, 0.5, 0.9))
                .containsExactly(new double[] {0.2, 0.5, 0.9}, within(1e-6));
    }

    @Test
    void aRecolouredLightReplacesItsOwnColour() {
        List<ChannelPrint> prints = prints(Separations.named("rgb"));
        prints.set(0, with(prints.get(0), new Ink(1, 0.5f, 0), 1));
        assertThat(join("rgb", prints, Rejoin.EXACT, 0.4, 0.1, 0.3))
                .containsExactly(new double[] {0.4, 0.1 + 0.2, 0.3}, within(1e-6));
        assertThat(join("rgb", prints, Rejoin.by(Blend.ADD), 0.4, 0.1, 0.3))
                .containsExactly(new double[] {0.4, 0.3, 0.3}, within(1e-6));
    }

    @Test
    void aRecolouredInkMultiplies() {
        List<ChannelPrint> prints = prints(Separations.named("cmy"));
        prints.set(2, with(prints.get(2), new Ink(1, 0.5f, 0), 1));
        // 0.7 of orange's yellow: removes 0.7 * 0.5 of green and 0.7 of blue
        assertThat(join("cmy", prints, Rejoin.EXACT, 0.9, 0.8, 0.3))
                .containsExactly(new double[] {0.9, 0.8 * (1 - 0.7 * 0.5), 0.3}, within(1e-6));
    }

    @Test
    void opacityScalesAChannelAndHidingRemovesIt() {
        List<ChannelPrint> prints = prints(Separations.named("rgb"));
        prints.set(1, with(prints.get(1), Ink.GREEN, 0.25));
        prints.set(2, new ChannelPrint(2, false, Ink.BLUE, Optional.empty(), 1));
        assertThat(join("rgb", prints, Rejoin.EXACT, 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0.2, 0}, within(1e-6));
        assertThat(join("rgb", prints, Rejoin.by(Blend.SCREEN), 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0.2, 0}, within(1e-6));
    }

    @Test
    void orderAndBlendOfAChannelApply() {
        List<ChannelPrint> prints = prints(Separations.named("rgb"));
        List<ChannelPrint> redLast =
                List.of(
                        prints.get(1),
                        prints.get(2),
                        new ChannelPrint(0, true, Ink.RED, Optional.of(Blend.NORMAL), 1));
        assertThat(join("rgb", redLast, Rejoin.by(Blend.ADD), 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0, 0}, within(1e-7));
        List<ChannelPrint> redFirst = List.of(redLast.get(2), redLast.get(0), redLast.get(1));
        assertThat(join("rgb", redFirst, Rejoin.by(Blend.ADD), 0.4, 0.8, 0.3))
                .containsExactly(new double[] {0.4, 0.8, 0.3}, within(1e-7));
    }

    @Test
    void colourDifferencesAreShownAroundGrey() {
        Separation model = Separations.named("ycbcr-709");
        ChannelKind cr = model.channels().get(2);
        List<Plane> neutral = ChannelRejoiner.picture(Plane.of(1, 1, 0f), cr, cr.ink(), workers);
        assertThat(neutral.stream().mapToDouble(p -> p.at(0, 0)).toArray())
                .containsExactly(0.5, 0.5, 0.5);
        List<Plane> full = ChannelRejoiner.picture(Plane.of(1, 1, 0.5f), cr, cr.ink(), workers);
        assertThat(full.get(0).at(0, 0)).isEqualTo(cr.ink().red());
    }

    @Test
    void noVisibleChannelIsBlack() {
        ChannelPrint hidden = new ChannelPrint(0, false, Ink.RED, Optional.empty(), 1);
        assertThat(join("rgb", List.of(hidden), Rejoin.by(Blend.ADD), 1, 1, 1))
                .containsExactly(0, 0, 0);
    }
}
