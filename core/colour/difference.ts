import { differenceCiede2000 } from "culori";
import type { Hex } from "./colour";

const ciede2000 = differenceCiede2000();

/** A colour in CIE Lab under D65 as CSS has it, or as hex. */
export type LabColour = { mode: "lab65"; l: number; a: number; b: number };

/**
 * Difference by CIEDE2000 (ISO/CIE 11664-6): 0 the same, about 1 just seen side by side,
 * over 10 another colour.
 */
export const difference = (a: Hex | LabColour, b: Hex | LabColour): number => ciede2000(a, b);
