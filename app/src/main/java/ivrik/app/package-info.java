/** The window. Depends on core and media; no other module depends on it. */
package ivrik.app;
