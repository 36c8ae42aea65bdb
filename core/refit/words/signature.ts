import { luminance } from "../../colour";
import type { TextNode } from "../../resolve";
import { setAt } from "../../type";
import { GAP } from "../structure/gaps";
import type { Stage } from "../structure/stage";
import { abreast, buttonBlock, ends, stack, textBlock, type Block } from "./block";
import { logoIn } from "./logo";
import type { WordRoom } from "./words";

/** What a button reaches beyond its words, in em; half of it where room is scarce. */
export const buttonPad = ({ tight }: Stage, { plate }: TextNode): number =>
  (tight ? 0.5 : 1) * (plate?.padding ?? 0);

export function ctaBlock({ stage, parts, width, size }: SignRoom): Block | undefined {
  const { cta } = parts;
  if (!cta) return undefined;
  return stage.once(cta, [width, size], () => {
    const pad = buttonPad(stage, cta);
    const set = setAt(cta.paragraph, size, width - 2.5 * pad * size, 2);
    return set && buttonBlock(cta, set, pad);
  });
}

type SignRoom = Pick<WordRoom, "stage" | "parts" | "width" | "size" | "ground">;

/** A logo beside other things takes this share of the width at most. */
const LOGO_WIDTH = 0.6;

/** The brand's logo on its plain ground; undefined where there is none, or no room for one. */
function panelLogo(
  { stage, parts, width, ground = stage.ground }: SignRoom,
  share = LOGO_WIDTH,
): Block | undefined {
  const { logo } = parts;
  if (!logo) return undefined;
  const on = luminance(ground);
  return stage.once(logo, [share * width, on, PANEL], () =>
    logoIn(stage, logo, on, { width: share * width }),
  );
}

/** Told apart from what else is kept of a logo. */
const PANEL = -2;

/** Handle and site, one under the other; undefined when there is none or one is too long. */
function senderLines({ stage, parts, width, size }: SignRoom, align: number): Block | undefined {
  if (parts.sender.length === 0) return undefined;
  const own = stage.smaller(size, SENDER);
  return stage.once(parts.sender, [width, own, align], () =>
    linesOf(parts.sender, own, width, align),
  );
}

function linesOf(
  sender: readonly TextNode[],
  own: number,
  width: number,
  align: number,
): Block | undefined {
  const blocks = sender.map((node) => {
    const set = setAt(node.paragraph, own, width, 1);
    return set && textBlock(node, set);
  });
  if (blocks.some((block) => block === undefined)) return undefined;
  return stack(
    blocks as Block[],
    blocks.slice(1).map(() => GAP.tight * own),
    align,
  );
}

/** The sender's lines are a little smaller than the text. */
const SENDER = 0.92;

/** Logo and sender as they stand in one room: side by side, at both margins, or one under the other. */
type Signature = { block?: Block };

/** Everything that signs, or undefined when a part of it has no room: then the layout is none. */
function signed(room: SignRoom, make: (logo?: Block, lines?: Block) => Block | undefined) {
  const { parts } = room;
  const logo = panelLogo(room, parts.sender.length > 0 ? LOGO_WIDTH : 1);
  const lines = senderLines(room, 0);
  if ((parts.logo && !logo) || (parts.sender.length > 0 && !lines)) return undefined;
  if (!logo && !lines) return {};
  const block = logo && lines ? make(logo, lines) : (logo ?? lines);
  return block && { block };
}

const signGap = ({ stage, size }: SignRoom): number => (stage.tight ? 0.8 : 1.2) * size;

/** The lines right beside the logo. */
export const signAbreast = (room: SignRoom): Signature | undefined =>
  signed(room, (logo, lines) => {
    const block = abreast(logo!, lines!, signGap(room));
    return block.width <= room.width ? block : undefined;
  });

/** The logo at one margin, the lines at the other. */
export const signAtMargins = (room: SignRoom): Signature | undefined =>
  signed(room, (logo, lines) => ends(logo!, lines!, room.width, signGap(room)));
export const signStacked = (room: SignRoom, align: number): Signature | undefined =>
  signed(room, (logo, lines) => stack([logo!, lines!], [0.8 * room.size], align));
