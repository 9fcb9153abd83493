package ivrik.media.encode;

import ivrik.core.project.FrameRange;

/**
 * The part of an export that one of several processes renders.
 *
 * @param number from 1
 * @param of number of parts
 */
public record ExportShare(int number, int of) {
    /** Largest number of parts. */
    private static final int MAX = 100_000;

    public ExportShare {
        if (of < 1 || of > MAX || number < 1 || number > of) {
            throw new IllegalArgumentException(
                    "a part is K/N with K from 1 to N and N up to "
                            + MAX
                            + ", not "
                            + number
                            + "/"
                            + of);
        }
    }

    /**
     * Parses {@code 3/8}.
     *
     * @throws IllegalArgumentException if the text has another form
     */
    public static ExportShare parse(String text) {
        String[] both = text.strip().split("/", 2);
        if (both.length < 2 || !both[0].matches("\\d{1,6}") || !both[1].matches("\\d{1,6}")) {
            throw new IllegalArgumentException("expected a part such as 3/8, not " + text);
        }
        return new ExportShare(Integer.parseInt(both[0]), Integer.parseInt(both[1]));
    }

    /** Index of the first of {@code count} items in this part. */
    public long first(long count) {
        return (number - 1L) * count / of;
    }

    /** Index after the last item in this part. */
    public long end(long count) {
        return (long) number * count / of;
    }

    /** Whether this part has no item. */
    public boolean isEmpty(long count) {
        return first(count) == end(count);
    }

    /** The frames of this part of a range. */
    public FrameRange of(FrameRange range) {
        return new FrameRange(
                range.first() + first(range.length()), range.first() + end(range.length()) - 1);
    }

    @Override
    public String toString() {
        return number + "/" + of;
    }
}
