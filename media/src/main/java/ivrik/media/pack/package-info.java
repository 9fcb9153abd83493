/**
 * A project and all that it is made of in one file, and out of it again. In comes a project or a zip file, out
 * the other. Depends on the files of projects and on how footage is named.
 */
package ivrik.media.pack;
