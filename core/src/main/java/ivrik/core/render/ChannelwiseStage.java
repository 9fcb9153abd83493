package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.ChannelPrint;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.ChannelKind;
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
 * Channel treatments applied to all colour channels in the same way. An opaque picture that is shifted with transparent
 * edges becomes transparent there.
 */
record ChannelwiseStage(List<StepPlan> steps, LookPlan look, AuxiliaryPictures auxiliary)
        implements Stage {
    private static final Separation CHANNELS = new Rgb();

    private List<ChannelWork> works() {
        return ChannelWork.of(steps, 0);
    }

    @Override
    public boolean isNeutral() {
        return false; // steps without effect are not planned
    }

    @Override
    public Object key() {
        return steps;
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        ValidRegion covered = before;
        for (ChannelWork work : works()) {
            covered = work.covered(covered, size);
        }
        return covered;
    }

    @Override
    public void take(PictureState state) {
        RenderContext renderContext = state.renderContext();
        if (state.isOpaque() && steps.stream().allMatch(ChannelwiseStage::isByRow)) {
            state.settle();
            state.set(byRow(state.rows(), renderContext), state.key().then(key()));
            return;
        }
        Optional<ChannelCoverage> coverage = state.channelCoverage();
        if (state.isOpaque() && uncovers()) {
            Frame frame = state.frame().covered(state.renderContext().workers());
            CacheKey key = state.key().then("covered");
            state.set(frame, key);
        }
        new Pipeline(channels(), auxiliary).rejoin(state);
        state.setChannelCoverage(
                coverage.map(p -> p.map(plane -> coverage(plane, state.renderContext()))));
    }

    private static boolean isByRow(StepPlan step) {
        return step.kind() instanceof RowTreatment
                && step.channels().stream().allMatch(s -> s == null || s.amount() == 1);
    }

    /** Treats each row on request, without intermediate planes. */
    private ColourRows byRow(ColourRows rows, RenderContext renderContext) {
        Size size = new Size(rows.width(), rows.height());
        ColourRows done = rows;
        for (StepPlan step : steps) {
            List<Optional<Supplier<RowTreatment.Work>>> channels = new ArrayList<>();
            for (int channel = 0; channel < CHANNELS.channels().size(); channel++) {
                ChannelWork work = new ChannelWork(channel, List.of(step));
                channels.add(work.byRow(size, CHANNELS, renderContext, auxiliary));
            }
            done = RowTreatment.on(done, channels);
        }
        return done;
    }

    private boolean uncovers() {
        return works().stream()
                .filter(ChannelWork::spreads)
                .flatMap(work -> work.steps().stream())
                .anyMatch(step -> step.channels().getFirst().edgeFill() == EdgeFill.EMPTY);
    }

    private Plane coverage(Plane plane, RenderContext renderContext) {
        Plane done = plane;
        for (ChannelWork work : works()) {
            if (work.spreads()) {
                done = work.on(done, CHANNELS, renderContext, auxiliary);
            }
        }
        return done;
    }

    private LookPlan channels() {
        List<ChannelKind> kinds = CHANNELS.channels();
        List<ChannelPrint> prints =
                IntStream.range(0, kinds.size())
                        .mapToObj(channel -> ChannelPrint.plain(channel, kinds.get(channel)))
                        .toList();
        return new LookPlan(
                CHANNELS.id(),
                look.colour(),
                List.of(),
                prints,
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
