import { box, type Box } from "./box";

/** Areas flatter than this are parted along one side only. */
const FLAT = 2.2;

/** The area parted for some pictures: one, two halves, one large with two beside it, or a grid. */
export function tiles(area: Box, count: number, gap: number): Box[] {
  const wide = area.width >= area.height;
  const ratio = area.width / area.height;
  if (count < 3 || ratio > FLAT || ratio < 1 / FLAT) return line(area, count, wide, gap);
  if (count === 3) {
    const [large, rest] = line(area, 2, wide, gap) as [Box, Box];
    return [large, ...line(rest, 2, !wide, gap)];
  }
  const rows = Math.round(Math.sqrt(count / ratio)) || 1;
  const first = Math.floor(count / rows);
  const counts = Array.from(
    { length: rows },
    (_, i) => first + (i >= rows - (count % rows) ? 1 : 0),
  );
  return line(area, rows, false, gap).flatMap((row, i) => line(row, counts[i]!, true, gap));
}

function line(at: Box, count: number, wide: boolean, gap: number): Box[] {
  const length = ((wide ? at.width : at.height) - (count - 1) * gap) / count;
  return Array.from({ length: count }, (_, i) =>
    wide
      ? box(at.x + i * (length + gap), at.y, length, at.height)
      : box(at.x, at.y + i * (length + gap), at.width, length),
  );
}
