import {
  CONTRAST_GRAPHIC,
  contrastNeeded,
  luminance,
  luminanceContrast,
  type Hex,
} from "../../colour";
import { area, between, bottom, inset, intersect, overlaps, right, type Box } from "../../geometry";
import { groundBehind, underScrim } from "./ground";
import type { Placed, ShownLogo, Scrim } from "../layout";
import { boundsOf } from "./media";
import type { Stage } from "../structure/stage";
import { seenBoxes, softBoxes } from "./subjects";

const STEP = 0.04;
/** Tones are read off a coarse grid, so a little more contrast is asked for than is needed. */
const SAFETY = 1.12;
/** A scrim goes beyond its words by so many sizes of the text, and fades over so much of the frame. */
const REACH = 1.4;
const FADE = 0.3;
/** The ink of a logo for such grounds, where nothing is known of its file. By eye. */
const USUAL_INK = { light: 0.02, dark: 0.85 } as const;

interface Claim {
  ink: Box;
  own: number;
  needed: number;
}

/**
 * Lays a colour of the brand over pictures where words on them could not be read, by the least that suffices,
 * but no less than the brand's own plate strength. The layout itself stays as it is.
 */
export function withScrims(stage: Stage, placed: readonly Placed[]): Placed[] {
  return placed.map((item, index) => {
    if (item.node.type !== "picture") return item;
    const claims = placed.slice(index + 1).flatMap((other) => claimOn(stage, item, other, placed));
    const scrim = scrimFor(stage, item, claims);
    return scrim ? { ...item, scrim } : item;
  });
}

/** What a thing asks of the picture that it stands on; nothing when something else is between them. */
function claimOn(stage: Stage, picture: Placed, other: Placed, placed: readonly Placed[]): Claim[] {
  const { node } = other;
  const ink = other.text?.ink ?? other.box;
  if (!overlaps(ink, picture.box)) return [];
  if (node.type === "text" ? node.plate !== undefined : node.type !== "logo") return [];
  const above = placed.slice(placed.indexOf(picture) + 1, placed.indexOf(other));
  if (above.some((item) => hides(item, ink))) return [];
  if (node.type === "text") {
    const css = other.text!.set.size * stage.css;
    const needed = contrastNeeded(css, node.weight);
    return [{ ink, own: luminance(node.colour), needed }];
  }
  const own = other.logo && logoOwn(other.logo);
  return own === undefined ? [] : [{ ink, own, needed: CONTRAST_GRAPHIC }];
}

/** The luminance of a logo's ink; undefined for one that reads anywhere, or on a plate of its own. */
function logoOwn({ logo, file: { art }, tint, plate }: ShownLogo): number | undefined {
  if (plate) return undefined;
  if (tint) return luminance(tint);
  if (logo.ground === "any") return undefined;
  const ink = art && (logo.ground === "light" ? art.dark : art.light);
  return ink ?? USUAL_INK[logo.ground];
}

const hides = (item: Placed, ink: Box): boolean =>
  (item.node.type === "picture" || (item.node.type === "shape" && item.node.role !== "ornament")) &&
  area(intersect(item.box, ink)) > 0.98 * area(ink);

function scrimFor(stage: Stage, picture: Placed, claims: Claim[]): Scrim | undefined {
  const hex = scrimColour(stage, claims);
  const over = luminance(hex);
  // A thing that would not be read on the scrim's own colour gets nothing from it.
  const helped = claims.filter(
    ({ own, needed }) => luminanceContrast(own, over) >= needed * SAFETY,
  );
  const alpha = Math.max(0, ...helped.map((claim) => leastAlpha(picture, claim, hex)));
  const strength =
    helped.length > 0 ? Math.max(alpha, stage.resolved.brand.defaults.plateStrength) : 0;
  if (strength === 0) return undefined;
  const inks = boundsOf(helped.map(({ ink }) => ink))!;
  const shape = shapeOf(stage, picture.box, inset(inks, -REACH * stage.unit));
  return {
    hex,
    alpha: strength,
    ...shape,
    fade: fadeBefore(shape, [...seenBoxes(picture), ...softBoxes(picture)]),
  };
}

/** It ends before the nearest face or thing, but never in a hard edge. */
const LEAST_FADE = 0.2;

function fadeBefore({ side, solid, fade }: Omit<Scrim, "hex" | "alpha">, kept: Box[]): number {
  if (side === "all") return fade;
  const gapTo = {
    bottom: (b: Box) => solid.y - bottom(b),
    top: (b: Box) => b.y - bottom(solid),
    left: (b: Box) => b.x - right(solid),
    right: (b: Box) => solid.x - right(b),
  }[side];
  const gaps = kept.map(gapTo).filter((gap) => gap > 0);
  return Math.max(LEAST_FADE * fade, Math.min(fade, ...gaps));
}

/** The ground's own colour, or the first of the brand's on which more can be read. */
function scrimColour(stage: Stage, claims: readonly Claim[]): Hex {
  const reads = (hex: Hex): number => {
    const over = luminance(hex);
    return claims.filter(({ own, needed }) => luminanceContrast(own, over) >= needed * SAFETY)
      .length;
  };
  const colours = stage.resolved.brand.colours.map(({ hex }) => hex);
  return colours.reduce((best, hex) => (reads(hex) > reads(best) ? hex : best), stage.ground);
}

function leastAlpha(picture: Placed, { ink, own, needed }: Claim, hex: Hex): number {
  const tone = groundBehind(intersect(ink, picture.box), [picture], hex);
  const reads = (alpha: number): boolean => {
    const { darkest, lightest } = underScrim(tone, hex, alpha);
    const least = Math.min(luminanceContrast(own, darkest), luminanceContrast(own, lightest));
    return least >= needed * SAFETY;
  };
  for (let alpha = 0; alpha < 1; alpha += STEP) if (reads(alpha)) return alpha;
  return 1;
}

/** From the edge of the picture that is nearest to the words, so that the least of it is covered. */
function shapeOf(stage: Stage, at: Box, words: Box): Pick<Scrim, "solid" | "side" | "fade"> {
  const fromTop = between(at.x, at.y, right(at), bottom(words));
  const fromBottom = between(at.x, words.y, right(at), bottom(at));
  const fromLeft = between(at.x, at.y, right(words), bottom(at));
  const fromRight = between(words.x, at.y, right(at), bottom(at));
  const sides = [
    ["bottom", fromBottom],
    ["top", fromTop],
    ["left", fromLeft],
    ["right", fromRight],
  ] as const;
  const [side, part] = sides.reduce((best, one) => (area(one[1]) < area(best[1]) ? one : best));
  const solid = intersect(part, at);
  if (area(solid) > 0.85 * area(at)) return { side: "all", solid: at, fade: 0 };
  const along = side === "top" || side === "bottom" ? stage.frame.height : stage.frame.width;
  return { side, solid, fade: FADE * along };
}
