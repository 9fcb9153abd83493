/**
 * Generates the demo: Lantern Week in the invented town of Quillhaven. In: nothing but code and the shipped
 * fonts. Out: footage, a title, a chart and a project. Depends on core and media.
 */
package ivrik.demo;
