import { LRUCache } from "lru-cache";
import type { Brand } from "../brand";
import { piecePictures } from "../needs";
import { isPicture, type Piece, type Siblings, type Size } from "../piece";
import type { Placement } from "../placements";
import type { Layout } from "../refit";
import type { Sources } from "../resolve";
import type { Alike } from "./classes";
import { compose, layoutAlike, type Composition } from "./compose";
import { drawnOf } from "./set";

type OfSet = Piece & { siblings: Siblings };

/** Whether a size is to stand as the piece's set does; a layout that was picked for it stands by itself. */
export const standsInSet = (piece: Piece, { id }: Placement): piece is OfSet =>
  piece.siblings !== undefined &&
  !(id === piece.lead && piece.siblings.composed) &&
  piece.sizes.find(({ placement }) => placement === id)?.layout === undefined;

/** A piece of a set on a size; undefined where it cannot stand there as the set does. */
export function layoutInSet(
  piece: OfSet,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Layout | undefined {
  const composition = compositionOf(piece, brand, placement, sources);
  const own = { ...composition, sizes: withOwnChanges(piece, composition, placement) };
  const layout = layoutAlike(piece, own, brand, placement, sources);
  return layout && { ...layout, layoutId: composition.layoutId, set: "stands" };
}

/** What was changed by hand on a size is changed of it as the set has it. */
function withOwnChanges({ sizes }: Piece, composition: Composition, { id }: Placement): Size[] {
  const [hidden, own] = [composition.sizes, sizes].map((all) =>
    all.find(({ placement }) => placement === id),
  );
  const others = sizes.filter((size) => size !== own);
  return [{ placement: id, ...own, changes: { ...hidden?.changes, ...own?.changes } }, ...others];
}

/** Compositions of one brand are kept up to so many characters of JSON; one is about 10 000. */
const MOST_KEPT = 4_000_000;
const kept = new WeakMap<Brand, LRUCache<string, Composition>>();

function keptFor(brand: Brand): LRUCache<string, Composition> {
  const known = kept.get(brand);
  if (known) return known;
  const compositions = new LRUCache<string, Composition>({
    maxSize: MOST_KEPT,
    sizeCalculation: (made, key) => JSON.stringify(made).length + key.length,
  });
  kept.set(brand, compositions);
  return compositions;
}

/** How a set stands on a placement, whatever the piece itself says and has changed. */
function compositionOf(
  piece: OfSet,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Composition {
  const { longest, tried } = piece.siblings;
  // A picture that is still to come has its say when it is there.
  const there = piecePictures(piece, brand).map((id) => sources.pictures(id) !== undefined);
  const compositions = keptFor(brand);
  const key = JSON.stringify([drawnOf(piece), piece.spread, longest, tried, placement, there]);
  const before = compositions.get(key);
  if (before) return before;
  const { shown: _shown, fine: _fine, siblings, ...design } = piece;
  const sizes = [{ placement: placement.id, changes: {} }];
  const set: Piece = { ...design, message: longest, sizes };
  const made = compose(set, withPictures(siblings), brand, placement, sources);
  compositions.set(key, made);
  return made;
}

function withPictures({ longest, tried }: Alike): Alike {
  const pictures = Object.fromEntries(
    Object.entries(longest).filter(([, filling]) => isPicture(filling)),
  );
  const shown = tried.map(({ message, count }) => ({
    message: { ...pictures, ...message },
    count,
  }));
  return { longest, tried: shown };
}
