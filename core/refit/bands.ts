import { between } from "../geometry";
import type { Block } from "./block";
import type { Draft } from "./draft";
import { groupGap } from "./gaps";
import { hasMedia, type Parts } from "./parts";
import { belongsToEdge } from "./ornament";
import { TEXT_ALONE, type Stage } from "./stage";
import {
  detailsBlock,
  footRow,
  footStack,
  head,
  roomIn,
  twoColumns,
  withoutLast,
  wordLayouts,
  type WordRoom,
} from "./words";
import { stack } from "./block";

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
        via: `picture above, ${block.name}`,
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

/** The words in every layout, in the room that pictures of several heights leave them. */
function* blocksBelow(
  stage: Stage,
  parts: Parts,
  size: number,
): Generator<Block & { name: string }> {
  for (const [name, layout] of Object.entries(wordLayouts)) {
    const spread = name === "head and foot";
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
      via: "picture between",
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

/** Where nothing but words is there, they need not stay as small as beside a picture. */
const LARGER = [TEXT_ALONE, 1.25, 1];

const pairsOf = <A, B>(some: readonly A[], others: readonly B[]): [A, B][] =>
  some.flatMap((one) => others.map((other): [A, B] => [one, other]));

/** No picture at all: words from the top, the foot at the bottom, the space in between one calm area. */
export function* wordsAlone(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { photos: _photos, ornament: _ornament, ...rest } = parts;
  const bare: Parts = { ...rest, photos: [] };
  const alone = !hasMedia(parts);
  const { field } = stage;
  const layouts = [wordLayouts["head and foot"], wordLayouts.stack, twoColumns];
  for (const [layout, times] of pairsOf(layouts, alone ? LARGER : [1])) {
    const block = layout(roomIn(stage, bare, field, times * size));
    if (!block) continue;
    const free = field.height - block.height;
    // A few words in a large field stand a little above its middle.
    const y = field.y + free * (layout === twoColumns ? 0.5 : 0.4);
    yield {
      via: "words alone",
      parts: bare,
      words: block.place(
        field.x + (stage.align === 0.5 ? 0.5 : 0) * (field.width - block.width),
        y,
      ),
      change: alone ? 0 : 2.5,
    };
  }
}
