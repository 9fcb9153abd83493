/**
 * What can be done to a lane: one class per treatment, found by name in {@code Treatments}. In: a
 * plane and numbers. Out: a plane. Depends on pictures only.
 */
package ivrik.core.treatment;
