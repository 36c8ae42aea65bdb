/** Grey values 0..255 of a picture of about 320 pixels in length, row after row. */
export interface Greys {
  data: Uint8Array;
  width: number;
  height: number;
}

/** Levels that a pixel and its neighbours differ by on flat ground, and from which on there is an edge. */
const FLAT = 5;
const EDGE = 40;
/** An edge lies along an axis when the change across the other is less than this share of it. */
const ALONG = 0.12;
/** Shares of what is flat, of the edges that lie along an axis, and of the two commonest of 16 greys. By trial. */
const PAGE = { flat: 0.45, along: 0.42, common: 0.6 } as const;

/**
 * Whether a picture is a page, a screenshot or a diagram: mostly flat, of few greys, with edges that run along the axes.
 * Each part of it is meant to be read, so that it is hardly cropped. Our own measure, by trial on photographs, prints
 * and screenshots.
 */
export function isPage({ data, width, height }: Greys): boolean {
  const counts = { flat: 0, edge: 0, along: 0 };
  const greys = new Array<number>(16).fill(0);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      const across = Math.abs(data[at + 1]! - data[at - 1]!);
      const down = Math.abs(data[at + width]! - data[at - width]!);
      greys[data[at]! >> 4]!++;
      if (rangeAround(data, at, width) <= FLAT) counts.flat++;
      if (across + down <= EDGE) continue;
      counts.edge++;
      if (Math.min(across, down) < ALONG * Math.max(across, down)) counts.along++;
    }
  const all = Math.max(1, (width - 2) * (height - 2));
  const [first, second] = greys.sort((a, b) => b - a);
  return (
    counts.flat >= PAGE.flat * all &&
    counts.along >= PAGE.along * Math.max(1, counts.edge) &&
    counts.edge > 0 &&
    first! + second! >= PAGE.common * all
  );
}

/** The most less the least of a pixel and its eight neighbours. */
function rangeAround(data: Uint8Array, at: number, width: number): number {
  let [least, most] = [255, 0];
  for (let row = at - width; row <= at + width; row += width)
    for (let i = row - 1; i <= row + 1; i++) {
      least = Math.min(least, data[i]!);
      most = Math.max(most, data[i]!);
    }
  return most - least;
}
