import { problem } from "../problem";
import data from "./catalogue.json" with { type: "json" };
import { Catalogue, type Placement } from "./placement";

export const catalogue: Catalogue = Catalogue.parse(data);

const byId = new Map(catalogue.placements.map((placement) => [placement.id, placement]));

/** Throws `placement-unknown` for an id that the catalogue does not hold. */
export function placementById(id: string): Placement {
  const placement = byId.get(id);
  if (!placement) throw problem("placement-unknown", { placement: id });
  return placement;
}

export const isPlacement = (id: string): boolean => byId.has(id);
