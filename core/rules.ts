/*
 * What the layout and the checks both believe. A layout that keeps to these is never found wanting by them.
 */

/** So much of a picture's subject is shown at least; less, and it counts as cut. A share of its area. By eye. */
export const LEAST_SUBJECT_SHOWN = 0.92;

/** And so much of it may lie under words or plates: a hair at its edge is not seen. A share of its area. By eye. */
export const MOST_SUBJECT_COVERED = 0.01;
