/** Fonts, the two colour schemes, and the small drawings that stand for things. */
package ivrik.app.theme;
