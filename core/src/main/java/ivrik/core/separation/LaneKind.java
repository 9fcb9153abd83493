package ivrik.core.separation;

/**
 * What a lane is: its name in files, its name and letter in the window, the ink it paints with at
 * rest, and its value where it adds nothing (0 for light).
 */
public record LaneKind(String id, String title, String letter, Ink ink, float nothing) {}
