import { z } from "zod";
import { brandSpreads, type Brand } from "../brand";
import { Spread } from "../colour";
import type { Piece } from "../piece";
import { inTypefaces, pairingsOf } from "./pairing";
import type { Template } from "./template";
import { spreadFor } from "./moods";
import { arrangedAs } from "./use";

/** How a message may look: an arrangement, by its template, a spread of the brand's colours and a pairing of its faces. */
export const Look = z.object({ template: z.string(), spread: Spread, pairing: z.string() });
export type Look = z.infer<typeof Look>;

/** Steps through spreads and pairings that share no factor with their usual numbers, so that all are met. */
const SPREAD_STEP = 5;

/**
 * The look of a round for the template at `index`. The first round is each template as it was drawn, on its own
 * ground and in the kit's typefaces; later ones walk through spreads and pairings.
 */
export function lookAt(template: Template, brand: Brand, index: number, round: number): Look {
  const spreads = brandSpreads(brand);
  const pairings = pairingsOf(brand);
  const spread =
    round === 0
      ? spreadFor(brand, template.mood)
      : spreads[(index + round * SPREAD_STEP) % Math.max(1, spreads.length)];
  const pairing = pairings[round === 0 ? 0 : (index + round) % pairings.length]!;
  return { template: template.id, spread: spread ?? {}, pairing: pairing.id };
}

/** The piece in that look: its message as it is, and its sizes. */
export function inLook(piece: Piece, template: Template, look: Look, brand: Brand): Piece {
  return { ...inTypefaces(arrangedAs(piece, template), look.pairing, brand), spread: look.spread };
}
