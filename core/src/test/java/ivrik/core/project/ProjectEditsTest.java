package ivrik.core.project;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.project.Source.Kind;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;

class ProjectEditsTest {
    private static final Size HD = new Size(1280, 720);

    private static Source movie(String id, long frames, int rate) {
        return new Source(id, id, "/films/" + id, Kind.MOVIE, HD, Rational.of(rate), frames, false);
    }

    private static Source title(String id) {
        return Source.of(id, Title.EMPTY.withText("QUILLHAVEN"), HD);
    }

    private final Project empty = Project.empty("empty");
    private final Project one = ProjectEdits.putOn(empty, movie("tram", 100, 24));

    private static List<String> ids(Project project) {
        return project.layers().stream().map(Layer::id).toList();
    }

    @Test
    void theFirstSourceDecidesSizeAndRate() {
        assertThat(one.sequence().size()).isEqualTo(HD);
        assertThat(one.sequence().rate()).isEqualTo(Rational.of(24));
        assertThat(one.frames()).isEqualTo(100);
        assertThat(one.layers().getFirst().clips())
                .containsExactly(new Clip("clip-1", "tram", 0, 100, 0));
    }

    @Test
    void theNextClipBecomesAShotOfEqualSeconds() {
        Project two = ProjectEdits.putOn(one, movie("street", 90, 30));
        assertThat(ids(two)).containsExactly("shots");
        assertThat(two.layers().getFirst().clips())
                .containsExactly(
                        new Clip("clip-1", "tram", 0, 100, 0),
                        new Clip("clip-2", "street", 100, 72, 0));
        assertThat(two.cuts()).containsExactly(100L);
    }

    @Test
    void overlaysLastToTheEndAndUnderlaysAreLowest() {
        Project titled = ProjectEdits.over(one, title("title"), 40);
        assertThat(ids(titled)).containsExactly("shots", "title");
        assertThat(titled.layers().getLast().clips())
                .containsExactly(new Clip("clip-1", "title", 40, 60, 0));
        Project grounded =
                ProjectEdits.under(titled, Source.solid("title", Title.EMPTY.colour(), HD));
        assertThat(ids(grounded)).containsExactly("title 2", "shots", "title");
        assertThat(grounded.layers().getFirst().clips())
                .containsExactly(new Clip("clip-1", "title", 0, 100, 0));
    }

    @Test
    void aFirstStillLastsFourSeconds() {
        Project only = ProjectEdits.over(empty, title("title"), 0);
        assertThat(only.frames()).isEqualTo(Math.round(4 * empty.sequence().rate().toDouble()));
        assertThat(ProjectEdits.end(only)).isEqualTo(only.frames());
    }

    @Test
    void removingASourceRemovesItsClipsAndEmptyLayers() {
        Project all =
                ProjectEdits.over(
                        ProjectEdits.putOn(one, movie("street", 48, 24)), movie("fog", 24, 24), 0);
        assertThat(ids(all)).containsExactly("shots", "fog");
        Project without = ProjectEdits.without(all, movie("fog", 24, 24));
        assertThat(ids(without)).containsExactly("shots");
        assertThat(without.source("fog")).isEmpty();
        Project cut = ProjectEdits.without(without, movie("tram", 100, 24));
        assertThat(cut.layers().getFirst().clips())
                .containsExactly(new Clip("clip-2", "street", 100, 48, 0));
    }

    @Test
    void newIdsAreUnused() {
        assertThat(ProjectEdits.freeSourceId(one, "fog")).isEqualTo("fog");
        assertThat(ProjectEdits.freeSourceId(one, "tram")).isEqualTo("tram 2");
        assertThat(ProjectEdits.freeSourceId(one.withSource(movie("tram 2", 3, 24)), "tram"))
                .isEqualTo("tram 3");
    }

    @Test
    void layersAndLooksAreReorderedAndRemoved() {
        Project two = ProjectEdits.over(one, title("title"), 0);
        assertThat(ids(ProjectEdits.swapped(two, 0, 1))).containsExactly("title", "shots");
        assertThat(ids(ProjectEdits.withoutLayer(two, "shots"))).containsExactly("title");
        Layer layer = two.layers().getFirst();
        Layer more = ProjectEdits.withNewLook(layer, "fresh", 0);
        assertThat(more.looks()).extracting(LayerLook::id).containsExactly("look-1", "fresh");
        assertThat(more.looks().getLast().on()).isTrue();
        assertThat(ProjectEdits.withLooksSwapped(more, 0, 1).looks())
                .extracting(LayerLook::id)
                .containsExactly("fresh", "look-1");
        assertThat(ProjectEdits.withoutLook(more, 0).looks())
                .extracting(LayerLook::id)
                .containsExactly("fresh");
        assertThat(layer.looks()).hasSize(1);
    }

    @Test
    void aRangeNeverEndsBeforeItBegins() {
        Project played = one.withPlayRange(Optional.of(new FrameRange(20, 60)));
        assertThat(ProjectEdits.played(played, 30, true)).isEqualTo(new FrameRange(30, 60));
        assertThat(ProjectEdits.played(played, 70, true)).isEqualTo(new FrameRange(70, 70));
        assertThat(ProjectEdits.played(played, 50, false)).isEqualTo(new FrameRange(20, 50));
        assertThat(ProjectEdits.played(played, 10, false)).isEqualTo(new FrameRange(10, 10));
    }

    @Test
    void aShotThatStartsBeforeTheSequenceIsTrimmed() {
        Look look = BuiltInLooks.named("neutral");
        assertThat(Layer.of("l", "l", look, new Clip("a", -5, 20, 0)).range())
                .isEqualTo(new FrameRange(0, 14));
        assertThat(Layer.of("l", "l", look, new Clip("a", -50, 20, 0)).range())
                .isEqualTo(new FrameRange(0, 0));
    }
}
