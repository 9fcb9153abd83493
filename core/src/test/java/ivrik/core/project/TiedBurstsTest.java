package ivrik.core.project;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.Burst;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.separation.Separations;

import org.junit.jupiter.api.Test;

import java.util.List;

class TiedBurstsTest {
    private static final Anchor CUT = new Anchor.AtCut("clip-2");
    private static final Burst SPLIT =
            Burst.of("split", CUT, 3).withEnvelope(PeakEnvelope.even(4, 2)).withTied(true);
    private static final Burst SWIPE =
            Burst.of("swipe", CUT, 3)
                    .withEnvelope(new TransitionEnvelope(8, 8, Ease.SMOOTH, false));

    private static Look look(Burst burst) {
        return Look.atRest("look", Separations.named("rgb")).withBurst(burst);
    }

    /** A layer with the split in its first look and the swipe in its second. */
    private static Layer layer() {
        return Layer.of("layer", "layer", look(SPLIT))
                .withLooks(
                        List.of(
                                new LayerLook("look-1", look(SPLIT), true),
                                new LayerLook("look-2", look(SWIPE), true)));
    }

    private static Layer edited(Layer layer, int look, String id, int frames) {
        Layer after =
                layer.withLook(
                        look, l -> l.withBurst(id, b -> BurstEdits.stretched(b, false, frames)));
        return TiedBursts.following(layer, after);
    }

    private static Burst burst(Layer layer, int look) {
        return layer.looks().get(look).look().bursts().getFirst();
    }

    @Test
    void aBurstThatIsTiedTakesTheLengthOfTheOthersAndThenFollows() {
        Layer apart = layer();
        Layer after = apart.withLook(1, l -> l.withBurst("swipe", b -> b.withTied(true)));
        Layer tied = TiedBursts.following(apart, after);
        assertThat(burst(tied, 1).framesBefore()).isEqualTo(5);
        assertThat(burst(tied, 0)).isEqualTo(SPLIT);
        Layer longer = edited(tied, 0, "split", 12);
        assertThat(burst(longer, 0).framesBefore()).isEqualTo(12);
        assertThat(burst(longer, 1).framesBefore()).isEqualTo(12);
        assertThat(burst(longer, 1).framesAfter()).isEqualTo(12);
        assertThat(burst(edited(longer, 1, "swipe", 7), 0).framesAfter()).isEqualTo(7);
    }

    @Test
    void untiedBurstsAndOtherAnchorsKeepTheirLength() {
        assertThat(burst(edited(layer(), 0, "split", 12), 1)).isEqualTo(SWIPE);
        Burst elsewhere = SWIPE.withTied(true).withAnchor(new Anchor.AtFrame(3));
        Layer other = layer().withLook(1, l -> l.withBurst(elsewhere));
        assertThat(burst(edited(other, 0, "split", 12), 1)).isEqualTo(elsewhere);
    }
}
