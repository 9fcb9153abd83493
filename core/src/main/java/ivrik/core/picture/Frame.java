package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * A picture of three colour planes (red, green, blue as delivered) and, unless it is opaque, one
 * coverage plane for each of them: lanes that move carry their coverage along. Where all three are
 * covered alike the same plane stands three times.
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

    /** All of an opaque picture. */
    public static Frame of(ColourRows rows, Workers workers) {
        return new Frame(rows.toPlanes(workers), Alpha.OPAQUE, List.of());
    }

    /** A frame with one coverage for all channels. */
    public static Frame straight(Plane red, Plane green, Plane blue, Plane coverage) {
        return new Frame(
                List.of(red, green, blue), Alpha.STRAIGHT, List.of(coverage, coverage, coverage));
    }

    /** Nothing at all, of a size: black, uncovered. */
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

    /** The same change made to every plane; a plane that stands several times is changed once. */
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
     * The one alpha of an ordinary RGBA file: the union, that is the maximum, of the three
     * coverages.
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
                .reduce(first, (a, b) -> a == b ? a : Kernels.maximum(a, b, workers));
    }

    /**
     * With the union of its coverages for every channel, as an ordinary RGBA file has it, so that it
     * looks the same over any backdrop here and elsewhere; colour is premultiplied by its own coverage.
     */
    public Frame united(Workers workers) {
        if (isOpaque() || coverage.stream().distinct().count() == 1) {
            return this;
        }
        Plane union = unionAlpha(workers);
        return new Frame(
                premultiplied(workers).colour, Alpha.PREMULTIPLIED, List.of(union, union, union));
    }

    /** Colour multiplied by coverage, channel by channel; an opaque frame is returned as it is. */
    public Frame premultiplied(Workers workers) {
        if (alpha != Alpha.STRAIGHT) {
            return this;
        }
        return new Frame(
                Planes.zip(colour, coverage, (c, a) -> Kernels.multiply(c, a, workers)),
                Alpha.PREMULTIPLIED,
                coverage);
    }

    /** Colour multiplied by coverage, with coverage also where it is opaque: all of it is covered. */
    public Frame covered(Workers workers) {
        if (!isOpaque()) {
            return premultiplied(workers);
        }
        Plane full = Plane.flat(width(), height(), 1);
        return new Frame(colour, Alpha.PREMULTIPLIED, List.of(full, full, full));
    }

    /**
     * Ready for a file with straight alpha: colour divided by the union of the coverages (0 where
     * there is none). Straight and opaque frames are returned as they are.
     */
    public Frame straight(Workers workers) {
        if (alpha != Alpha.PREMULTIPLIED) {
            return this;
        }
        Plane union = unionAlpha(workers);
        return new Frame(
                colour.stream().map(c -> Kernels.divide(c, union, workers)).toList(),
                Alpha.STRAIGHT,
                List.of(union, union, union));
    }
}
