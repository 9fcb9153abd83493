/**
 * The whole computation of Ivrik, without files, natives or interface. A picture takes one road
 * through the packages: picture, colour, separation, treatment, rejoin; motion gives the numbers,
 * look and project say what is to be done, render does it.
 */
package ivrik.core;
