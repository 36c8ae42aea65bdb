import { frameOf, type Placement } from "../placements";
import { area, box, scaleBox, type Box } from "../geometry";
import {
  composedFrame,
  type LocalChange,
  type Node,
  type Piece,
  type Pin,
  type Style,
} from "../piece";

/** Boxes of nodes by their ids, in output pixels of one size. */
export type Boxes = ReadonlyMap<string, Box>;

/** Output pixels of the lead placement for each pixel in which the arrangement was composed. */
function leadScale(piece: Piece, { width }: Placement): number {
  return width / (composedFrame(piece)?.width ?? width);
}

/**
 * The piece with nodes put at boxes, given in output pixels of a size. On the lead the composition changes, and all sizes
 * follow; on another size it is a change of that size, kept in shares of its frame.
 */
export function placedAt(piece: Piece, placement: Placement, boxes: Boxes): Piece {
  if (placement.id === piece.lead) {
    const scale = 1 / leadScale(piece, placement);
    return withNodes(piece, (node) => {
      const to = boxes.get(node.id);
      return to ? { ...node, box: scaleBox(to, scale) } : node;
    });
  }
  return [...boxes].reduce(
    (done, [id, to]) => changedOn(done, placement.id, id, { place: shareOf(to, placement) }),
    piece,
  );
}

function shareOf({ x, y, width, height }: Box, placement: Placement): Box {
  const frame = frameOf(placement);
  return box(x / frame.width, y / frame.height, width / frame.width, height / frame.height);
}

/** The piece with some words set so large, in output pixels of a size: on the lead for all, elsewhere on that size. */
export function textSized(
  piece: Piece,
  placement: Placement,
  sizes: ReadonlyMap<string, number>,
): Piece {
  const isLead = placement.id === piece.lead;
  const by = isLead ? leadScale(piece, placement) : extentScale(piece, placement);
  return [...sizes].reduce(
    (done, [id, size]) =>
      changed(done, [id], { style: { size: size / by } }, isLead ? undefined : placement.id),
    piece,
  );
}

/** As the layout counts it on other sizes than the lead: by the means of the frames' sides. */
function extentScale(piece: Piece, placement: Placement): number {
  const lead = composedFrame(piece) ?? frameOf(placement);
  return Math.sqrt(area(frameOf(placement)) / area(lead));
}

/** Where a node of the composition stands on the lead, in its output pixels. */
export const leadBox = (piece: Piece, placement: Placement, node: Node): Box =>
  scaleBox(node.box, leadScale(piece, placement));

/** A part of a style; what is undefined is taken out of it. */
export type StylePart = { [Field in keyof Style]?: Style[Field] | undefined };

/** What is done to nodes: a part of their style, and other things by their new values. */
export type NodeChange = Omit<LocalChange, "place" | "style" | "on" | "pin"> & {
  style?: StylePart;
  on?: string | undefined;
  pin?: Pin | undefined;
};

/** The piece with something else of some nodes: of the composition, or of one size alone. */
export function changed(
  piece: Piece,
  ids: readonly string[],
  change: NodeChange,
  on?: string,
): Piece {
  if (on !== undefined) return ids.reduce((done, id) => changedOn(done, on, id, change), piece);
  const wanted = new Set(ids);
  return withNodes(piece, (node) =>
    wanted.has(node.id)
      ? said<Node>({ ...node, ...change, style: said<Style>({ ...node.style, ...change.style }) })
      : node,
  );
}

/** The piece with some nodes as they follow from the lead again, on one size. */
export function givenBack(piece: Piece, ids: readonly string[], on: string): Piece {
  const back = new Set(ids);
  return withSize(piece, on, (changes) =>
    Object.fromEntries(Object.entries(changes).filter(([id]) => !back.has(id))),
  );
}

/** The nodes that one size has something of its own of. */
export const changedIn = ({ sizes }: Piece, on: string): string[] =>
  Object.keys(sizes.find(({ placement }) => placement === on)?.changes ?? {});

type Changes = Piece["sizes"][number]["changes"];

/** Without what is undefined. */
const said = <T extends object>(of: { [Field in keyof T]: T[Field] | undefined }): T =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined)) as T;

function changedOn(
  piece: Piece,
  on: string,
  id: string,
  change: NodeChange & Pick<LocalChange, "place">,
): Piece {
  return withSize(piece, on, (changes) => {
    const { style: styleBefore, ...before } = changes[id] ?? {};
    const { style: part, ...rest } = change;
    const style = said<Style>({ ...styleBefore, ...part });
    const after = said<LocalChange>({ ...before, ...rest });
    return { ...changes, [id]: Object.keys(style).length > 0 ? { ...after, style } : after };
  });
}

const withSize = (piece: Piece, on: string, to: (changes: Changes) => Changes): Piece => ({
  ...piece,
  sizes: piece.sizes.map((size) =>
    size.placement === on ? { ...size, changes: to(size.changes) } : size,
  ),
});

const withNodes = (piece: Piece, to: (node: Node) => Node): Piece => ({
  ...piece,
  arrangement: piece.arrangement.map(to),
});
