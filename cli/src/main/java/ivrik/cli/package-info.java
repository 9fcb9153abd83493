/**
 * The command line. One class per subcommand parses its arguments, calls core and media, and reports the
 * result. Depends on core and media.
 */
package ivrik.cli;
