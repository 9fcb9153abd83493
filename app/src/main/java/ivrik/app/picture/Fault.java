package ivrik.app.picture;

/**
 * What keeps a source from being shown in a frame.
 *
 * @param words for the user
 * @param missing whether its file is gone altogether, and not only damaged there
 */
public record Fault(String words, boolean missing) {}
