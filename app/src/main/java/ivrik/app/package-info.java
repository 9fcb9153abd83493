/** The window. Depends on core and media; nothing depends on it. */
package ivrik.app;
