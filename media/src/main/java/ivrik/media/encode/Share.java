package ivrik.media.encode;

import ivrik.core.project.FrameRange;

/**
 * The part of an export that one of several processes makes.
 *
 * @param number from 1
 * @param of so many
 */
public record Share(int number, int of) {
    /** More than any number of machines. */
    private static final int MOST = 100_000;

    public Share {
        if (of < 1 || of > MOST || number < 1 || number > of) {
            throw new IllegalArgumentException(
                    "a part is K/N, K from 1 to N and N at most "
                            + MOST
                            + ", not "
                            + number
                            + "/"
                            + of);
        }
    }

    /**
     * Reads {@code 3/8}.
     *
     * @throws IllegalArgumentException if that is none
     */
    public static Share parse(String text) {
        String[] both = text.strip().split("/", 2);
        if (both.length < 2 || !both[0].matches("\\d{1,6}") || !both[1].matches("\\d{1,6}")) {
            throw new IllegalArgumentException("a part is K/N, such as 3/8, not " + text);
        }
        return new Share(Integer.parseInt(both[0]), Integer.parseInt(both[1]));
    }

    /** The first of so many things in a row that is in it, from 0. */
    public long first(long count) {
        return (number - 1L) * count / of;
    }

    /** The first after those that are in it. */
    public long end(long count) {
        return (long) number * count / of;
    }

    /** Whether nothing is left for it of so many things. */
    public boolean isEmpty(long count) {
        return first(count) == end(count);
    }

    /** Its frames of a range, of which there must be some. */
    public FrameRange of(FrameRange range) {
        return new FrameRange(
                range.first() + first(range.length()), range.first() + end(range.length()) - 1);
    }

    @Override
    public String toString() {
        return number + "/" + of;
    }
}
