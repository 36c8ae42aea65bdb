import type { Brand } from "../brand";
import type { Piece } from "../piece";
import type { Placement } from "../placements";
import { compareBrands, looksOther } from "./compare";

/** A piece, its brand and where it goes, as they were when something was made of them or as they are. */
export interface State {
  piece: Piece;
  brand: Brand;
  places?: readonly Placement[];
}

/** Why graphics that were made then would come out otherwise now, in words; empty when they would not. */
export function outdated(then: State, now: State): string[] {
  if (then.brand.id !== now.brand.id) return [`It wears ${now.brand.name} now`];
  return [
    ...(looksOther(then.brand, now.brand) ? compareBrands(then.brand, now.brand) : []),
    ...(shows(then.piece) === shows(now.piece) ? [] : ["The piece was changed"]),
    ...correctedOf(then, now),
  ];
}

/** All that a piece's graphics depend on; its name and its list of sizes are not among it. */
function shows({ message, arrangement, spread, sizes, language }: Piece): string {
  const changes = sizes.filter((size) => Object.keys(size.changes).length > 0);
  return JSON.stringify([message, arrangement, spread, changes, language]);
}

/** Placements whose facts are others now. One that is not there any more is not held against what was made for it. */
const correctedOf = ({ places: then = [] }: State, { places: now = [] }: State): string[] =>
  then.flatMap((was) => {
    const is = now.find(({ id }) => id === was.id);
    return is && facts(is) !== facts(was) ? [`“${is.name}” was corrected`] : [];
  });

/** What decides how a size is laid out. */
const facts = ({ width, height, viewWidth, margin, covered, crops }: Placement): string =>
  JSON.stringify([width, height, viewWidth, margin, covered, crops]);
