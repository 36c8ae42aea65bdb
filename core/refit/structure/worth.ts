import { isFact, RULING_SLOTS } from "../../message";
import type { ResolvedNode } from "../../resolve";
import type { Stage } from "./stage";

/** What it costs to leave a node out of a frame that is too small for a message, by its importance 1..5. By eye. */
const BY_IMPORTANCE = [0, 0.3, 0.42, 0.8, 1.3, 6] as const;
/** What a person asked to keep only if there is room goes before everything else. */
const IF_ROOM = 0.2;

/** What it costs in a frame that has room for a message: far more than any layout can be worth. By eye. */
const SAID = 8;
/** A low banner is read better with its facts alone than with everything in small print. By eye. */
const SAID_LOW = 2;
const LOGO_LOW = 3;
const FACT = 14;
const RULING = 40;
const LOGO = 5;
const PHOTO = 6;
export const SHOWN = 0.4;
/** A small frame has room for a sign before it has room for a sentence. */
const SMALL_LOGO = 1.25;

/** How much a node is missed on a placement when it is left out; higher is missed more. */
export function worthOf(stage: Stage, node: ResolvedNode, keepIfRoom: boolean): number {
  const { role, slot = "", importance } = node;
  const ruling = node === stage.parts.headline || RULING_SLOTS.includes(role);
  if (node.type === "logo") return { all: LOGO, facts: LOGO_LOW, little: SMALL_LOGO }[stage.room];
  if (stage.room === "little") return keepIfRoom ? IF_ROOM : BY_IMPORTANCE[importance]!;
  if (node.type === "text")
    return ruling ? RULING : isFact(slot) || role === "cta" ? FACT : said(stage);
  if (node.type === "picture") return PHOTO;
  return node.type === "code" ? LOGO : SHOWN;
}

const said = ({ room }: Stage): number => (room === "all" ? SAID : SAID_LOW);
