package ivrik.core.project;

/** Frames from {@code first} to {@code last}, inclusive. */
public record FrameRange(long first, long last) {
    public FrameRange {
        if (first < 0 || last < first) {
            throw new IllegalArgumentException(
                    "the last frame must not be before the first: " + first + "-" + last);
        }
    }

    /** Parses {@code 12-40}, or a single frame, {@code 12}. */
    public static FrameRange parse(String text) {
        String[] ends = text.strip().split("-", 2);
        long first = Long.parseLong(ends[0].strip());
        return new FrameRange(first, ends.length == 1 ? first : Long.parseLong(ends[1].strip()));
    }

    public long length() {
        return last - first + 1;
    }

    public boolean contains(long frame) {
        return frame >= first && frame <= last;
    }

    public FrameRange within(FrameRange all) {
        long from = Math.clamp(first, all.first, all.last);
        return new FrameRange(from, Math.clamp(last, from, all.last));
    }

    @Override
    public String toString() {
        return first + "-" + last;
    }
}
