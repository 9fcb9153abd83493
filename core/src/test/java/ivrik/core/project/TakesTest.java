package ivrik.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.UnknownNameException;
import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Variants;
import ivrik.core.look.Variants.Variant;
import ivrik.core.motion.Rational;

import org.junit.jupiter.api.Test;

import java.util.List;

/** Variants of the looks on a layer. */
class TakesTest {
    private static final Look FRINGE = BuiltInLooks.named("chromatic-aberration");
    private static final Layer LAYER = Layer.of("l", "l", FRINGE);

    private static List<LayerLook> only(String look) {
        return List.of(new LayerLook("look-1", BuiltInLooks.named(look), true));
    }

    private static Project project(Layer layer) {
        return Project.empty("p").withLayers(List.of(Layer.of("under", "under", FRINGE), layer));
    }

    @Test
    void aTakeKeepsItsLooksUnderItsOwnNameAndId() {
        Layer kept = Takes.withTake(LAYER, Takes.nextName(LAYER), LAYER.looks());
        kept = Takes.withTake(kept, Takes.nextName(kept), only("crt"));
        kept = Takes.withTake(kept, "Take 2", only("videotape"));
        assertThat(kept.takes())
                .extracting(Take::name)
                .containsExactly("Take 1", "Take 2", "Take 2 2");
        assertThat(kept.takes()).extracting(Take::id).doesNotHaveDuplicates();
        assertThat(Takes.now(kept)).contains(kept.takes().getFirst());

        Layer laid = Takes.applied(kept, kept.takes().get(1));
        assertThat(laid.looks()).isEqualTo(only("crt"));
        assertThat(Takes.now(laid).orElseThrow().name()).isEqualTo("Take 2");
        assertThat(laid.takes()).isEqualTo(kept.takes());
    }

    @Test
    void takesAreFoundByNameAndMarkedTakesInOrder() {
        Layer kept = Takes.withTake(LAYER, "cold", only("crt"));
        kept = kept.withTakes(kept.takes().stream().map(t -> t.withMarkedForExport(true)).toList());
        Project project = project(Takes.withTake(kept, "warm", only("videotape")));
        assertThat(Takes.marked(project)).extracting(t -> t.take().name()).containsExactly("cold");
        Takes.OfLayer warm = Takes.named(project, "warm").getFirst();
        assertThat(warm.in(project).layer("l").orElseThrow().looks()).isEqualTo(only("videotape"));
        assertThat(warm.in(project).layer("under")).isEqualTo(project.layer("under"));
        assertThatThrownBy(() -> Takes.named(project, "hot"))
                .isInstanceOf(UnknownNameException.class)
                .hasMessageContaining("hot");
    }

    @Test
    void takesAreSavedAndRetimed() {
        Layer kept = Takes.withTake(LAYER, "cold", only("burst-split"));
        Project project =
                project(kept.withTakes(List.of(kept.takes().getFirst().withMarkedForExport(true))));
        ProjectJson.Reading read = ProjectJson.read(ProjectJson.write(project));
        assertThat(read.problems()).isEmpty();
        assertThat(read.project()).isEqualTo(project);

        Layer asLook = Layer.of("l", "l", BuiltInLooks.named("burst-split"));
        Layer slow = Retiming.at(project, Rational.of(12)).layers().getLast();
        Layer plainly = Retiming.at(project(asLook), Rational.of(12)).layers().getLast();
        assertThat(slow.takes().getFirst().looks()).isEqualTo(plainly.looks());
        assertThat(plainly.looks()).isNotEqualTo(asLook.looks());
    }

    @Test
    void variantsDifferBySeedOrTwoDials() {
        List<Variant> seeds = Variants.bySeed(BuiltInLooks.named("film-print"), 3);
        assertThat(seeds).extracting(Variant::name).containsExactly("Seed 1", "Seed 2", "Seed 3");
        assertThat(seeds).extracting(Variant::look).doesNotHaveDuplicates();

        Look look = BuiltInLooks.named("videotape");
        Dial across = look.dials().get(0);
        Dial down = look.dials().get(1);
        List<Variant> grid = Variants.byDials(look, across.name(), down.name(), 4, 3);
        assertThat(grid).hasSize(12);
        assertThat(grid.get(3).look().dial(across.name()).value().at(0)).isEqualTo(across.max());
        assertThat(grid.get(3).look().dial(down.name()).value().at(0)).isEqualTo(down.min());
        assertThat(grid.get(8).look().dial(down.name()).value().at(0)).isEqualTo(down.max());
        assertThat(grid.get(1).look().dial(across.name()).value().at(0))
                .isEqualTo(across.min() + (across.max() - across.min()) / 3);

        List<Variant> wide =
                Variants.byDials(BuiltInLooks.named("rgb-split"), "red-x", "shake", 5, 1);
        assertThat(wide)
                .extracting(v -> v.look().dial("red-x").value().at(0))
                .containsExactly(-50.0, -25.0, 0.0, 25.0, 50.0);
    }
}
