/**
 * Rendering: a project and a time become a plan of plain numbers, and a plan becomes a frame. In: a
 * project, a time, a scale, a region. Out: a frame, the same on any number of threads. Depends on
 * all of core; sources come through {@code Pictures}.
 */
package ivrik.core.render;
