import type { ShapedLine } from "./shape";

/** Between the inks of two lines, at the least, in em: less looks like a stain. By eye. */
const LEAST_APART = 0.04;

/** A line and where its edge stands, in em. */
export interface Beside {
  shaped: ShapedLine;
  x: number;
}

/**
 * The least step from one baseline to the next, in em, at which no letter of the lower line comes near one of the upper:
 * by the boxes of their outlines, so that a tail and an accent that do not meet may share a height. 0 where any will do.
 */
export function clearStep(upper: Beside, lower: Beside, usual: number): number {
  if (upper.shaped.bottom + lower.shaped.top + LEAST_APART <= usual) return 0;
  let step = 0;
  const below = inksOf(lower);
  for (const tail of inksOf(upper)) {
    for (const top of below) {
      const meet = tail.left < top.right + LEAST_APART && top.left < tail.right + LEAST_APART;
      if (meet) step = Math.max(step, top.top - tail.bottom + LEAST_APART);
    }
  }
  return step;
}

/** The boxes of a line's glyphs: x from where the line's edge is counted, y above its baseline. */
function inksOf({ shaped, x }: Beside) {
  return shaped.glyphs.flatMap((glyph) => {
    const ink = glyph.face.ink(glyph.glyph);
    if (!ink) return [];
    const at = x + glyph.x;
    return [
      {
        left: at + ink.left,
        right: at + ink.right,
        top: glyph.y + ink.top,
        bottom: glyph.y + ink.bottom,
      },
    ];
  });
}
