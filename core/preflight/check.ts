import { contrastNeeded, difference } from "../colour";
import { bottom, contains, right, type Box } from "../geometry";
import { isFact, RULING_SLOTS } from "../message";
import { layoutKey, sameLayout, type Node } from "../piece";
import { cssPerPixel, keptArea, roomOf } from "../placements";
import { groundBehind, wordGround, type Layout, type Placed } from "../refit";
import { wordContrast, type ResolvedNode, type ResolvedPiece } from "../resolve";
import { missingCharacters } from "../type";
import { mayStandOn } from "../brand";
import { isSmaller } from "../rules";
import { avoided } from "../text";
import { checkAlignment } from "./alignment";
import type { Finding } from "./finding";
import { inkOf, named } from "./ink";
import { checkTogether } from "./together";

/** A picture shown at less than this many of its own pixels for each output pixel looks soft. Common practice. */
const LEAST_RESOLUTION = 0.85;

/** Everything that a layout can be measured for. Ordered by node, back to front. */
export function check(layout: Layout): Finding[] {
  const accepted = new Set(layout.resolved.piece.fine ?? []);
  return everything(layout).filter(
    (finding) => !accepted.has(fineKey(layout.placement.id, finding)),
  );
}

/** By what a finding that a person called fine is known again: what it is about, on which size. */
export const fineKey = (
  placement: string,
  {
    code,
    node = "",
    about = "",
    slot,
    layout,
  }: Pick<Finding, "code" | "node" | "about" | "slot" | "layout">,
): string => [placement, code, node, slot ?? (layout ? layoutKey(layout) : about)].join("|");

function everything(layout: Layout): Finding[] {
  const empty = layout.placed.every((item) => item.node.role === "backdrop");
  if (empty && layout.resolved.nodes.some(hasSomethingToSay)) {
    // A profile picture is no place for a message.
    const level = layout.placement.use === "profile" ? "look-again" : "must-fix";
    return [{ code: "nothing-fits", level }];
  }
  return [
    ...layout.placed.flatMap((item, index) => checkOne(layout, item, index)),
    ...checkTogether(layout),
    ...checkAlignment(layout),
    ...checkLeftOut(layout),
    ...checkPicked(layout),
    ...(layout.set === "apart" ? [{ code: "apart", level: "note" } as const] : []),
    ...layout.resolved.raw.map((raw) => checkRaw(layout, raw)),
  ];
}

const hasSomethingToSay = ({ type }: ResolvedNode): boolean => type !== "shape" && type !== "icon";

/** A layout that a person picked holds; where it cannot, that is said. */
function checkPicked({ resolved, placement, layoutId }: Layout): Finding[] {
  const picked = resolved.piece.sizes.find((size) => size.placement === placement.id)?.layout;
  if (picked === undefined || sameLayout(picked, layoutId)) return [];
  return [{ code: "layout-gone", level: "look-again", layout: picked }];
}

/** What is not the brand's, with what of the brand's comes nearest. */
function checkRaw(
  { resolved }: Layout,
  { node, what, value }: ResolvedPiece["raw"][number],
): Finding {
  const base = { level: "look-again", node, about: value } as const;
  if (what === "face") {
    return { ...base, code: "raw-face", mend: { from: value, name: "the brand's typeface" } };
  }
  const near = resolved.brand.colours
    .map(({ id, name, hex }) => ({ id, name, apart: difference(hex, value) }))
    .sort((a, b) => a.apart - b.apart)[0]!;
  const mend = { from: value, to: near.id, name: near.name };
  return { ...base, code: "raw-colour", measured: near.apart, needed: 0, mend };
}

function checkOne(layout: Layout, item: Placed, index: number): Finding[] {
  return [
    ...checkSafe(layout, item),
    ...checkFloor(layout, item),
    ...checkContrast(layout, item, index),
    ...checkResolution(item),
    ...checkCharacters(item),
    ...checkLogo(layout, item, index),
    ...checkWords(layout, item),
  ];
}

/** A logo stands on grounds that its version is made for, and is seen on. */
function checkLogo({ placed, resolved }: Layout, item: Placed, index: number): Finding[] {
  // Filled with a colour that is seen there, or on a plate of its own.
  if (!item.logo || item.logo.tint || item.logo.plate) return [];
  const ground = groundBehind(item.box, placed.slice(0, index), resolved.palette.backdrop).mean;
  if (mayStandOn(item.logo.logo, item.logo.file.art, ground)) return [];
  const about = item.logo.logo.ground === "light" ? "dark" : "light";
  return [{ code: "logo-ground", level: "look-again", ...named(item), about }];
}

function checkWords({ resolved }: Layout, item: Placed): Finding[] {
  const { node } = item;
  if (node.type !== "text") return [];
  return avoided(node.text, resolved.brand.voice.avoid).map((about) => ({
    code: "word-to-avoid",
    level: "look-again",
    ...named(item),
    about,
  }));
}

/** Roles that must stay inside the safe area; pictures and grounds may bleed. */
const needsSafety = (item: Placed): boolean =>
  item.text !== undefined ||
  item.logo !== undefined ||
  item.node.type === "code" ||
  item.node.role === "badge";

function checkSafe(layout: Layout, item: Placed): Finding[] {
  // Words that run across folds are cut there on purpose.
  if (!needsSafety(item) || item.node.strip === "across") return [];
  const ink = inkOf(item);
  const out = stickingOut(layout.safe, ink);
  if (out > 0.5) {
    return [
      {
        code: "outside-safe-area",
        level: "must-fix",
        ...named(item),
        measured: out,
        needed: 0,
        unit: "px",
      },
    ];
  }
  const kept = keptArea(layout.placement, item.node.role);
  if (contains(kept, ink)) return [];
  return [
    {
      code: "outside-crop",
      level: "must-fix",
      ...named(item),
      measured: stickingOut(kept, ink),
      needed: 0,
      unit: "px",
    },
  ];
}

const stickingOut = (outer: Box, inner: Box): number =>
  Math.max(
    0,
    outer.x - inner.x,
    outer.y - inner.y,
    right(inner) - right(outer),
    bottom(inner) - bottom(outer),
  );

function checkFloor(layout: Layout, item: Placed): Finding[] {
  const size = item.text?.set.size;
  const least = item.node.type === "text" ? (item.node.least ?? 0) * layout.leadScale : 0;
  const needed = Math.max(layout.floor, least);
  if (size === undefined || !isSmaller(size, needed)) return [];
  const css = cssPerPixel(layout.placement);
  return [
    {
      code: "below-floor",
      level: "look-again",
      ...named(item),
      measured: size * css,
      needed: needed * css,
      unit: "css-px",
    },
  ];
}

function checkContrast(layout: Layout, item: Placed, index: number): Finding[] {
  const measured = contrastOf(layout, item, index);
  const { node } = item;
  if (measured === undefined || node.type !== "text") return [];
  const needed = contrastNeeded(item.text!.set.size * cssPerPixel(layout.placement), node.weight);
  if (measured >= needed) return [];
  return [
    { code: "low-contrast", level: "must-fix", ...named(item), measured, needed, unit: "ratio" },
  ];
}

/** What is painted behind a text, as luminances; undefined for what is not text. */
export function groundOf(
  layout: Layout,
  item: Placed,
  index: number,
): { darkest: number; lightest: number } | undefined {
  const { node } = item;
  if (node.type !== "text") return undefined;
  const behind = layout.placed.slice(0, index);
  return wordGround(node, inkOf(item), behind, layout.resolved.palette.backdrop);
}

/** The least contrast of a text against what is painted behind it; undefined for what is not text. */
export function contrastOf(layout: Layout, item: Placed, index: number): number | undefined {
  const { node } = item;
  const tone = groundOf(layout, item, index);
  if (node.type !== "text" || !tone) return undefined;
  return Math.min(wordContrast(node, tone.darkest), wordContrast(node, tone.lightest));
}

function checkResolution({ node, crop, box }: Placed): Finding[] {
  if (node.type !== "picture" || node.file.vector || !crop) return [];
  const measured = crop.width / box.width;
  if (measured >= LEAST_RESOLUTION) return [];
  return [
    {
      code: "low-resolution",
      level: "look-again",
      node: node.id,
      role: node.role,
      measured: 100 * measured,
      needed: 100 * LEAST_RESOLUTION,
      unit: "percent",
    },
  ];
}

function checkCharacters(item: Placed): Finding[] {
  if (item.node.type !== "text") return [];
  const missing = missingCharacters(item.node.text, item.node.paragraph.style.chain);
  if (missing.length === 0) return [];
  return [
    {
      code: "no-such-character",
      level: "must-fix",
      ...named(item),
      about: missing.map(spelled).join(", "),
    },
  ];
}

/** The character and its Unicode number, since a missing one often cannot be seen. */
const spelled = (character: string): string =>
  `${character} (U+${character.codePointAt(0)!.toString(16).toUpperCase().padStart(4, "0")})`;

function checkLeftOut(layout: Layout): Finding[] {
  const rules = layout.placed.some(({ node }) => RULING_SLOTS.includes(node.role));
  return layout.leftOut
    .filter(({ why }) => why !== "hidden" && why !== "not-for-this-shape")
    .map(({ id, why }): Finding => {
      const node = layout.resolved.piece.arrangement.find((candidate) => candidate.id === id);
      const base = { node: id, role: node?.role ?? "" };
      if (why === "no-area") return { ...base, code: "no-area", level: "look-again" };
      if (why === "file-missing") return { ...base, code: "file-missing", level: "must-fix" };
      if (CANNOT_BE_PAINTED.has(why))
        return { ...base, code: "cannot-be-painted", level: "look-again", about: why };
      return { ...base, ...missed(node, rules, roomOf(layout.placement) !== "little") };
    });
}

const CANNOT_BE_PAINTED: ReadonlySet<string> = new Set([
  "not-painted-yet",
  "unknown-icon",
  "too-long-for-code",
]);

/** How much what had no room is missed. A fact is what a graphic was made for, where there is room for a message. */
function missed(
  node: Node | undefined,
  rules: boolean,
  large: boolean,
): Pick<Finding, "code" | "level" | "slot"> {
  const { role, keep, slot } = node ?? {};
  if (role === "logo") return { code: "logo-left-out", level: "look-again" };
  if (keep === "always" || (role === "headline" && !rules))
    return { code: "always-left-out", level: "must-fix" };
  if (slot === undefined) return { code: "left-out", level: "note" };
  const level = large && isFact(slot) ? "look-again" : "note";
  return { code: "left-out", level, slot };
}
