import { between, bottom, contains, inset, right, type Box } from "../../geometry";
import { bodyOf } from "../../shape";
import type { ResolvedNode, ShapeNode } from "../../resolve";
import type { Draft } from "./draft";
import { groupGap } from "../structure/gaps";
import { nodesOf, type Item, type Parts } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { roomIn, type WordLayout, wordLayouts } from "../words/words";

/** Wider than this the frame is a strip, and the plate becomes its ground. */
const MOST_RATIO = 2.6;
/** Between a card's edge and its words: so many sizes of the text, and at least this share of its short side. */
const PADDING = 1.6;
const LEAST_PADDING = 0.075;
const LAYOUTS = ["head-and-foot", "stack", "two-columns"] as const;

/** Words that were composed on a plate of their own stay on it, and the others below it. */
export function* onCard(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { plate, isCard } = parts;
  if (!plate || !isCard || stage.ratio > MOST_RATIO) return;
  for (const larger of stage.sizesAlone(size)) yield* cards(stage, parts, plate, larger);
}

function* cards(stage: Stage, parts: Parts, plate: ShapeNode, size: number): Generator<Draft> {
  const { inside, outside } = parted(parts, plate);
  const ground = stage.resolved.palette.backdrop;
  const rest = roomIn(stage, outside, stage.kept, size);
  for (const foot of footsOf(outside)) {
    const below = foot && foot({ ...rest, ground });
    if (foot && !below) continue;
    const gap = below ? groupGap(rest) : 0;
    const field = { ...stage.kept, height: stage.kept.height - (below?.height ?? 0) - gap };
    for (const name of LAYOUTS) {
      const card = cardOf(stage, inside, plate, field, name, size);
      if (!card) continue;
      const spare = name === "head-and-foot" ? 0 : field.height - card.box.height;
      const moved = { ...card.box, y: card.box.y + spare / 2 };
      const words = card.place(spare / 2);
      const footTop = bottom(moved) + gap;
      yield {
        layoutId: { kind: "card", words: name },
        parts,
        words: [...words, ...(below?.place(stage.kept.x, footTop) ?? [])],
        plate: moved,
        change: 0,
      };
    }
  }
}

function cardOf(
  stage: Stage,
  parts: Parts,
  plate: ShapeNode,
  field: Box,
  name: (typeof LAYOUTS)[number],
  size: number,
) {
  const body = bodyOf(plate.shape, field);
  const short = Math.min(body.width, body.height);
  const pad = Math.max(PADDING * size, LEAST_PADDING * short);
  const room = inset(body, pad);
  if (room.width <= 0 || room.height <= 0) return undefined;
  const block = wordLayouts[name](roomIn(stage, parts, room, size));
  if (!block) return undefined;
  // As high as its words; its tail, if it has one, comes on top of that.
  const height = (block.height + 2 * pad) * (field.height / body.height);
  const x = room.x + (stage.align === 0.5 ? 0.5 : 0) * (room.width - block.width);
  return {
    box: between(field.x, field.y, right(field), field.y + height),
    place: (lower: number) => block.place(x, room.y + lower),
  };
}

/** What stands on the plate at the lead size, and what does not. */
function parted(parts: Parts, plate: ShapeNode): Record<"inside" | "outside", Parts> {
  const isOn = (node: ResolvedNode) => node.on === plate.id || contains(plate.box, node.box);
  const pick = (wanted: boolean): Parts => {
    const { headline, cta, logo, ...rest } = parts;
    const fits = (node: ResolvedNode | undefined) => node && isOn(node) === wanted;
    const items = (all: readonly Item[]) =>
      all.filter((item) => nodesOf(item).every((node) => isOn(node) === wanted));
    return {
      ...rest,
      above: items(rest.above),
      details: items(rest.details),
      sender: rest.sender.filter((node) => isOn(node) === wanted),
      ...(headline && fits(headline) ? { headline } : {}),
      ...(cta && fits(cta) ? { cta } : {}),
      ...(logo && fits(logo) ? { logo } : {}),
    };
  };
  return { inside: pick(true), outside: pick(false) };
}

const isEmpty = ({ above, headline, details, cta, logo, sender }: Parts): boolean =>
  [above, details, sender].every((all) => all.length === 0) && !headline && !cta && !logo;

const footsOf = (outside: Parts): (WordLayout | undefined)[] =>
  isEmpty(outside) ? [undefined] : [wordLayouts["foot-line"], wordLayouts.stack];
