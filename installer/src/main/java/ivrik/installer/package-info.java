/**
 * Makes what can be installed without Java: an application image with a runtime of its own, and the forms in
 * which systems install it. Comes in: the jars that the build made. Goes out: {@code target/package}. Depends on
 * the JDK alone, whose jlink and jpackage do the work.
 */
package ivrik.installer;
