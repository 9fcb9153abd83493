package ivrik.core.render;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.PictureStepPlan;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.ValidRegion;
import ivrik.core.treatment.WorkingLight;

import java.util.List;

/**
 * Consecutive whole-picture treatments that work in linear light: an opaque picture is converted before the
 * first and converted back after the last.
 */
record LinearLightStage(List<PictureStepPlan> steps, Transfer transfer, AuxiliaryPictures auxiliary)
        implements Stage {
    /** Whether a step can be in this stage: a partial amount is mixed in gamma-encoded values. */
    static boolean takes(PictureStepPlan step) {
        return step.kind().description().is(Trait.LIGHT) && step.settings().amount() == 1;
    }

    private List<PictureStage> stages(Transfer theirs) {
        return steps.stream().map(step -> new PictureStage(step, theirs, auxiliary)).toList();
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
    public void take(PictureState state) {
        if (!state.isOpaque()) {
            along(stages(transfer), state);
            return;
        }
        state.settle();
        PictureState light = state.copy();
        light.set(
                WorkingLight.through(state.rows(), TransferTable.toLinear(transfer)),
                state.key().then(Transfer.LINEAR));
        along(stages(Transfer.LINEAR), light);
        state.set(
                WorkingLight.through(light.rows(), TransferTable.fromLinear(transfer)),
                light.key().then(transfer));
    }

    private static void along(List<PictureStage> stages, PictureState state) {
        for (Stage stage : stages) {
            stage.take(state);
        }
    }
}
