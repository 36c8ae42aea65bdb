import { leastWidthOf, LETTERED, logoFor, mayStandOn, type Logo } from "../../brand";
import { CONTRAST_GRAPHIC, luminance, luminanceContrast } from "../../colour";
import { area, box, inset, type Box } from "../../geometry";
import { isOutline, type LogoNode, type LogoVersion } from "../../resolve";
import { setAt, setToFit } from "../../type";
import { textBlock, type Block } from "./block";
import type { Placed, ShownLogo } from "../layout";
import type { Stage } from "../structure/stage";

type Kind = Logo["kind"];

/** How far a plate reaches beyond its logo, as a share of the logo's mean side. */
const PLATE_PAD = 0.3;

/**
 * How the logo can be seen on a ground of that luminance: the kit's version for it; else one that is filled with the
 * colour of the words there; else one on a plate in a colour of the brand. `kinds` in the order of preference;
 * undefined when the kit has none of them.
 */
export function shownOn(
  stage: Stage,
  node: LogoNode,
  kinds: readonly Kind[],
  ground: number,
): ShownLogo | undefined {
  return stage.once(node, [kinds.indexOf("full"), kinds.indexOf("mark"), ground], () => {
    for (const way of [ofKit, inOneColour, onPlate]) {
      for (const kind of kinds) {
        const shown = way(stage, node, kind, ground);
        if (shown) return shown;
      }
    }
    return undefined;
  });
}

type Way = (stage: Stage, node: LogoNode, kind: Kind, ground: number) => ShownLogo | undefined;

const artOf = ({ versions }: LogoNode, wanted: Logo) =>
  versions.find(({ logo }) => logo === wanted)?.file.art;

const ofKit: Way = (_stage, node, kind, ground) => {
  const logos = node.versions.map(({ logo }) => logo);
  const wanted = logoFor(logos, kind, ground, (logo) => artOf(node, logo));
  return node.versions.find(({ logo }) => logo === wanted);
};

const inOneColour: Way = (stage, node, kind, ground) => {
  const version = node.versions.find(({ logo, file }) => logo.kind === kind && isOutline(file));
  if (!version) return undefined;
  const { palette } = stage.resolved;
  const colours = [palette.headline, palette.support, palette.backdrop, "#FFFFFF", "#000000"];
  const tint = colours.find((hex) => luminanceContrast(luminance(hex), ground) >= CONTRAST_GRAPHIC);
  return tint ? { ...version, tint } : undefined;
};

const onPlate: Way = ({ resolved: { brand } }, node, kind) => {
  const version = node.versions.find(({ logo }) => logo.kind === kind);
  if (!version) return undefined;
  const own = version.file.art?.ground;
  if (own) return { ...version, plate: own };
  const paper = brand.colours.filter(({ role }) => role === "paper");
  const colours = [...paper, ...brand.colours].map(({ hex }) => hex);
  const plate = [...colours, "#FFFFFF", "#000000"].find((hex) =>
    mayStandOn(version.logo, version.file.art, luminance(hex)),
  );
  return { ...version, plate: plate ?? "#FFFFFF" };
};

/** Of a frame's area, what a logo's ink takes whatever its shape. Common practice: 5 to 8 % of the height of a tall size. */
const AREA = 0.0098;
/** A mark says less with more, so it is a little larger. */
const MARK_AREA = 0.0115;
/** Of the frame's mean side. */
const HIGHEST = 0.16;
/** It may be smaller than it would like, down to this share of its sides, before another version does better. */
const LEAST_SCALE = 0.8;

export interface LogoRoom {
  width: number;
  height?: number;
  /** It takes all the room there is, whatever it usually takes. */
  fills?: boolean;
}

/** The sides of the ink: by its area, so that a long one is not tiny and a tall one not huge; undefined where it cannot be read. */
export function logoSize(
  stage: Stage,
  { art, logo }: LogoVersion,
  { width: mostWidth, height: mostHeight = Infinity, fills = false }: LogoRoom,
  leastScale = 0,
): { width: number; height: number } | undefined {
  const ratio = art.width / art.height;
  const share = ratio < LETTERED ? MARK_AREA : AREA;
  const least = leastWidthOf(logo, ratio) / stage.css;
  const usual = Math.min(Math.sqrt(share * ratio), HIGHEST * ratio) * stage.extent;
  const most = Math.min(mostWidth, mostHeight * ratio);
  const wanted = fills ? most : Math.max(usual, least);
  const width = Math.min(wanted, most);
  if (width < least - 1e-6 || width < leastScale * wanted) return undefined;
  return { width, height: width / ratio };
}

/** A logo at its size, with its plate where it needs one. */
function blockOf(
  stage: Stage,
  node: LogoNode,
  shown: ShownLogo,
  room: LogoRoom,
  leastScale: number,
): Block | undefined {
  const share = shown.plate ? 1 / (1 + 2 * padShare(shown.art)) : 1;
  const { width: mostWidth, height: mostHeight = Infinity, fills = false } = room;
  const inner = { width: share * mostWidth, height: share * mostHeight, fills };
  const size = logoSize(stage, shown, inner, leastScale);
  if (!size) return undefined;
  const clear = shown.logo.clear * Math.min(size.height, Math.sqrt(size.width * size.height));
  const pad = shown.plate ? PLATE_PAD * Math.sqrt(size.width * size.height) : 0;
  const [width, height] = [size.width + 2 * pad, size.height + 2 * pad];
  if (width > mostWidth || height > mostHeight) return undefined;
  return {
    width,
    height,
    baseline: height,
    clear: Math.max(0, clear - pad),
    place: (x, y) => [{ node, box: box(x, y, width, height), logo: shown, turn: 0 }],
  };
}

/** Padding over the shorter side, to see beforehand what is left for the ink. */
const padShare = ({ width, height }: Box): number =>
  (PLATE_PAD * Math.sqrt(width * height)) / Math.min(width, height);

/** Where the ink of a placed logo is: its box without its plate. */
export function logoInk({ box: at, logo }: Pick<Placed, "box" | "logo">): Box {
  if (!logo?.plate) return at;
  const ratio = logo.art.width / logo.art.height;
  // width = w + 2pad, height = h + 2pad, pad = PLATE_PAD √(w h), w = ratio h.
  const by = 2 * PLATE_PAD * Math.sqrt(ratio);
  const height = at.height / (1 + by);
  return inset(at, (at.height - height) / 2);
}

/** The room that a placed logo's kit asks for round it; a plate is a part of it. 0 for anything else. */
export function clearSpace(item: Pick<Placed, "box" | "logo">): number {
  if (!item.logo) return 0;
  const ink = logoInk(item);
  const clear = item.logo.logo.clear * Math.min(ink.height, Math.sqrt(area(ink)));
  return Math.max(0, clear - (ink.x - item.box.x));
}

/** The name in a colour of the spread that reads on a ground. */
function inkedOn({ resolved: { palette } }: Stage, { wordMark }: LogoNode, ground: number) {
  const colours = [palette.headline, palette.support, palette.backdrop, "#FFFFFF", "#000000"];
  const colour = colours.find((hex) => luminanceContrast(luminance(hex), ground) >= 4.5);
  return { ...wordMark, colour: colour ?? wordMark.colour };
}

/** The name set for a logo: a little smaller than a logo's letters would be, on two lines at most. */
const NAME_SIZE = 0.042;

function wordMark(stage: Stage, node: LogoNode, ground: number, room: LogoRoom): Block | undefined {
  const name = inkedOn(stage, node, ground);
  for (const size of [NAME_SIZE * stage.extent, 0.75 * NAME_SIZE * stage.extent, 0]) {
    const least = size > 0 ? Math.max(stage.least, size) : stage.floor;
    const set = setAt(name.paragraph, least, room.width, 2);
    if (set && set.height <= (room.height ?? Infinity)) return textBlock(name, set);
  }
  return undefined;
}

/** The brand's sign and nothing beside it, as large as the room: its mark before its full logo, else its name. */
export function signIn(
  stage: Stage,
  node: LogoNode,
  ground: number,
  { width, height }: Box,
): Block | undefined {
  const sign = logoIn(stage, node, ground, { width, height, fills: true }, "mark");
  if (sign && node.versions.length > 0) return sign;
  const { wordMark: name } = node;
  const fit = { width, height, min: stage.floor, max: height, mostLines: 3 };
  const set = setToFit(name.paragraph, fit);
  return set ? textBlock(inkedOn(stage, node, ground), set) : sign;
}

/**
 * The brand's sign on a ground of that luminance, in the room: the first of the wanted kinds that can be read there at
 * about its usual size, then a smaller one, then the brand's name.
 */
export function logoIn(
  stage: Stage,
  node: LogoNode,
  ground: number,
  room: LogoRoom,
  first: Kind = "full",
): Block | undefined {
  const kinds: Kind[] = first === "full" ? ["full", "mark"] : ["mark", "full"];
  for (const leastScale of [LEAST_SCALE, 0]) {
    for (const kind of kinds) {
      const shown = shownOn(stage, node, [kind], ground);
      const block = shown && blockOf(stage, node, shown, room, leastScale);
      if (block) return block;
    }
  }
  return wordMark(stage, node, ground, room);
}
