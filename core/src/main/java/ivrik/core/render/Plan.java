package ivrik.core.render;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.ColourTable;
import ivrik.core.look.LookBlend;
import ivrik.core.look.Placement;
import ivrik.core.look.SlitScan;
import ivrik.core.picture.Size;
import ivrik.core.project.Background;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.ChannelPrint;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.ChannelTreatment;
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
 * Everything that one frame depends on, as plain numbers without time. Equal plans give equal pixels, so a
 * plan is also the cache key of its frame: an edit that does not affect a frame leaves its plan equal.
 *
 * @param size full size of the sequence
 * @param background colour below all layers
 * @param layers visible layers from the bottom up
 */
public record Plan(Size size, Background background, List<LayerPlan> layers) {
    /** The layers below a layer. */
    List<LayerPlan> below(LayerPlan layer) {
        return layers.stream().takeWhile(l -> !l.id().equals(layer.id())).toList();
    }

    /** What a channel can be taken from. */
    public sealed interface Seen {}

    /** The picture below a span at another time. */
    public record Below(List<LayerPlan> layers) implements Seen {}

    /** A frame of a source, converted to the colour space of the sequence. */
    public record Picture(Source source, long frame, ColourSpace colour) implements Seen {
        public Picture(Source source, long frame) {
            this(source, frame, ColourSpace.SRGB);
        }
    }

    /** Placement of a picture at one moment; lengths in sequence pixels. */
    public record PlacementPlan(
            Placement.Fit fit,
            double x,
            double y,
            double scale,
            double angleDegrees,
            boolean flipX,
            boolean flipY) {
        static final PlacementPlan FITTED =
                new PlacementPlan(Placement.Fit.FIT, 0, 0, 1, 0, false, false);

        /** Whether the picture is fitted, centred and not rotated. */
        public boolean isPlain() {
            return fit == Placement.Fit.FIT
                    && x == 0
                    && y == 0
                    && scale == 1
                    && angleDegrees == 0
                    && !flipX
                    && !flipY;
        }
    }

    /**
     * One layer: its picture, its looks and its compositing.
     *
     * @param id id of the layer
     * @param picture empty for a span, which uses the picture below
     * @param looks all looks; looks that are off have no effect
     */
    public record LayerPlan(
            String id,
            Optional<Picture> picture,
            PlacementPlan placement,
            List<LookPlan> looks,
            Blend blend,
            double opacity) {
        public boolean isNeutral() {
            return looks.stream().allMatch(LookPlan::isNeutral);
        }
    }

    /**
     * Another picture for one channel; no picture is transparent.
     *
     * @param slit change of time across the picture; it then lists the pictures
     * @param trail trail of earlier frames; never with a slit
     */
    public record ChannelSourcePlan(
            Optional<Seen> picture,
            PlacementPlan placement,
            Optional<SlitPlan> slit,
            Optional<TrailPlan> trail) {}

    /**
     * Earlier frames that leave a trail.
     *
     * @param keep share of a value that remains one frame later, 0..1
     * @param before pictures of the preceding frames, the most recent first
     */
    public record TrailPlan(double keep, List<Optional<Seen>> before) {}

    /**
     * A channel composed of several frames. The near end is delayed by {@code delay} frames and cuts
     * {@code cut} frames later; the far end adds {@code delayAcross} and {@code wipe}.
     *
     * @param gradient picture whose brightness determines the position of a pixel, if used
     */
    public record SlitPlan(
            SlitScan.By by,
            double angleDegrees,
            Optional<Picture> gradient,
            double delay,
            double delayAcross,
            double cut,
            double wipe,
            List<Slice> slices) {}

    /**
     * One of these frames.
     *
     * @param picture empty if transparent
     * @param delay delay in frames
     * @param from start of the shot relative to the frame; infinite for the first shot
     * @param to end of the shot
     */
    public record Slice(Optional<Seen> picture, long delay, double from, double to) {}

    /**
     * A look at one moment.
     *
     * @param colour colour space of the picture
     * @param prepare whole-picture treatments before separation
     * @param prints how each channel enters the picture, in stacking order
     * @param channelSources another picture per channel, or null
     * @param steps channel treatments with an effect, in order
     * @param opacity 0..{@link LookBlend#MAX_OPACITY}
     * @param mask part of the picture that the channels change; empty for all
     * @param overscan scale of the result, at least 1
     * @param finish whole-picture treatments after rejoin
     * @param moments the look at each instant of the shutter if anything moves; the picture is their mean
     * @param places placement of the layer's picture at each instant if it moves
     */
    @RecordBuilder
    public record LookPlan(
            String separation,
            ColourSpace colour,
            List<PictureStepPlan> prepare,
            List<ChannelPrint> prints,
            List<ChannelSourcePlan> channelSources,
            List<StepPlan> steps,
            Rejoin rejoin,
            Blend blend,
            double opacity,
            Optional<MaskPlan> mask,
            double overscan,
            List<PictureStepPlan> finish,
            List<LookPlan> moments,
            List<PlacementPlan> places)
            implements PlanLookPlanBuilder.With {
        /** Whether the picture stays unchanged. */
        public boolean isNeutral() {
            return moments.isEmpty()
                    && prepare.isEmpty()
                    && finish.isEmpty()
                    && overscan == 1
                    && !treatsChannels();
        }

        /**
         * Whether separating, treating, rejoining and blending changes the picture. A picture blended with
         * itself by a mode that selects the lighter or darker value does not change.
         */
        public boolean treatsChannels() {
            boolean overItself =
                    blend == Blend.NORMAL
                            || blend == Blend.LIGHTEN
                            || blend == Blend.DARKEN && mask.isEmpty();
            boolean same = steps.isEmpty() && overItself && rejoin.isExact() && isPlain();
            return !same && opacity != 0;
        }

        /**
         * Whether each channel has its own source and its default print; the stacking order does not affect
         * exactness.
         */
        public boolean isPlain() {
            List<ChannelKind> kinds = model().channels();
            return channelSources.stream().allMatch(Objects::isNull)
                    && prints.stream()
                            .allMatch(
                                    p ->
                                            p.visible()
                                                    && p.strength() == 1
                                                    && p.ink()
                                                            .equals(kinds.get(p.channel()).ink()));
        }

        /** Ink colour of a channel. */
        public Ink ink(int channel) {
            return prints.stream()
                    .filter(p -> p.channel() == channel)
                    .findFirst()
                    .orElseThrow()
                    .ink();
        }

        public Separation model() {
            return Separations.named(separation);
        }

        /** The same model without any effect. */
        LookPlan untouched() {
            return with(
                    l ->
                            l.prepare(List.of())
                                    .channelSources(
                                            Collections.nCopies(channelSources.size(), null))
                                    .steps(List.of())
                                    .rejoin(Rejoin.EXACT)
                                    .blend(Blend.NORMAL)
                                    .opacity(0)
                                    .mask(Optional.empty())
                                    .overscan(1)
                                    .finish(List.of())
                                    .moments(List.of())
                                    .places(List.of()));
        }
    }

    /**
     * A treatment with the settings of each channel; null for a channel without effect.
     *
     * @param picture picture that the treatment uses, if any
     */
    public record StepPlan(String treatment, List<Settings> channels, Optional<Picture> picture) {
        ChannelTreatment kind() {
            return (ChannelTreatment) Treatments.named(treatment);
        }
    }

    /**
     * A treatment of the whole picture, or of all channels in the same way.
     *
     * @param picture picture that the treatment uses, if any
     * @param table the step's own colour table
     */
    public record PictureStepPlan(
            String treatment,
            Settings settings,
            Optional<Picture> picture,
            Optional<ColourTable> table) {
        Treatment kind() {
            return Treatments.named(treatment);
        }

        boolean isOfChannels() {
            return kind() instanceof ChannelTreatment;
        }

        /** The same treatment for each channel. */
        StepPlan byChannel() {
            return new StepPlan(treatment, Collections.nCopies(3, settings), picture);
        }
    }

    /** A tone range as shares of full range; a limit at either end has no slope. */
    public record TonePlan(double low, double high, double soft, boolean linear) {}

    /** A hue range in degrees. */
    public record HuePlan(double hue, double width, double soft) {}

    /** The matte of another layer; no picture is transparent. */
    public record MattePlan(Optional<Picture> picture, PlacementPlan place, boolean luma) {}

    /** A mask: the product of its parts. */
    public record MaskPlan(
            Optional<TonePlan> tones,
            Optional<HuePlan> hues,
            Optional<MattePlan> matte,
            boolean inverted,
            boolean spreads) {}

    /** The same plan without looks. */
    public Plan untouched() {
        return new Plan(
                size,
                background,
                layers.stream()
                        .map(
                                l ->
                                        new LayerPlan(
                                                l.id,
                                                l.picture,
                                                l.placement,
                                                l.looks.stream().map(LookPlan::untouched).toList(),
                                                l.blend,
                                                l.opacity))
                        .toList());
    }

    /** All source pictures that the frame uses. */
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
            case Below below -> pictures(below.layers, all);
        }
    }

    private static void pictures(LookPlan look, Set<Picture> all) {
        look.channelSources.stream()
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
        look.mask.stream()
                .flatMap(r -> r.matte.stream())
                .flatMap(m -> m.picture.stream())
                .forEach(all::add);
        look.moments.forEach(moment -> pictures(moment, all));
    }
}
