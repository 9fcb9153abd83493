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
 * The stages of one look at one moment:
 * {@code prepare -> separate -> treat each channel -> rejoin -> blend -> finish}. Stages without effect are
 * left out.
 */
final class Pipeline {
    private final LookPlan look;
    private final AuxiliaryPictures auxiliary;
    private final List<Stage> prepare;
    private final List<Stage> after;

    Pipeline(LookPlan look, AuxiliaryPictures auxiliary) {
        this.look = look;
        this.auxiliary = auxiliary;
        prepare = pictures(look.prepare());
        after = new ArrayList<>();
        after.add(new OverscanStage(look.overscan()));
        after.addAll(pictures(look.finish()));
        after.removeIf(Stage::isNeutral);
    }

    /** Merges consecutive steps that can be computed together into one stage. */
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

    /** Mappings of all channels are composed; conversion to linear light happens once. */
    private static boolean goTogether(PictureStepPlan step, PictureStepPlan next) {
        return step.isOfChannels() && next.isOfChannels()
                || LinearLightStage.takes(step) && LinearLightStage.takes(next);
    }

    private Stage stage(List<PictureStepPlan> steps) {
        PictureStepPlan first = steps.getFirst();
        if (first.isOfChannels()) {
            List<StepPlan> byChannel = steps.stream().map(PictureStepPlan::byChannel).toList();
            return new ChannelwiseStage(byChannel, look, auxiliary);
        }
        Transfer transfer = look.colour().transfer();
        return steps.size() == 1
                ? new PictureStage(first, transfer, auxiliary)
                : new LinearLightStage(steps, transfer, auxiliary);
    }

    /** Runs the whole pipeline, at each instant of the look's shutter. */
    void take(PictureState state) {
        if (!look.moments().isEmpty()) {
            MotionBlur.take(state, look, auxiliary);
            return;
        }
        prepare(state);
        if (look.treatsChannels()) {
            new BlendStage(look, auxiliary, inner()).take(state);
        }
        along(after, state);
    }

    /** Runs the stages before separation. */
    void prepare(PictureState state) {
        along(prepare, state);
    }

    /** Separates, treats and rejoins a prepared picture without any shortcut. */
    void rejoin(PictureState state) {
        along(inner(), state);
    }

    /** Separates a prepared picture and treats all channels. */
    Channels separate(PictureState state) {
        List<Stage> stages = new ArrayList<>(treats());
        int channels = look.channelSources().size();
        stages.addFirst(
                new SeparateStage(
                        look,
                        auxiliary,
                        IntStream.range(0, channels).mapToObj(i -> true).toList()));
        along(stages, state);
        return state.channels();
    }

    private List<Stage> treats() {
        return IntStream.range(0, look.channelSources().size())
                .mapToObj(i -> ChannelStage.of(look, i, auxiliary))
                .filter(t -> !t.isNeutral())
                .<Stage>map(t -> t)
                .toList();
    }

    private List<Stage> inner() {
        boolean all = !RejoinStage.isStraight(look);
        List<Boolean> wanted =
                IntStream.range(0, look.channelSources().size())
                        .mapToObj(i -> all || !ChannelStage.of(look, i, auxiliary).isNeutral())
                        .toList();
        List<Stage> stages = new ArrayList<>();
        stages.add(new SeparateStage(look, auxiliary, wanted));
        stages.addAll(treats());
        stages.add(new RejoinStage(look));
        return stages;
    }

    private static void along(List<Stage> stages, PictureState state) {
        for (Stage stage : stages) {
            state.renderContext().cancel().check();
            stage.take(state);
        }
    }

    /**
     * The part of the picture that nothing from outside has reached, in every visible channel.
     *
     * @param ofChannel the part that remains after a channel's treatments
     */
    static ValidRegion covered(
            LookPlan look,
            Size size,
            BiFunction<ChannelStage, ValidRegion, ValidRegion> ofChannel) {
        ValidRegion always = ValidRegion.all(size);
        for (LookPlan moment : look.moments()) {
            always = always.and(covered(moment, size, ofChannel));
        }
        Pipeline pipeline = new Pipeline(look, AuxiliaryPictures.NONE);
        ValidRegion covered = ValidRegion.all(size);
        for (Stage stage : pipeline.prepare) {
            covered = stage.covered(covered, size);
        }
        ValidRegion all = covered;
        for (var print : look.prints()) {
            if (print.visible()) {
                all =
                        all.and(
                                ofChannel.apply(
                                        ChannelStage.of(
                                                look, print.channel(), AuxiliaryPictures.NONE),
                                        covered));
            }
        }
        return all.and(always);
    }
}
