package ivrik.core.project;

/** A named place in time. */
public record Marker(long frame, String name) {}
