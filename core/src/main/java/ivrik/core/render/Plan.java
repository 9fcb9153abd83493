package ivrik.core.render;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.ColourTable;
import ivrik.core.look.Place;
import ivrik.core.look.Slit;
import ivrik.core.picture.Size;
import ivrik.core.project.Ground;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Plate;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.LaneTreatment;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * All that one frame depends on, as plain numbers without time. Two equal plans have the same
 * pixels, so a plan is also the key under which its frame is cached: an edit that does not touch a
 * frame leaves its plan equal.
 *
 * @param size of the sequence, full size
 * @param ground what lies beneath all layers
 * @param layers those visible here, from the lowest up
 */
public record Plan(Size size, Ground ground, List<LayerPlan> layers) {
    /** The layers below one of them. */
    List<LayerPlan> beneath(LayerPlan layer) {
        return layers.stream().takeWhile(l -> !l.id().equals(layer.id())).toList();
    }

    /** What a lane can be taken from. */
    public sealed interface Seen {}

    /** What lies beneath a span at another time. */
    public record Beneath(List<LayerPlan> layers) implements Seen {}

    /** A frame of a source, brought to the colours of the sequence. */
    public record Picture(Source source, long frame, ColourSpace colour) implements Seen {
        public Picture(Source source, long frame) {
            this(source, frame, ColourSpace.SRGB);
        }
    }

    /** Where a picture lies, at one moment; lengths in pixels of the sequence. */
    public record PlacePlan(
            Place.Fit fit,
            double x,
            double y,
            double scale,
            double angleDegrees,
            boolean flipX,
            boolean flipY) {
        static final PlacePlan FITTED = new PlacePlan(Place.Fit.FIT, 0, 0, 1, 0, false, false);

        /** Fitted into the middle, upright. */
        public boolean isPlain() {
            return fit == Place.Fit.FIT
                    && x == 0
                    && y == 0
                    && scale == 1
                    && angleDegrees == 0
                    && !flipX
                    && !flipY;
        }
    }

    /**
     * One layer: its picture, what is done to it, and how it lies on those beneath.
     *
     * @param id of the layer
     * @param picture empty for a span: what lies beneath
     * @param looks all of them; those not in use change nothing
     */
    public record LayerPlan(
            String id,
            Optional<Picture> picture,
            PlacePlan place,
            List<LookPlan> looks,
            Blend blend,
            double opacity) {
        public boolean isNeutral() {
            return looks.stream().allMatch(LookPlan::isNeutral);
        }
    }

    /**
     * Another picture for one lane; none where there is nothing to be seen.
     *
     * @param slit where its time changes across the picture; then that says which pictures it is made of
     * @param trail what of earlier frames is still there; not where there is a slit
     */
    public record FeedPlan(
            Optional<Seen> picture,
            PlacePlan place,
            Optional<SlitPlan> slit,
            Optional<TrailPlan> trail) {}

    /**
     * Earlier frames that linger.
     *
     * @param keep how much of a value is left a frame later, 0..1
     * @param before the pictures of the frames before, the last one first
     */
    public record TrailPlan(double keep, List<Optional<Seen>> before) {}

    /**
     * A lane that is made of several frames, each where it is due. At the near end it is {@code delay}
     * frames behind and cuts {@code cut} frames later; at the far end by {@code delayAcross} and {@code
     * wipe} more.
     *
     * @param gradient the picture whose brightness says where a pixel lies, if one does
     */
    public record SlitPlan(
            Slit.By by,
            double angleDegrees,
            Optional<Picture> gradient,
            double delay,
            double delayAcross,
            double cut,
            double wipe,
            List<Slice> slices) {}

    /**
     * One of those frames.
     *
     * @param picture none where there is nothing to be seen
     * @param delay frames behind
     * @param from the beginning of the shot that it shows, in frames after itself; infinite for the first
     * @param to the end of that shot
     */
    public record Slice(Optional<Seen> picture, long delay, double from, double to) {}

    /**
     * A look at one moment.
     *
     * @param colour what the numbers of the picture mean
     * @param prepare what is done to the whole picture before it is separated
     * @param plates how each lane is printed, in the order in which they are laid down
     * @param feeds for each lane another picture than the layer's, or null
     * @param steps what is done to lanes; those that change something, in order
     * @param ontoAmount 0..1
     * @param reach which part of the picture the lanes' treatment touches; empty for all of it
     * @param overscan how much the result is scaled up, at least 1
     * @param finish what is done to the whole picture after that
     * @param moments the look at each moment that its shutter sees, where something moves meanwhile; then
     *     its picture is the mean of theirs
     * @param places where the layer's picture lies at each of them, if that moves as well
     */
    @RecordBuilder
    public record LookPlan(
            String separation,
            ColourSpace colour,
            List<PictureStepPlan> prepare,
            List<Plate> plates,
            List<FeedPlan> feeds,
            List<StepPlan> steps,
            Rejoin rejoin,
            Blend onto,
            double ontoAmount,
            Optional<ReachPlan> reach,
            double overscan,
            List<PictureStepPlan> finish,
            List<LookPlan> moments,
            List<PlacePlan> places)
            implements PlanLookPlanBuilder.With {
        /** Whether the picture goes through untouched. */
        public boolean isNeutral() {
            return moments.isEmpty()
                    && prepare.isEmpty()
                    && finish.isEmpty()
                    && overscan == 1
                    && !treatsLanes();
        }

        /**
         * Whether the picture is another when it has been separated, treated, rejoined and laid on. It is
         * the same where it is laid upon itself by a mode that picks the lighter or the darker of two.
         */
        public boolean treatsLanes() {
            boolean ontoItself =
                    onto == Blend.NORMAL
                            || onto == Blend.LIGHTEN
                            || onto == Blend.DARKEN && reach.isEmpty();
            boolean same = steps.isEmpty() && ontoItself && rejoin.isExact() && isPlain();
            return !same && ontoAmount != 0;
        }

        /** Whether each lane is its own and printed as its model has it; the order does not matter to exactness. */
        public boolean isPlain() {
            List<LaneKind> kinds = model().lanes();
            return feeds.stream().allMatch(Objects::isNull)
                    && plates.stream()
                            .allMatch(
                                    p ->
                                            p.shown()
                                                    && p.strength() == 1
                                                    && p.ink().equals(kinds.get(p.lane()).ink()));
        }

        /** What a lane is printed in. */
        public Ink ink(int lane) {
            return plates.stream().filter(p -> p.lane() == lane).findFirst().orElseThrow().ink();
        }

        public Separation model() {
            return Separations.named(separation);
        }

        /** The same model with nothing done in it. */
        LookPlan untouched() {
            return with(
                    l ->
                            l.prepare(List.of())
                                    .feeds(Collections.nCopies(feeds.size(), null))
                                    .steps(List.of())
                                    .rejoin(Rejoin.EXACT)
                                    .onto(Blend.NORMAL)
                                    .ontoAmount(0)
                                    .reach(Optional.empty())
                                    .overscan(1)
                                    .finish(List.of())
                                    .moments(List.of())
                                    .places(List.of()));
        }
    }

    /**
     * A treatment with each lane's settings; null where the lane is left alone.
     *
     * @param picture the one that the treatment uses, if it has one
     */
    public record StepPlan(String treatment, List<Settings> lanes, Optional<Picture> picture) {
        LaneTreatment kind() {
            return (LaneTreatment) Treatments.named(treatment);
        }
    }

    /**
     * A treatment of the whole picture: of pictures, or of lanes and done to all channels alike.
     *
     * @param picture the one that the treatment uses, if it has one
     * @param table of colours, that the step brings along
     */
    public record PictureStepPlan(
            String treatment,
            Settings settings,
            Optional<Picture> picture,
            Optional<ColourTable> table) {
        Treatment kind() {
            return Treatments.named(treatment);
        }

        boolean isOfLanes() {
            return kind() instanceof LaneTreatment;
        }

        /** The same done to each channel. */
        StepPlan byChannel() {
            return new StepPlan(treatment, Collections.nCopies(3, settings), picture);
        }
    }

    /** A window of tones, as shares of full; open where it reaches the end. */
    public record TonePlan(double low, double high, double soft, boolean linear) {}

    /** A range of hues, in degrees. */
    public record HuePlan(double hue, double width, double soft) {}

    /** Another layer's picture as a matte; no picture where there is nothing to be seen. */
    public record MattePlan(Optional<Picture> picture, PlacePlan place, boolean luma) {}

    /** What a look touches: what is in all of these. */
    public record ReachPlan(
            Optional<TonePlan> tones,
            Optional<HuePlan> hues,
            Optional<MattePlan> matte,
            boolean inverted,
            boolean spreads) {}

    /** The same plan without any look: the source as it came in. */
    public Plan untouched() {
        return new Plan(
                size,
                ground,
                layers.stream()
                        .map(
                                l ->
                                        new LayerPlan(
                                                l.id,
                                                l.picture,
                                                l.place,
                                                l.looks.stream().map(LookPlan::untouched).toList(),
                                                l.blend,
                                                l.opacity))
                        .toList());
    }

    /** Every picture of a source that the frame is made of. */
    public Set<Picture> pictures() {
        Set<Picture> all = new LinkedHashSet<>();
        pictures(layers, all);
        return all;
    }

    private static void pictures(List<LayerPlan> layers, Set<Picture> all) {
        for (LayerPlan layer : layers) {
            layer.picture.ifPresent(all::add);
            layer.looks.forEach(look -> pictures(look, all));
        }
    }

    private static void pictures(Seen seen, Set<Picture> all) {
        switch (seen) {
            case Picture picture -> all.add(picture);
            case Beneath beneath -> pictures(beneath.layers, all);
        }
    }

    private static void pictures(LookPlan look, Set<Picture> all) {
        look.feeds.stream()
                .filter(Objects::nonNull)
                .peek(f -> f.picture.ifPresent(seen -> pictures(seen, all)))
                .flatMap(f -> f.slit.stream())
                .forEach(
                        slit -> {
                            slit.gradient.ifPresent(all::add);
                            slit.slices.stream()
                                    .flatMap(s -> s.picture.stream())
                                    .forEach(seen -> pictures(seen, all));
                        });
        look.steps.stream().flatMap(s -> s.picture.stream()).forEach(all::add);
        Stream.of(look.prepare, look.finish)
                .flatMap(List::stream)
                .flatMap(s -> s.picture.stream())
                .forEach(all::add);
        look.reach.stream()
                .flatMap(r -> r.matte.stream())
                .flatMap(m -> m.picture.stream())
                .forEach(all::add);
        look.moments.forEach(moment -> pictures(moment, all));
    }
}
