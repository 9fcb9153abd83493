/**
 * The close-up: large controls of what is selected on the desk, all lanes in one: separation, a
 * treatment, rejoin, or the layer. One {@code Part} each.
 */
package ivrik.app.closeup;
