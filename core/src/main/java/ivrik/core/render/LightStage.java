package ivrik.core.render;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.treatment.Light;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.ValidRegion;

import java.util.List;

/**
 * Treatments of the whole picture that follow each other and do all their work in linear light: an opaque
 * picture goes there before the first of them and comes back after the last.
 */
record LightStage(List<PictureStepPlan> steps, Transfer transfer, Supplies supplies)
        implements Stage {
    /** Whether a step may be one of these: what is mixed with what was there is mixed as it is delivered. */
    static boolean takes(PictureStepPlan step) {
        return step.kind().description().is(Trait.LIGHT) && step.settings().amount() == 1;
    }

    private List<PictureStage> stages(Transfer theirs) {
        return steps.stream().map(step -> new PictureStage(step, theirs, supplies)).toList();
    }

    @Override
    public boolean isNeutral() {
        return stages(transfer).stream().allMatch(Stage::isNeutral);
    }

    @Override
    public Object key() {
        return List.of(steps, transfer);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        ValidRegion covered = before;
        for (Stage stage : stages(transfer)) {
            covered = stage.covered(covered, size);
        }
        return covered;
    }

    @Override
    public void take(Passage passage) {
        if (!passage.isOpaque()) {
            along(stages(transfer), passage);
            return;
        }
        passage.settle();
        Passage light = passage.copy();
        light.set(
                Light.through(passage.rows(), TransferTable.toLinear(transfer)),
                passage.key().then(Transfer.LINEAR));
        along(stages(Transfer.LINEAR), light);
        passage.set(
                Light.through(light.rows(), TransferTable.fromLinear(transfer)),
                light.key().then(transfer));
    }

    private static void along(List<PictureStage> stages, Passage passage) {
        for (Stage stage : stages) {
            stage.take(passage);
        }
    }
}
