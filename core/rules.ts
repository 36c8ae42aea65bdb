/*
 * What the layout and the checks both believe. A layout that keeps to these is never found wanting by them. What belongs
 * to one thing alone stands with it: contrast in `colour` (WCAG 2.2), the legibility floor and the room for facts in
 * `placements`, where a logo may stand and how small it may be in `brand/logo.ts`, the order of sizes in
 * `refit/structure/order.ts`.
 */

/** Text from this size on, in CSS pixels as viewed, is read without effort. Common practice: 13, and a hair. */
export const EASY_TEXT = 13.02;

/** From line to line, as a multiple of the type size: what can be asked for. By eye. */
export const LEADING = { least: 0.6, most: 2.5 } as const;

/** Type set tighter than this is display type: to be looked at rather than read. Common practice. */
export const DISPLAY_LEADING = 1.15;

/** Lines of a sentence need more air than those of a headline; it is display type still. Common practice. */
export const PROSE_LEADING = 1.12;

/** Between letters, in em: what can be asked for. By eye. */
export const TRACKING = { least: -0.2, most: 0.5 } as const;

/** Lengths that differ by rounding alone are equal. */
export const isSmaller = (length: number, than: number): boolean => length < 0.999 * than;

/** Lengths that the eye does not tell apart are equal. By eye. */
export const isClearlySmaller = (length: number, than: number): boolean => length < 0.98 * than;

/** A part of a picture's subject is whole when so much of it is shown: a face, or a thing. Shares of its area; by eye. */
export const LEAST_SUBJECT_SHOWN = { face: 0.95, thing: 0.86 } as const;

/** From this weight on a part is whole or out; a lighter one, such as the middle of a landscape, may be cut. */
export const FIRM_WEIGHT = 0.5;

/** And not there at all when no more is shown; in between it is cut. A share of its area; by eye. */
export const MOST_SUBJECT_OUT = 0.06;

/** So much of a part may lie under words or plates: a hair at its edge is not seen. A share of its area; by eye. */
export const MOST_SUBJECT_COVERED = 0.01;
