/**
 * Rendering: a project and a time become a plan of plain numbers, and a plan becomes a frame. In: project,
 * time, scale, region. Out: a frame, identical on any number of threads. Depends on all of core; sources are
 * read through {@code Pictures}.
 */
package ivrik.core.render;
