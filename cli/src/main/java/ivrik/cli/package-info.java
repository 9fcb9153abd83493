/**
 * The headless command. One class per subcommand; each parses its words, calls core and media, and
 * says what it did. Depends on core and media.
 */
package ivrik.cli;
