import type { Brand } from "../brand";
import type { Piece } from "../piece";
import type { Placement } from "../placements";
import { same } from "../same";
import { outdatedWords } from "../wording/kits";
import { compareBrands, looksOther } from "./compare";

/** A piece, its brand and where it goes, as they were when something was made of them or as they are. */
export interface State {
  piece: Piece;
  brand: Brand;
  places?: readonly Placement[];
}

/** Why graphics that were made then would come out otherwise now, in words; empty when they would not. */
export function outdated(then: State, now: State): string[] {
  if (then.brand.id !== now.brand.id) return [outdatedWords.brand(now.brand)];
  return [
    ...(looksOther(then.brand, now.brand) ? compareBrands(then.brand, now.brand) : []),
    ...(same(shown(then.piece, then), shown(now.piece, then)) ? [] : [outdatedWords.piece()]),
    ...correctedOf(then, now),
  ];
}

/**
 * All that a piece's graphics depend on in the sizes that were made; its name and its list of sizes are not among it, but
 * what those sizes have of their own is: local changes, and a layout that was picked.
 */
function shown(piece: Piece, { places }: State): unknown {
  const { message, arrangement, spread, sizes, language, without, frame, lead } = piece;
  const made = places && new Set(places.map(({ id }) => id));
  const own = sizes.flatMap(({ placement, layout, changes }) => {
    const has = layout !== undefined || Object.keys(changes).length > 0;
    return has && (made?.has(placement) ?? true) ? [{ placement, layout, changes }] : [];
  });
  return { message, arrangement, spread, own, language, without, frame, lead };
}

/** Placements whose facts are others now. One that is not there any more is not held against what was made for it. */
const correctedOf = ({ places: then = [] }: State, { places: now = [] }: State): string[] =>
  then.flatMap((was) => {
    const is = now.find(({ id }) => id === was.id);
    return is && facts(is) !== facts(was) ? [outdatedWords.placement(is)] : [];
  });

/** What decides how a size is laid out. */
const facts = ({ width, height, viewWidth, margin, covered, crops }: Placement): string =>
  JSON.stringify([width, height, viewWidth, margin, covered, crops]);
