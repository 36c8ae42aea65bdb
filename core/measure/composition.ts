import { labOf, type Thumbnail } from "../picture";

/** Lightness that changes by more within a pixel is an edge. CIELAB units; by eye. */
const EDGE = 9;

/**
 * How full a picture is: the share of its pixels that lie on an edge of lightness, by Sobel's operator. Edge density is
 * among the measures of visual clutter that R. Rosenholtz, Y. Li and L. Nakano compare in “Measuring visual clutter”,
 * Journal of Vision, 2007 (from memory).
 */
export function clutterOf(picture: Thumbnail): number {
  const { width, height } = picture;
  const [{ values }] = labOf(picture);
  let edges = 0;
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const [above, at, below] = [(y - 1) * width + x, y * width + x, (y + 1) * width + x];
      // Of the eight around it, by rows: a b c, d e, f g h.
      const [a, b, c] = [values[above - 1]!, values[above]!, values[above + 1]!];
      const [d, e] = [values[at - 1]!, values[at + 1]!];
      const [f, g, h] = [values[below - 1]!, values[below]!, values[below + 1]!];
      const across = c + 2 * e + h - a - 2 * d - f;
      const down = f + 2 * g + h - a - 2 * b - c;
      if (across * across + down * down > (8 * EDGE) ** 2) edges++;
    }
  return edges / ((width - 2) * (height - 2));
}

/**
 * How far the middle of what is there lies from the middle of the picture, as 1 (just there) … 0 (in a corner): the
 * deviation of the centre of mass (R. Hübner and M. G. Fillinger, “Comparison of Objective Measures for Predicting
 * Perceptual Balance and Visual Aesthetic Preference”, Frontiers in Psychology, 2016, from memory). What a pixel weighs
 * is how far its colour is from the ground's, which is the one in the middle of all.
 */
export function balanceOf(picture: Thumbnail): number {
  const { width, height } = picture;
  const axes = labOf(picture).map(({ values }) => values);
  const ground = axes.map(middle);
  let [mass, across, down] = [0, 0, 0];
  const [l, a, b] = axes as [Float64Array, Float64Array, Float64Array];
  for (let i = 0; i < width * height; i++) {
    const weight = Math.hypot(l[i]! - ground[0]!, a[i]! - ground[1]!, b[i]! - ground[2]!);
    mass += weight;
    across += weight * ((i % width) + 0.5);
    down += weight * (Math.floor(i / width) + 0.5);
  }
  if (mass === 0) return 1;
  const off = Math.hypot(across / mass - width / 2, down / mass - height / 2);
  return Math.max(0, 1 - off / Math.hypot(width / 2, height / 2));
}

const middle = (values: Float64Array): number => {
  const sorted = values.slice().sort();
  return sorted[Math.floor(sorted.length / 2)]!;
};
