import { composedFrame, type Across, type Node, type Piece, type Role } from "../piece";

const ROLES: Record<Across["kind"], Role> = {
  picture: "photo",
  shape: "ornament",
  line: "ornament",
  icon: "ornament",
  text: "support",
};

/** What one slide sees of something that runs across folds: all of it, moved by so many slides. */
export function partAcross(
  strip: Piece,
  { id, kind, picture, alt, text, role = ROLES[kind], at, style }: Across,
  index: number,
): { node?: Node; filling?: [slot: string, filling: Piece["message"][string]] } {
  const frame = composedFrame(strip);
  if (!frame || at.x + at.width <= index || at.x >= index + 1) return {};
  const slot = `across-${id}`;
  const filling = picture
    ? { picture, ...(alt ? { alt } : {}) }
    : text === undefined
      ? undefined
      : { text };
  const node: Node = {
    id: slot,
    kind,
    role,
    box: {
      x: (at.x - index) * frame.width,
      y: at.y * frame.height,
      width: at.width * frame.width,
      height: at.height * frame.height,
    },
    style,
    strip: "across",
    // It is moved on the strip, not on one slide.
    locked: true,
    ...(filling ? { slot } : {}),
  };
  return filling ? { node, filling: [slot, filling] } : { node };
}
