/** Controls that do not depend on the project: numbers, drawings, badges. */
package ivrik.app.widget;
