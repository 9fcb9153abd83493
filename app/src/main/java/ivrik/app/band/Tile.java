package ivrik.app.band;

import ivrik.core.project.Project;

import java.util.function.UnaryOperator;

/**
 * A small picture of what an edit would make of this frame.
 *
 * @param title under the picture
 * @param trial the edit
 */
record Tile(String id, String title, UnaryOperator<Project> trial) {}
