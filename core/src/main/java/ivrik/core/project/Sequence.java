package ivrik.core.project;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

/** What is delivered: its size in pixels and its frames a second. */
public record Sequence(Size size, Rational rate) {}
