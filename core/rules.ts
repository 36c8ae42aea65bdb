/*
 * What the layout and the checks both believe. A layout that keeps to these is never found wanting by them.
 */

/** A part of a picture's subject is whole when so much of it is shown: a face, or a thing. Shares of its area; by eye. */
export const LEAST_SUBJECT_SHOWN = { face: 0.95, thing: 0.86 } as const;

/** From this weight on a part is whole or out; a lighter one, such as the middle of a landscape, may be cut. */
export const FIRM_WEIGHT = 0.5;

/** And not there at all when no more is shown; in between it is cut. A share of its area; by eye. */
export const MOST_SUBJECT_OUT = 0.06;

/** So much of a part may lie under words or plates: a hair at its edge is not seen. A share of its area; by eye. */
export const MOST_SUBJECT_COVERED = 0.01;
