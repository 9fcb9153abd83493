package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Plate;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separation;
import ivrik.core.treatment.RowTreatment;
import ivrik.core.treatment.ValidRegion;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * Treatments of lanes done to all channels of the picture alike, so to the picture as a whole. Where a
 * picture that covers all is moved and nothing is to lie outside it, it does not cover all any more.
 */
record ChannelStage(List<StepPlan> steps, LookPlan look, Supplies supplies) implements Stage {
    private static final Separation CHANNELS = new Rgb();

    private List<LaneWork> works() {
        return LaneWork.of(steps, 0);
    }

    @Override
    public boolean isNeutral() {
        return false; // steps that change nothing are not planned
    }

    @Override
    public Object key() {
        return steps;
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        ValidRegion covered = before;
        for (LaneWork work : works()) {
            covered = work.covered(covered, size);
        }
        return covered;
    }

    @Override
    public void take(Passage passage) {
        Site site = passage.site();
        if (passage.isOpaque() && steps.stream().allMatch(ChannelStage::isByRow)) {
            passage.settle();
            passage.set(byRow(passage.rows(), site), passage.key().then(key()));
            return;
        }
        Optional<Parting> parting = passage.parting();
        if (passage.isOpaque() && uncovers()) {
            Frame frame = passage.frame().covered(passage.site().workers());
            Key key = passage.key().then("covered");
            passage.set(frame, key);
        }
        new Road(channels(), supplies).rejoin(passage);
        passage.setParting(parting.map(p -> p.map(plane -> coverage(plane, passage.site()))));
    }

    private static boolean isByRow(StepPlan step) {
        return step.kind() instanceof RowTreatment
                && step.lanes().stream().allMatch(s -> s == null || s.amount() == 1);
    }

    /** Each row is treated as it comes; no planes are made of what came before. */
    private ColourRows byRow(ColourRows rows, Site site) {
        Size size = new Size(rows.width(), rows.height());
        ColourRows done = rows;
        for (StepPlan step : steps) {
            List<Optional<Supplier<RowTreatment.Work>>> channels = new ArrayList<>();
            for (int lane = 0; lane < CHANNELS.lanes().size(); lane++) {
                LaneWork work = new LaneWork(lane, List.of(step));
                channels.add(work.byRow(size, CHANNELS, site, supplies));
            }
            done = RowTreatment.on(done, channels);
        }
        return done;
    }

    private boolean uncovers() {
        return works().stream()
                .filter(LaneWork::spreads)
                .flatMap(work -> work.steps().stream())
                .anyMatch(step -> step.lanes().getFirst().edgeFill() == EdgeFill.EMPTY);
    }

    private Plane coverage(Plane plane, Site site) {
        Plane done = plane;
        for (LaneWork work : works()) {
            if (work.spreads()) {
                done = work.on(done, CHANNELS, site, supplies);
            }
        }
        return done;
    }

    private LookPlan channels() {
        List<LaneKind> kinds = CHANNELS.lanes();
        List<Plate> plates =
                IntStream.range(0, kinds.size())
                        .mapToObj(lane -> Plate.plain(lane, kinds.get(lane)))
                        .toList();
        return new LookPlan(
                CHANNELS.id(),
                look.colour(),
                List.of(),
                plates,
                Collections.nCopies(kinds.size(), null),
                steps,
                Rejoin.EXACT,
                Blend.NORMAL,
                1,
                Optional.empty(),
                1,
                List.of(),
                List.of(),
                List.of());
    }
}
