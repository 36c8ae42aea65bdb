import { contains, inset, scaleBox, TOLERANCE, type Box } from "../geometry";
import type { Node, Piece, Style } from "../piece";
import { platePad } from "./words/block";
import type { Layout, Placed } from "./layout";
import { isDisplay } from "./structure/parts";

/**
 * The piece with this layout's placement as its lead size: the arrangement becomes what the layout shows, in its
 * pixels. What is left out there stays in the arrangement, hidden on that size, so that others still have it.
 */
export function recomposed(piece: Piece, layout: Layout): Piece {
  const { placement, leadScale } = layout;
  const placed = new Map(layout.placed.map((item, index) => [item.node.id, { item, index }]));
  const changes = piece.sizes.find((size) => size.placement === placement.id)?.changes ?? {};
  const nodes = piece.arrangement.map((node): Node => {
    const found = placed.get(node.id);
    if (!found) {
      const style = scaled(node, leadScale);
      // What has nothing to show yet had its place in another composition.
      const gone = isEmpty(layout, node) && node.slot !== undefined;
      return {
        ...node,
        ...(gone ? { unplaced: true } : {}),
        box: scaleBox(node.box, leadScale),
        style,
      };
    }
    const { place: _place, style, ...change } = changes[node.id] ?? {};
    const changed: Node = { ...node, ...change, style: { ...node.style, ...style } };
    return standing(changed, found.item, layout);
  });
  // What the layout shows is in its order, back to front; what it does not show lies behind.
  const order = (node: Node) => placed.get(node.id)?.index ?? -1;
  const missing = piece.arrangement.filter(
    (node) => !placed.has(node.id) && !isEmpty(layout, node),
  );
  const hidden = Object.fromEntries(missing.map(({ id }) => [id, { hidden: true }]));
  const lead = piece.sizes.find((size) => size.placement === placement.id);
  const others = piece.sizes.filter((size) => size !== lead);
  const { layout: _layout, ...own } = lead ?? { placement: placement.id };
  const sizes = [{ ...own, changes: hidden }, ...others];
  return {
    ...piece,
    lead: placement.id,
    frame: { width: placement.width, height: placement.height },
    arrangement: nodes.sort((a, b) => order(a) - order(b)),
    sizes,
  };
}

/** A node that has nothing to show yet will be shown when it has; one that a person hid here stays hidden. */
const isEmpty = ({ resolved }: Layout, { id }: Node): boolean =>
  resolved.absent.some((node) => node.id === id && node.why !== "hidden");

function standing(node: Node, item: Placed, { placed, resolved, leadScale }: Layout): Node {
  const { on, unplaced: _unplaced, ...rest } = node;
  const ground = placed.find((other) => other.node.id === on);
  const box = roomOf(item);
  return {
    ...rest,
    ...(ground && contains(ground.box, box) ? { on: ground.node.id } : {}),
    box,
    style: { ...scaled(node, leadScale), ...styleOf(item, resolved) },
  };
}

/** A hair more than the ink, for what is lost in counting; words that fill it do not leave the safe area by what is forgiven. */
const HAIR = 0.8 * TOLERANCE;

/**
 * The box in which a node, put there by hand, comes out as the layout has it. Running text gets the measure that it was set in,
 * display type the width that it takes: so both break as they did.
 */
export function roomOf({ text, node, box }: Placed): Box {
  if (!text || text.bent || node.type !== "text" || node.plate?.per === "block") return box;
  const { set, ink } = text;
  const pad = platePad(node) * set.size;
  const width = isDisplay(node) ? ink.width + HAIR : set.measure;
  const x = ink.x - node.paragraph.alignShare * (width - ink.width);
  return inset({ x, y: ink.y, width, height: ink.height + HAIR }, -pad);
}

/** What a layout decided beside the box: the size of words and their colour. A picture stands as its subject asks for. */
function styleOf({ node, text }: Placed, resolved: Layout["resolved"]): Style {
  if (node.type === "text" && text) {
    const before = resolved.nodes.find(({ id }) => id === node.id);
    const token = Object.entries(resolved.palette).find(([, hex]) => hex === node.colour)?.[0];
    const recoloured = before?.type === "text" && before.colour !== node.colour && token;
    const { size, columns } = text.set;
    return {
      size,
      valign: "top",
      ...(columns ? { columns } : {}),
      ...(recoloured ? { colour: token } : {}),
    };
  }
  // A plate that became the ground of all has lost its own outline.
  if (node.type === "shape") {
    const before = resolved.nodes.find(({ id }) => id === node.id);
    const { kind } = node.shape;
    return before?.type === "shape" && before.shape.kind !== kind ? { shape: kind } : {};
  }
  return {};
}

/** The lengths of a style that are counted in lead pixels, `by` times as large. */
function scaled({ style, kind }: Pick<Node, "style" | "kind">, by: number): Style {
  const { size, least, corner, stroke, shadow } = style;
  return {
    ...style,
    ...(size === undefined ? {} : { size: size * by }),
    ...(least === undefined ? {} : { least: least * by }),
    ...(corner === undefined ? {} : { corner: corner * by }),
    ...(stroke
      ? { stroke: { ...stroke, width: stroke.width * by, dash: stroke.dash.map((d) => d * by) } }
      : {}),
    // A shadow of words is counted in their size.
    ...(shadow && kind !== "text"
      ? { shadow: { ...shadow, x: shadow.x * by, y: shadow.y * by, blur: shadow.blur * by } }
      : {}),
  };
}
