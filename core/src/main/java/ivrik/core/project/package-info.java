/**
 * A project: sources, layers of clips in a sequence, their looks, markers; and its JSON form. As
 * text only, files are the media module's. Depends on looks and what they depend on.
 */
package ivrik.core.project;
