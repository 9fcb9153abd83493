/** The close-up: large controls of the selected treatment, all lanes in one. */
package ivrik.app.closeup;
