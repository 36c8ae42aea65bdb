import { keptGap, stack } from "./block";
import { groupGap } from "../structure/gaps";
import type { Parts } from "../structure/parts";
import { apart, footLine, stacked, twoColumns, underHead, type WordLayout } from "./words";
import { signAtMargins } from "./signature";

/** The signature over everything else, from margin to margin: who speaks, before what is said. */
const signedAbove =
  (layout: WordLayout): WordLayout =>
  (room) => {
    const { logo, ...rest } = room.parts;
    if (!logo && rest.sender.length === 0) return undefined;
    const sign = signAtMargins(room);
    if (!sign?.block) return undefined;
    const gap = groupGap(room);
    const bare = unsigned(room.parts);
    const taken = sign.block.height + keptGap(gap, sign.block);
    const below = layout({ ...room, parts: bare, height: room.height - taken });
    return below && stack([sign.block, below], [gap], room.align);
  };

const bareOf = new WeakMap<Parts, Parts>();

/** The same parts without what signs; the same object for the same parts. */
function unsigned(parts: Parts): Parts {
  let bare = bareOf.get(parts);
  if (!bare) {
    const { logo: _logo, ...rest } = parts;
    bareOf.set(parts, (bare = { ...rest, sender: [] }));
  }
  return bare;
}

/** Head and lines at the top, and nothing at the foot: the height is filled all the same. */
const headOver: WordLayout = (room) => {
  const block = underHead(room, room.parts.details, undefined);
  return block && { ...block, height: Math.max(block.height, room.height) };
};

/** The same with the signature at the top; for frames that are high enough for a line of its own. */
export const signedLayouts = {
  "signed above": signedAbove(stacked),
  "signed above, foot line": signedAbove(footLine),
  "signed above, two columns": signedAbove(twoColumns),
  "signed above, head and foot": signedAbove((room) => apart(room) ?? headOver(room)),
} as const satisfies Record<string, WordLayout>;
