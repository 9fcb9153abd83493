package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * A picture: planes of gamma-encoded red, green and blue and, unless the frame is opaque, one coverage plane
 * per channel. Each channel has its own coverage, because a channel that moves takes its coverage along.
 * Channels with equal coverage share one plane.
 */
public record Frame(List<Plane> colour, Alpha alpha, List<Plane> coverage) {
    public Frame {
        colour = List.copyOf(colour);
        coverage = List.copyOf(coverage);
        if (colour.size() != 3 || coverage.size() != (alpha == Alpha.OPAQUE ? 0 : 3)) {
            throw new IllegalArgumentException(
                    "a frame has three colours, and three coverages unless opaque");
        }
        Size size = colour.getFirst().size();
        if (!Stream.concat(colour.stream(), coverage.stream())
                .allMatch(p -> p.size().equals(size))) {
            throw new IllegalArgumentException("all planes of a frame have one size");
        }
    }

    public static Frame opaque(Plane red, Plane green, Plane blue) {
        return new Frame(List.of(red, green, blue), Alpha.OPAQUE, List.of());
    }

    /** An opaque frame. */
    public static Frame of(ColourRows rows, Workers workers) {
        return new Frame(rows.toPlanes(workers), Alpha.OPAQUE, List.of());
    }

    /** A frame with straight alpha, the same for all channels. */
    public static Frame straight(Plane red, Plane green, Plane blue, Plane coverage) {
        return new Frame(
                List.of(red, green, blue), Alpha.STRAIGHT, List.of(coverage, coverage, coverage));
    }

    /** A transparent frame. */
    public static Frame empty(Size size) {
        Plane none = Plane.of(size.width(), size.height());
        return new Frame(List.of(none, none, none), Alpha.PREMULTIPLIED, List.of(none, none, none));
    }

    public int width() {
        return colour.getFirst().width();
    }

    public int height() {
        return colour.getFirst().height();
    }

    public Size size() {
        return colour.getFirst().size();
    }

    public boolean isOpaque() {
        return alpha == Alpha.OPAQUE;
    }

    public Frame crop(Region region) {
        return region.equals(Region.all(size())) ? this : mapPlanes(plane -> plane.crop(region));
    }

    /** Applies a change to every plane. A shared plane is changed once. */
    public Frame mapPlanes(UnaryOperator<Plane> change) {
        return new Frame(mapShared(colour, change), alpha, mapShared(coverage, change));
    }

    private static List<Plane> mapShared(List<Plane> planes, UnaryOperator<Plane> change) {
        if (planes.isEmpty()) {
            return planes;
        }
        Plane first = change.apply(planes.getFirst());
        return planes.stream().map(p -> p == planes.getFirst() ? first : change.apply(p)).toList();
    }

    /**
     * Alpha of an ordinary RGBA file: the maximum of the three coverages.
     *
     * @throws IllegalStateException if the frame is opaque
     */
    public Plane unionAlpha(Workers workers) {
        if (isOpaque()) {
            throw new IllegalStateException("an opaque frame has no alpha");
        }
        Plane first = coverage.getFirst();
        return coverage.stream()
                .distinct()
                .reduce(first, (a, b) -> a == b ? a : PlaneArithmetic.maximum(a, b, workers));
    }

    /**
     * This frame with the maximum of the coverages in every channel, as in an ordinary RGBA file. Colour is
     * premultiplied by the channel's own coverage, so that the frame looks the same over any background.
     */
    public Frame united(Workers workers) {
        if (isOpaque() || coverage.stream().distinct().count() == 1) {
            return this;
        }
        Plane union = unionAlpha(workers);
        return new Frame(
                premultiplied(workers).colour, Alpha.PREMULTIPLIED, List.of(union, union, union));
    }

    /** Colour multiplied by coverage, channel by channel. An opaque frame is returned unchanged. */
    public Frame premultiplied(Workers workers) {
        if (alpha != Alpha.STRAIGHT) {
            return this;
        }
        return new Frame(
                Planes.zip(colour, coverage, (c, a) -> PlaneArithmetic.multiply(c, a, workers)),
                Alpha.PREMULTIPLIED,
                coverage);
    }

    /** Premultiplied colour with coverage planes; an opaque frame gets full coverage. */
    public Frame covered(Workers workers) {
        if (!isOpaque()) {
            return premultiplied(workers);
        }
        Plane full = Plane.flat(width(), height(), 1);
        return new Frame(colour, Alpha.PREMULTIPLIED, List.of(full, full, full));
    }

    /**
     * Straight alpha for files: colour divided by the maximum of the coverages, 0 where that is 0. Straight
     * and opaque frames are returned unchanged.
     */
    public Frame straight(Workers workers) {
        if (alpha != Alpha.PREMULTIPLIED) {
            return this;
        }
        Plane union = unionAlpha(workers);
        return new Frame(
                colour.stream().map(c -> PlaneArithmetic.divide(c, union, workers)).toList(),
                Alpha.STRAIGHT,
                List.of(union, union, union));
    }
}
