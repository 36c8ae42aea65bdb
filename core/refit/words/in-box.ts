import { between, box, centre, inset, right, TOLERANCE, type Box } from "../../geometry";
import { luminance } from "../../colour";
import type { LogoNode, ResolvedNode, TextNode } from "../../resolve";
import { setAt, setInColumns, setToFit, type SetText } from "../../type";
import type { Placed } from "../layout";
import { groundBehind, standsOnPicture } from "../pictures/ground";
import { inFrame } from "../pictures/media";
import { isDisplay } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { bentBlock, platePad } from "./block";
import { logoIn } from "./logo";

/** The size that a piece was composed in. */
export const isLead = ({ placement, resolved }: Stage): boolean =>
  placement.id === resolved.piece.lead;

/** Where the ink of words stands as they were composed, in lead pixels. */
export function composedInk(node: TextNode): Box {
  const set = node.size && setAt(node.paragraph, node.size, node.box.width);
  return set ? alignedIn(node.box, set, node) : node.box;
}

/** A node inside a given box; `scale` is output pixels a lead pixel. Undefined when its words do not fit. */
export function placeIn(
  stage: Stage,
  node: ResolvedNode,
  target: Box,
  scale: number,
  behind: Placed[],
): Placed | undefined {
  switch (node.type) {
    case "text":
      return placeText(stage, node, target, scale);
    case "picture":
      return inFrame(node, target, stage.clear);
    case "shape":
    case "icon":
    case "code":
      return { node, box: target, turn: node.turn };
    case "logo":
      return placeLogo(stage, node, target, behind);
  }
}

/** One line along a circle in the middle of its box, as large as it was given or as that holds. */
function placeBent(node: TextNode, target: Box, wanted: number): Placed | undefined {
  const set = node.arc ? setAt(node.paragraph, wanted, Infinity, 1) : undefined;
  const whole = set && bentBlock(node, set);
  if (!whole) return undefined;
  const by = Math.min(1, target.width / whole.width, target.height / whole.height);
  const fitting = by < 1 ? setAt(node.paragraph, by * wanted, Infinity, 1) : set;
  const block = fitting && bentBlock(node, fitting);
  const { x, y } = centre(target);
  return block?.place(x - block.width / 2, y - block.height / 2)[0];
}

function placeText(stage: Stage, node: TextNode, target: Box, scale: number): Placed | undefined {
  const bent = placeBent(node, target, (node.size ?? target.height / scale) * scale);
  if (bent) return bent;
  const room = node.plate ? insidePlate(node, target) : target;
  const wanted = (node.size ?? target.height / scale) * scale;
  const set = setInBox(stage, node, room, wanted);
  if (!set) return undefined;
  const ink = alignedIn(room, set, node);
  const box = plateOf(node, target, grown(ink, platePad(node) * set.size));
  return { node, box, text: { set, ink }, turn: node.turn };
}

/** A size that was chosen is kept while the words fit their box; running text is then broken as its measure asks. */
function setInBox(stage: Stage, node: TextNode, room: Box, wanted: number): SetText | undefined {
  const { paragraph, lines } = node;
  const display = isDisplay(node);
  const { width } = room;
  const height = room.height + (display ? TOLERANCE : 0.35 * wanted);
  const fit = { width, height, max: wanted, mostLines: 12, ...(lines ? { lines } : {}) };
  const asSized = display
    ? setToFit(paragraph, { ...fit, min: wanted - TINY })
    : setInColumns(paragraph, wanted, width, node.columns);
  const byHand = isLead(stage) || node.place !== undefined;
  // What a person set below the floor is kept and preflight says so; elsewhere it is laid out anew.
  const min = byHand ? Math.min(stage.floor, wanted) : stage.floor;
  if (asSized && asSized.height <= height && asSized.size >= min - TINY) return asSized;
  // A box that a person gave holds its words at any size.
  return (
    setToFit(paragraph, { ...fit, min }) ??
    (node.place ? setToFit(paragraph, { ...fit, min: TINY }) : undefined)
  );
}

const TINY = 1e-6;

/** A plate behind a block is the node's box; plates behind lines, like plain text, go with the ink. */
const plateOf = ({ plate }: TextNode, target: Box, around: Box): Box =>
  plate?.per === "block" ? target : around;

const grown = (b: Box, by: number): Box => inset(b, -by);

const insidePlate = (node: TextNode, target: Box): Box => {
  const wanted = platePad(node) * (node.size ?? target.height);
  const pad = node.plate?.per === "line" ? wanted : Math.min(target.height * 0.22, wanted);
  return between(
    target.x + pad,
    target.y + pad,
    target.x + target.width - pad,
    target.y + target.height - pad,
  );
};

/** Buttons centre their words; other text follows its style. Centring uses the ink, not the font's box. */
function alignedIn(room: Box, set: SetText, node: TextNode): Box {
  const valign = node.plate?.per === "block" ? "middle" : node.valign;
  const h = node.paragraph.alignShare;
  const v = { top: 0, middle: 0.5, bottom: 1 }[valign];
  const baselineHeight = set.height - set.descent;
  const height = valign === "top" ? set.height : baselineHeight;
  return box(
    room.x + h * (room.width - set.width),
    room.y + v * (room.height - height),
    set.width,
    set.height,
  );
}

function placeLogo(
  stage: Stage,
  node: LogoNode,
  target: Box,
  behind: Placed[],
): Placed | undefined {
  // A name that stands for a logo is words: on a picture it is coloured for the scrim, as they are.
  const onScrim = node.versions.length === 0 && standsOnPicture(target, behind);
  const ground = onScrim
    ? luminance(stage.ground)
    : groundBehind(target, behind, stage.resolved.palette.backdrop).mean;
  const block = logoIn(stage, node, ground, target) ?? logoIn(stage, node, ground, stage.kept);
  if (!block) return undefined;
  // A logo of another shape than the one it was drawn for keeps the middle of its line, and the margin it stands at.
  const atRight = !node.place && centre(target).x > centre(stage.frame).x;
  const x = atRight ? right(target) - block.width : target.x;
  const y = node.place ? target.y : centre(target).y - block.height / 2;
  const [item] = block.place(x, y);
  return item && { ...item, turn: node.turn };
}

/** Where a local change has put a node, in the frame of this size. */
export const byHandIn = (frame: Box, { place }: ResolvedNode): Box | undefined =>
  place && {
    x: place.x * frame.width,
    y: place.y * frame.height,
    width: place.width * frame.width,
    height: place.height * frame.height,
  };
