import { contrast, type Hex } from "./colour";

/** Black or white, whichever reads better on the colour: always at 4.5 : 1 or more (WCAG 2.2 luminances). */
export const onColour = (hex: Hex): Hex =>
  contrast(hex, "#FFFFFF") >= contrast(hex, "#000000") ? "#FFFFFF" : "#000000";
