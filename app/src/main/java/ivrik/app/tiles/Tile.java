package ivrik.app.tiles;

import ivrik.core.project.Project;

import java.util.function.UnaryOperator;

/**
 * A thumbnail of this frame with an edit applied.
 *
 * @param title caption
 * @param group heading; empty for none
 * @param trial the edit
 */
record Tile(String id, String title, String group, UnaryOperator<Project> trial) {
    Tile(String id, String title, UnaryOperator<Project> trial) {
        this(id, title, "", trial);
    }
}
