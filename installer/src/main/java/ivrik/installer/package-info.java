/**
 * Makes packages that need no installed Java: an application image with its own runtime, and system packages.
 * In: the built jars. Out: {@code target/package}. Depends only on the JDK's jlink and jpackage.
 */
package ivrik.installer;
