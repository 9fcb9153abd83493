package ivrik.app.band;

import ivrik.core.project.Project;

import java.util.function.UnaryOperator;

/**
 * A small picture of what an edit would make of this frame.
 *
 * @param title under the picture
 * @param group what it stands under; empty for none
 * @param trial the edit
 */
record Tile(String id, String title, String group, UnaryOperator<Project> trial) {
    Tile(String id, String title, UnaryOperator<Project> trial) {
        this(id, title, "", trial);
    }
}
