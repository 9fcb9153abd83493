/** Fonts, the two colour schemes, and icons. */
package ivrik.app.theme;
