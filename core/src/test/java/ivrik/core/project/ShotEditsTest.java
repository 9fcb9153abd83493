package ivrik.core.project;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;

/** Three shots in a sequence of 24 fps: two of a 24 fps movie, one of a 48 fps movie. */
class ShotEditsTest {
    private static final Size SIZE = new Size(64, 36);

    private static Source movie(String id, int rate) {
        return new Source(
                id, id, id + ".mkv", Source.Kind.MOVIE, SIZE, Rational.of(rate), 200, false);
    }

    private static final Clip A = new Clip("a", "slow", 0, 40, 10);
    private static final Clip B = new Clip("b", "fast", 40, 20, 30);
    private static final Clip C = new Clip("c", "slow", 60, 30, 100);

    private static final Layer LAYER = Layer.of("l", "l", BuiltInLooks.named("neutral"), A, B, C);
    private static final Project PROJECT =
            new Project(
                    "p",
                    new Sequence(SIZE, Rational.of(24)),
                    List.of(movie("slow", 24), movie("fast", 48)),
                    List.of(LAYER),
                    List.of(),
                    Optional.empty());

    private static final ShotEdits SHOTS = new ShotEdits(PROJECT, LAYER);

    /** The source and source frame that a layer shows at a frame. */
    private static String shown(Layer layer, long frame) {
        return layer.clipAt(frame)
                .map(
                        c ->
                                c.source()
                                        + c.sourceFrame(
                                                frame,
                                                PROJECT.source(c.source()).orElseThrow(),
                                                PROJECT.sequence().rate()))
                .orElse("nothing");
    }

    private static void assertSame(Layer layer, long from, long to) {
        for (long f = from; f < to; f++) {
            assertThat(shown(layer, f)).as("frame %d", f).isEqualTo(shown(LAYER, f));
        }
    }

    @Property
    void aSplitChangesNoFrame(@ForAll @IntRange(max = 95) int frame) {
        Layer split = SHOTS.split(frame);
        assertSame(split, 0, 95);
        boolean inside = frame < 90 && frame != 0 && frame != 40 && frame != 60;
        assertThat(split.clips()).hasSize(inside ? 4 : 3);
    }

    @Test
    void theFirstPartOfASplitKeepsItsIdAndTheSecondGetsAnother() {
        Layer split = SHOTS.split(50);
        assertThat(split.clips()).extracting(Clip::id).startsWith("a", "b").doesNotHaveDuplicates();
        assertThat(split.clips().get(1)).isEqualTo(B.withLength(10));
        assertThat(split.clips().get(2).in()).as("twice as fast").isEqualTo(50);
    }

    @Property
    void aMovedCutKeepsTheFramesOfBothShots(@ForAll @IntRange(min = 2, max = 58) int cut) {
        Layer moved = SHOTS.beginning("b", cut);
        Clip b = moved.clips().get(1);
        long to = Math.max(cut, 25); // its source has 30 earlier frames, which are 15 frames of the
        // sequence
        assertThat(b.start()).isEqualTo(to);
        assertThat(moved.clips().get(0).end()).isEqualTo(to);
        assertSame(moved, 0, Math.min(to, 40));
        assertSame(moved, Math.max(to, 40), 90);
        assertThat(SHOTS.ending("a", cut - 1)).isEqualTo(moved);
    }

    @Test
    void everyShotKeepsAtLeastOneFrame() {
        assertThat(SHOTS.beginning("c", 5).clips().get(1).length()).isEqualTo(1);
        assertThat(SHOTS.beginning("c", 500).clips().get(2).length()).isEqualTo(1);
        assertThat(SHOTS.ending("c", -5).clips().get(2).length()).isEqualTo(1);
        assertThat(SHOTS.ending("c", 99).clips().get(2).length()).isEqualTo(40);
    }

    @Test
    void aRemovedShotLeavesOrClosesItsGap() {
        Layer gap = SHOTS.without("b", false);
        assertSame(gap, 0, 40);
        assertThat(shown(gap, 45)).isEqualTo("nothing");
        assertSame(gap, 60, 90);
        Layer closed = SHOTS.without("b", true);
        assertThat(closed.clips()).containsExactly(A, C.withStart(40));
        assertThat(closed.cuts()).containsExactly(java.util.Map.entry("c", 40L));
    }

    @Test
    void theLastShotIsNotRemoved() {
        Layer one = LAYER.withClips(List.of(A));
        assertThat(new ShotEdits(PROJECT, one).without("a", true)).isEqualTo(one);
    }

    @Test
    void aSlippedShotKeepsItsPlaceAndStaysInsideItsSource() {
        assertThat(SHOTS.slipped("b", 7).clips().get(1)).isEqualTo(B.withIn(37));
        assertThat(SHOTS.slipped("b", -99).clips().get(1)).isEqualTo(B.withIn(0));
        assertThat(SHOTS.slipped("b", 999).clips().get(1)).isEqualTo(B.withIn(199));
    }

    @Test
    void shotsAreSwapped() {
        assertThat(SHOTS.reordered("a", true).clips())
                .containsExactly(A.withStart(20), B.withStart(0), C);
        assertThat(SHOTS.reordered("b", false)).isEqualTo(SHOTS.reordered("a", true));
        assertThat(SHOTS.reordered("a", false)).isEqualTo(LAYER);
        assertThat(SHOTS.reordered("c", true)).isEqualTo(LAYER);
    }

    @Test
    void editsSnapToCutsEndsAndMarkers() {
        Project marked = PROJECT.withMarkers(List.of(new Marker(13, "")));
        assertThat(ShotEdits.catches(marked)).containsExactly(0L, 13L, 40L, 60L, 90L);
    }

    @Test
    void aDraggedShotIsInsertedByItsMiddle() {
        Layer last = SHOTS.moved("a", 60);
        assertThat(last.clips())
                .extracting(Clip::id, Clip::start)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple("b", 0L),
                        org.assertj.core.groups.Tuple.tuple("c", 20L),
                        org.assertj.core.groups.Tuple.tuple("a", 50L));
        assertThat(SHOTS.moved("c", -10).clips().stream().filter(c -> c.id().equals("c")))
                .extracting(Clip::start)
                .containsExactly(0L);
        assertThat(SHOTS.moved("b", 44).cuts()).isEqualTo(LAYER.cuts());
    }

    @Property
    void aMovedShotKeepsTheRowContiguous(
            @ForAll @IntRange(min = -50, max = 150) int to, @ForAll @IntRange(max = 2) int which) {
        String id = List.of("a", "b", "c").get(which);
        Layer moved = SHOTS.moved(id, to);
        assertThat(moved.end()).isEqualTo(LAYER.end());
        for (Clip clip : moved.clips()) {
            Clip before =
                    LAYER.clips().stream()
                            .filter(c -> c.id().equals(clip.id()))
                            .findFirst()
                            .orElseThrow();
            assertThat(clip.withStart(before.start())).isEqualTo(before);
        }
        for (long f = 0; f < 90; f++) {
            assertThat(moved.clipAt(f)).isPresent();
        }
    }

    @Test
    void aSingleShotMovesIntoFreeSpace() {
        Layer apart = LAYER.withClips(List.of(A, C.withStart(100)));
        ShotEdits shots = new ShotEdits(PROJECT, apart);
        assertThat(shots.moved("a", 55).clips().getFirst().start()).isEqualTo(55);
        assertThat(shots.moved("a", -5).clips().getFirst().start()).isZero();
        assertThat(shots.moved("a", 70)).as("another item appears").isEqualTo(apart);
    }
}
