/**
 * A project: sources, layers of clips in a sequence, looks and markers. Depends on look and its dependencies.
 */
package ivrik.core.project;
