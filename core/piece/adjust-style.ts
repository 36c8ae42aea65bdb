import { z } from "zod";
import { ColourToken } from "./token";

const amount = z.number().min(-1).max(1);
const share = z.number().min(0).max(1);

/**
 * Changes to a picture's pixels, each 0 when it does nothing; `adjust.ts` has the formulas. `blur` is a
 * share of the frame's geometric mean, so that it looks alike in every size. Colours are tokens.
 */
export const AdjustStyle = z.object({
  brightness: amount.optional(),
  contrast: amount.optional(),
  saturation: amount.optional(),
  warmth: amount.optional(),
  greyscale: share.optional(),
  blur: z.number().min(0).max(0.1).optional(),
  /** Takes the place of the brand's treatment; `"none"` lifts it. */
  duotone: z
    .union([z.literal("none"), z.object({ dark: ColourToken, light: ColourToken })])
    .optional(),
  tint: z.object({ colour: ColourToken, amount: share }).optional(),
  vignette: share.optional(),
  grain: z.object({ amount: share, seed: z.number().int().min(0) }).optional(),
});
export type AdjustStyle = z.infer<typeof AdjustStyle>;
