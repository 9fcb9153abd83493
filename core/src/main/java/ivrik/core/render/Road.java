package ivrik.core.render;

import ivrik.core.colour.Transfer;
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

    /** Steps that follow each other and can be done together are one stage. */
    private List<Stage> pictures(List<PictureStepPlan> steps) {
        List<Stage> stages = new ArrayList<>();
        List<PictureStepPlan> together = new ArrayList<>();
        for (PictureStepPlan step : steps) {
            if (!together.isEmpty() && !goTogether(together.getLast(), step)) {
                stages.add(stage(List.copyOf(together)));
                together.clear();
            }
            together.add(step);
        }
        if (!together.isEmpty()) {
            stages.add(stage(List.copyOf(together)));
        }
        stages.removeIf(Stage::isNeutral);
        return stages;
    }

    /** Moves of all channels are one mapping; to linear light a picture goes once. */
    private static boolean goTogether(PictureStepPlan step, PictureStepPlan next) {
        return step.isOfLanes() && next.isOfLanes()
                || LightStage.takes(step) && LightStage.takes(next);
    }

    private Stage stage(List<PictureStepPlan> steps) {
        PictureStepPlan first = steps.getFirst();
        if (first.isOfLanes()) {
            List<StepPlan> byChannel = steps.stream().map(PictureStepPlan::byChannel).toList();
            return new ChannelStage(byChannel, look, supplies);
        }
        Transfer transfer = look.colour().transfer();
        return steps.size() == 1
                ? new PictureStage(first, transfer, supplies)
                : new LightStage(steps, transfer, supplies);
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
