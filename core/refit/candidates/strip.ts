import { luminance } from "../../colour";
import { between } from "../../geometry";
import { abreast, platePad, stack, textBlock, type Block } from "../words/block";
import { mostHeadline } from "../words/common";
import type { Draft } from "./draft";
import { GAP } from "../structure/gaps";
import { logoIn } from "../words/logo";
import { hasMedia, type Parts } from "../structure/parts";
import { setToFit } from "../../type";
import type { Stage } from "../structure/stage";
import { detailsBlock, type WordLayout, type WordRoom } from "../words/words";
import { ctaBlock } from "../words/signature";

/** Wider than this and everything stands on one line. */
const LEAST_RATIO = 2.6;
/** Text in a strip takes at least this share of its height, so that it is not lost beside the headline. */
const TEXT_HEIGHT = 0.16;
/** A picture in a strip: its width as a multiple of the frame's height, and as a share of the width. */
const MEDIA = [
  [2.1, 0.26],
  [1.4, 0.2],
] as const;

/** The logo in a strip takes this share of the width at most. */
const MOST_MARK = 0.3;

/** For very wide frames: picture, headline with its lines, call to action, mark, on one centre line. */
export function* strip(stage: Stage, parts: Parts, text: number): Generator<Draft> {
  if (stage.ratio < LEAST_RATIO) return;
  const { ornament: _ornament, ...rest } = parts;
  const bare: Parts = { ...rest, photos: [] };
  const inner = Math.max(stage.kept.x, 0.16 * stage.frame.height);
  for (const [layout, size, how] of [
    [headOverLine, Math.max(text, TEXT_HEIGHT * stage.frame.height), {}],
    [headBesideLines, text, { words: "lines-beside" }],
  ] as const) {
    for (const [byHeight, byWidth] of hasMedia(parts) ? MEDIA : []) {
      const width = Math.min(byHeight * stage.frame.height, byWidth * stage.frame.width);
      const from = Math.max(width + stage.padding, stage.kept.x);
      const words = row(stage, parts, size, from, layout);
      if (!words) continue;
      const media = between(0, 0, width, stage.frame.height);
      yield { layoutId: { kind: "strip-with-picture", ...how }, parts, words, media, change: 1 };
    }
    const words = row(stage, bare, size, inner, layout);
    if (words) yield { layoutId: { kind: "strip", ...how }, parts: bare, words, change: 1 };
  }
}

function row(stage: Stage, parts: Parts, size: number, from: number, layout: WordLayout) {
  const { kept } = stage;
  const inner = Math.max(0, 0.16 * stage.frame.height - (stage.frame.width - stage.rightEdge));
  const gap = Math.max(GAP.gutter * size, 0.22 * kept.height);
  const room: WordRoom = {
    stage,
    parts,
    size,
    width: stage.rightEdge - inner - from,
    height: kept.height,
    align: 0,
  };
  const rightHand: Block[] = [];
  if (parts.cta) {
    const cta = ctaBlock(room);
    if (!cta || cta.height > kept.height) return undefined;
    rightHand.push(cta);
  }
  if (parts.logo) {
    const most = { width: MOST_MARK * room.width, height: kept.height };
    const mark = logoIn(stage, parts.logo, luminance(stage.ground), most, "mark");
    if (!mark) return undefined;
    rightHand.push(mark);
  }
  const taken = rightHand.reduce((sum, block) => sum + block.width + gap, 0);
  if (taken - gap > room.width) return undefined;
  const words = layout({ ...room, width: room.width - taken });
  if (!words && (parts.headline || parts.details.length > 0)) return undefined;
  const middle = kept.y + kept.height / 2;
  const placed = words?.place(from, middle - words.height / 2) ?? [];
  let x = stage.rightEdge - inner;
  for (const block of rightHand.reverse()) {
    placed.push(...block.place(x - block.width, middle - block.height / 2));
    x -= block.width + gap;
  }
  return placed;
}

/** The kicker has no place in a strip; the line under the headline is set only if there is height for it. */
const headOverLine: WordLayout = (room) => {
  const { parts, size } = room;
  const [detail] = parts.details;
  if (parts.above.length > 0 || parts.details.length > 1) return undefined;
  if (detail && detail.type !== "text") return undefined;
  const line = detail && detailsBlock(room, [detail]);
  if (detail && !line) return undefined;
  const gap = line ? GAP.tight * size : 0;
  if (!parts.headline) return line;
  const words = headline(room, room.width, (line?.height ?? 0) + gap);
  return words && line ? stack([words, line], [gap]) : words;
};

/** The widest column of lines beside a headline, as a share of the width. */
const MOST_LINES = 0.45;

/** As high a headline as the strip allows, and all its lines in a column beside it. */
const headBesideLines: WordLayout = (room) => {
  const { parts, size } = room;
  if (parts.above.length > 0 || parts.details.length === 0) return undefined;
  const lines = detailsBlock({ ...room, width: MOST_LINES * room.width }, parts.details);
  const gap = GAP.gutter * size;
  if (!lines || lines.height > Math.min(room.height, AIRY * room.stage.frame.height))
    return undefined;
  const words = headline(room, room.width - lines.width - gap, 0);
  return words && abreast(words, lines, gap);
};

/** Words in a strip need air above and below even where the margin is thin: the share that they may take. */
const AIRY = 0.74;

function headline({ stage, parts, size, height }: WordRoom, width: number, taken: number) {
  if (!parts.headline) return undefined;
  const set = setToFit(parts.headline.paragraph, {
    width,
    height: Math.min(height, AIRY * stage.frame.height) - taken,
    min: Math.max(stage.floor, 1.15 * size),
    max: Math.min(0.62 * stage.frame.height, mostHeadline(stage)),
    mostLines: 2,
    pad: platePad(parts.headline),
  });
  return set && textBlock(parts.headline, set);
}
