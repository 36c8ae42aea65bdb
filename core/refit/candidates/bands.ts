import { between, type Box } from "../../geometry";
import { BADGE_SHARE } from "../words/badge";
import type { Draft } from "./draft";
import { groupGap } from "../structure/gaps";
import { hasMedia, type Parts } from "../structure/parts";
import { bandsAround, belongsToEdge, emblemBehind, isEmblem } from "./ornament";
import type { Stage } from "../structure/stage";
import {
  detailsBlock,
  footRow,
  footStack,
  head,
  roomIn,
  twoColumns,
  withoutLast,
  wordLayouts,
  type WordLayout,
  type WordRoom,
} from "../words/words";
import { signedLayouts } from "../words/signed";
import { wideLayouts } from "../words/wide";
import { stack, type Block } from "../words/block";

/** Shares of the frame's height that a picture may take. */
const SHARES = [0.36, 0.42, 0.48, 0.54, 0.6];
/** In a tower a picture as high as it is wide is enough; the words below it reach down to the foot. */
const TOWER_SHARES = [0.2, 0.27, 0.36, 0.46];
const TOWER = 0.62;

/** Horizontal bands: a picture above the words. The picture takes what the words leave, so nothing is left over. */
export function* pictureAbove(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  if (!hasMedia(parts)) return;
  for (const onMedia of parts.logo && parts.photos.length > 0 ? [true, false] : [false]) {
    const { logo: _logo, ...bare } = parts;
    for (const block of blocksBelow(stage, onMedia ? bare : parts, size)) {
      const y = stage.bottomEdge - block.height;
      yield {
        layoutId: { kind: "picture-above", words: block.name },
        parts,
        words: block.place(stage.kept.x, y),
        media: between(0, 0, stage.frame.width, y - stage.padding),
        logoOnMedia: onMedia,
        change:
          (parts.mediaFirst ? 0 : 1) +
          (onMedia === parts.logoOnMedia ? 0 : 0.5) +
          (stage.isWide ? 2 : 0),
      };
    }
  }
}

type Entries = [keyof typeof wordLayouts, WordLayout][];

/** The words in every layout, in the room that pictures of several heights leave them. */
function* blocksBelow(
  stage: Stage,
  parts: Parts,
  size: number,
): Generator<Block & { name: keyof typeof wordLayouts }> {
  for (const [name, layout] of Object.entries(wordLayouts) as Entries) {
    const spread = name === "head-and-foot";
    if (spread && stage.ratio > TOWER) continue;
    let higher: Block | undefined;
    for (const share of spread ? TOWER_SHARES : SHARES) {
      const top = Math.max(share * stage.frame.height + stage.padding, stage.kept.y);
      const region = between(stage.kept.x, top, stage.rightEdge, stage.bottomEdge);
      // What fits into less room than it had is what would come out again, but for words that fill their room.
      if (higher && !spread && higher.height <= region.height) continue;
      const block = layout(roomIn(stage, parts, region, size));
      // And what does not fit into more room does not fit into less.
      if (!block) break;
      higher = block;
      yield { ...block, name };
    }
  }
}

/** Words at the top, the picture or ornament in the middle, logo and call to action at the bottom. */
export function* pictureBetween(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  if (!hasMedia(parts) || footCutsOrnament(stage, parts)) return;
  const { kept } = stage;
  const foot = footOf(roomIn(stage, parts, kept, size));
  if (!foot) return;
  const gaps = foot.block ? 2 * stage.padding : stage.padding;
  for (const share of [0.16, 0.22, 0.3, 0.4, 0.5]) {
    const height =
      kept.height -
      (foot.block?.height ?? 0) -
      gaps -
      share * Math.min(stage.frame.height, 1.4 * stage.frame.width);
    const top = topOf({ ...roomIn(stage, parts, kept, size), height }, foot.usesLast);
    if (!top) continue;
    const footTop = foot.block
      ? stage.bottomEdge - foot.block.height
      : stage.frame.height + stage.padding;
    const below = between(
      0,
      stage.bottomEdge + stage.padding,
      stage.frame.width,
      stage.frame.height,
    );
    yield {
      layoutId: { kind: "picture-between" },
      parts,
      words: [...top.place(kept.x, kept.y), ...(foot.block?.place(kept.x, footTop) ?? [])],
      media: between(
        0,
        kept.y + top.height + stage.padding,
        stage.frame.width,
        footTop - stage.padding,
      ),
      ...(below.height > 0.08 * stage.frame.height ? { mediaAlso: below } : {}),
      change: (parts.mediaFirst ? 1 : 0) + (stage.isWide ? 2 : 0),
    };
  }
}

/** What rises from the frame's foot would be cut off by a foot of words. */
const footCutsOrnament = (stage: Stage, { ornament, photos, cta, logo }: Parts): boolean =>
  ornament !== undefined &&
  photos.length === 0 &&
  (cta ?? logo) !== undefined &&
  belongsToEdge(stage, ornament);

/** The foot as a row, or as a stack where a row is too wide; no block when there is nothing to stand there. */
function footOf(room: WordRoom): { block?: Block; usesLast: boolean } | undefined {
  const row = footRow(room);
  if (row) return row;
  if (!room.parts.cta && !room.parts.logo) return { usesLast: false };
  const block = footStack(room);
  return block ? { block, usesLast: false } : undefined;
}

function topOf(room: WordRoom, usesLast: boolean): Block | undefined {
  const details = usesLast ? withoutLast(room.parts.details) : room.parts.details;
  if (details.length === 0) return head(room);
  const lines = detailsBlock(room, details);
  if (!lines) return undefined;
  const gap = groupGap(room);
  const top = head({ ...room, height: room.height - lines.height - gap });
  return top && stack([top, lines], [gap]);
}

/** No picture at all: words from the top, the foot at the bottom, the space in between one calm area. */
export function* wordsAlone(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { photos: _photos, ornament, ...rest } = parts;
  const behind = ornament && isEmblem(ornament) ? emblemBehind(stage, ornament) : undefined;
  const around = ornament && !behind ? bandsAround(stage) : undefined;
  const drawn = ornament && (behind ?? around) ? { ornament } : {};
  const bare: Parts = { ...rest, photos: [], ...drawn };
  const alone = behind !== undefined || around !== undefined || !hasMedia(parts);
  const align = stage.align === 0.5 ? 0.5 : 0;
  for (const { block, region } of blocksAlone(stage, bare, size, alone)) {
    // A few words in a large field stand a little above its middle.
    const y = region.y + (region.height - block.height) * (stage.isWide ? 0.5 : 0.4);
    yield {
      layoutId: { kind: "words-alone" },
      parts: bare,
      words: block.place(region.x + align * (region.width - block.width), y),
      ...(behind ? { behind } : {}),
      ...around,
      change: alone ? 0 : 2.5,
    };
  }
}

/** The words in every layout: with the largest text that fits, and with one that leaves more to the headline. */
function* blocksAlone(
  stage: Stage,
  parts: Parts,
  size: number,
  alone: boolean,
): Generator<{ block: Block; region: Box }> {
  const { field } = stage;
  const sizes = alone ? stage.sizesAlone(size) : [size];
  const fields: { region: Box; headWidth?: number }[] = [{ region: field }];
  if (parts.badge) fields.push({ region: besideBadge(stage) });
  if (stage.beyond && stage.align !== 0.5) fields.push(stage.beyond);
  for (const layout of layoutsAlone(stage, alone)) {
    let found = 0;
    for (const size of sizes) {
      if (found === TRIED && !parts.badge) break;
      for (const { region, ...head } of fields) {
        const room = { ...roomIn(stage, parts, region, size), ...head };
        const plain = layout(room);
        if (!plain) continue;
        found++;
        yield { block: plain, region };
        const bold = alone && BOLD.has(layout) ? layout({ ...room, bold: true }) : undefined;
        if (bold) yield { block: bold, region };
      }
    }
  }
}

function layoutsAlone(stage: Stage, alone: boolean): readonly WordLayout[] {
  if (!alone) return FEW;
  if (stage.isWide) return WIDE;
  // Slides of a set are read alike, one thing under the other.
  return stage.ratio < TOWER || stage.isOfSet ? TALL : UPRIGHT;
}

/** What a badge of its usual size leaves of the field: beside it in a wide frame, above it in any other. */
function besideBadge({ field, extent, unit, isWide }: Stage): Box {
  const taken = BADGE_SHARE * extent + 2 * unit;
  return isWide
    ? { ...field, width: Math.max(0, field.width - taken) }
    : { ...field, height: Math.max(0, field.height - taken) };
}

/** So many sizes of text are tried in each layout of words that stand alone; all where a badge needs room too. */
const TRIED = 2;

const WIDE: readonly WordLayout[] = [...Object.values(wordLayouts), ...Object.values(wideLayouts)];
const UPRIGHT: readonly WordLayout[] = [
  ...Object.values(wordLayouts),
  ...Object.values(signedLayouts),
];
/** Where a picture would be left out for it, words alone are a last resort. */
const FEW: readonly WordLayout[] = [
  wordLayouts["head-and-foot"],
  wordLayouts.stack,
  wideLayouts["beside-the-headline"],
];
/** Two columns in a tower are too narrow to be read. */
const TALL = UPRIGHT.filter(
  (layout) => layout !== twoColumns && layout !== signedLayouts["signed above, two columns"],
);
/** In upright frames a headline of uneven lines may be far larger. */
const BOLD: ReadonlySet<WordLayout> = new Set([
  wordLayouts.stack,
  wordLayouts["head-and-foot"],
  signedLayouts["signed above"],
  signedLayouts["signed above, head and foot"],
]);
