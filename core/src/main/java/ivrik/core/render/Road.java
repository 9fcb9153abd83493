package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.treatment.ValidRegion;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.IntStream;

/**
 * The road of one look at one moment, as stages: {@code prepare -> separate -> treat each lane -> rejoin ->
 * onto -> finish}. Those that change nothing are not on it.
 */
final class Road {
    private final LookPlan look;
    private final Supplies supplies;
    private final List<Stage> prepare;
    private final List<Stage> after;

    Road(LookPlan look, Supplies supplies) {
        this.look = look;
        this.supplies = supplies;
        prepare = pictures(look.prepare());
        after = new ArrayList<>();
        after.add(new Enlarge(look.overscan()));
        after.addAll(pictures(look.finish()));
        after.removeIf(Stage::isNeutral);
    }

    /** Treatments of lanes that follow each other are one stage, so that all their moves are one mapping. */
    private List<Stage> pictures(List<PictureStepPlan> steps) {
        List<Stage> stages = new ArrayList<>();
        List<StepPlan> byChannel = new ArrayList<>();
        for (PictureStepPlan step : steps) {
            if (step.isOfLanes()) {
                byChannel.add(step.byChannel());
                continue;
            }
            channels(byChannel, stages);
            stages.add(new PictureStage(step, look.colour(), supplies));
        }
        channels(byChannel, stages);
        stages.removeIf(Stage::isNeutral);
        return stages;
    }

    private void channels(List<StepPlan> steps, List<Stage> into) {
        if (!steps.isEmpty()) {
            into.add(new ChannelStage(List.copyOf(steps), look, supplies));
            steps.clear();
        }
    }

    /** Takes a picture all the way, at each moment that the look's shutter sees. */
    void take(Passage passage) {
        if (!look.moments().isEmpty()) {
            MotionBlur.take(passage, look, supplies);
            return;
        }
        prepare(passage);
        if (look.treatsLanes()) {
            new LayOn(look, supplies, inner()).take(passage);
        }
        along(after, passage);
    }

    /** Takes a picture to where it is to be separated. */
    void prepare(Passage passage) {
        along(prepare, passage);
    }

    /** Separates, treats and rejoins a picture that is prepared, without any short cut. */
    void rejoin(Passage passage) {
        along(inner(), passage);
    }

    /** Separates and treats all lanes of a picture that is prepared. */
    Lanes separate(Passage passage) {
        List<Stage> stages = new ArrayList<>(treats());
        int lanes = look.feeds().size();
        stages.addFirst(
                new Separate(
                        look, supplies, IntStream.range(0, lanes).mapToObj(i -> true).toList()));
        along(stages, passage);
        return passage.lanes();
    }

    private List<Stage> treats() {
        return IntStream.range(0, look.feeds().size())
                .mapToObj(i -> Treat.of(look, i, supplies))
                .filter(t -> !t.isNeutral())
                .<Stage>map(t -> t)
                .toList();
    }

    private List<Stage> inner() {
        boolean all = !Join.isStraight(look);
        List<Boolean> wanted =
                IntStream.range(0, look.feeds().size())
                        .mapToObj(i -> all || !Treat.of(look, i, supplies).isNeutral())
                        .toList();
        List<Stage> stages = new ArrayList<>();
        stages.add(new Separate(look, supplies, wanted));
        stages.addAll(treats());
        stages.add(new Join(look));
        return stages;
    }

    private static void along(List<Stage> stages, Passage passage) {
        for (Stage stage : stages) {
            passage.site().cancel().check();
            stage.take(passage);
        }
    }

    /**
     * What of the picture nothing from outside has reached, in every lane that is seen.
     *
     * @param ofLane what a lane's treatment leaves of it
     */
    static ValidRegion covered(
            LookPlan look, Size size, BiFunction<Treat, ValidRegion, ValidRegion> ofLane) {
        ValidRegion always = ValidRegion.all(size);
        for (LookPlan moment : look.moments()) {
            always = always.and(covered(moment, size, ofLane));
        }
        Road road = new Road(look, Supplies.NONE);
        ValidRegion covered = ValidRegion.all(size);
        for (Stage stage : road.prepare) {
            covered = stage.covered(covered, size);
        }
        ValidRegion all = covered;
        for (var plate : look.plates()) {
            if (plate.shown()) {
                all = all.and(ofLane.apply(Treat.of(look, plate.lane(), Supplies.NONE), covered));
            }
        }
        return all.and(always);
    }
}
