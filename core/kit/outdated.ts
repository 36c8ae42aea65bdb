import type { Brand } from "../brand";
import type { Piece } from "../piece";
import { compareBrands, looksOther } from "./compare";

/** A piece and its brand, as they were when something was made of them or as they are. */
export interface State {
  piece: Piece;
  brand: Brand;
}

/** Why graphics that were made then would come out otherwise now, in words; empty when they would not. */
export function outdated(then: State, now: State): string[] {
  if (then.brand.id !== now.brand.id) return [`It wears ${now.brand.name} now`];
  return [
    ...(looksOther(then.brand, now.brand) ? compareBrands(then.brand, now.brand) : []),
    ...(shows(then.piece) === shows(now.piece) ? [] : ["The piece was changed"]),
  ];
}

/** All that a piece's graphics depend on; its name and its list of sizes are not among it. */
function shows({ message, arrangement, spread, sizes, language }: Piece): string {
  const changes = sizes.filter((size) => Object.keys(size.changes).length > 0);
  return JSON.stringify([message, arrangement, spread, changes, language]);
}
