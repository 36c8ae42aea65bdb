import { problem } from "../problem";
import data from "./catalogue.json" with { type: "json" };
import { Catalogue, type Placement, type PlacementLookup } from "./placement";

/** What ships with the program. A team's own catalogue starts from it: see `withTeam`. */
export const catalogue: Catalogue = Catalogue.parse(data);

/** The shipped catalogue with what a team has corrected, retired and added; additions last. */
export function withTeam(team: readonly Placement[]): Catalogue {
  const own = new Map(team.map((placement) => [placement.id, placement]));
  const shipped = catalogue.placements.map((placement) => own.get(placement.id) ?? placement);
  const added = team.filter(({ id }) => !isShipped(id));
  return { ...catalogue, placements: [...shipped, ...added] };
}

export function lookupIn({ placements }: Catalogue): PlacementLookup {
  const byId = new Map(placements.map((placement) => [placement.id, placement]));
  return (id) => byId.get(id);
}

/** Of the shipped catalogue. */
export const shippedPlacement: PlacementLookup = lookupIn(catalogue);

export const isShipped = (id: string): boolean => shippedPlacement(id) !== undefined;

/** Throws `placement-unknown` for an id that the shipped catalogue does not hold. */
export const placementById = (id: string): Placement => known(id, shippedPlacement);

/** Throws `placement-unknown` for an id that the lookup does not know. */
export function known(id: string, lookup: PlacementLookup): Placement {
  const placement = lookup(id);
  if (!placement) throw problem("placement-unknown", { placement: id });
  return placement;
}
