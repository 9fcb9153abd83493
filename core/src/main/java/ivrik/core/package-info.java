/**
 * The whole computation of Ivrik, without files, natives or interface. A picture passes through the packages
 * in this order: picture, colour, separation, treatment, rejoin. {@code motion} computes values over time,
 * {@code look} and {@code project} are the model, {@code render} runs the pipeline.
 */
package ivrik.core;
