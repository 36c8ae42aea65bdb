import { hexOfBytes, type Hex } from "../colour";
import { apart, labOf, type Colours, type Thumbnail } from "./lab";

/** An edge is flat where so much of it is no further from its usual colour than the eye hardly sees. In CIELAB units. */
const FLAT_SHARE = 0.98;
const FLAT = 5;
/** From so far off the ground on, it is ink. In CIELAB units; by eye. */
const OFF_GROUND = 9;

/** A pixel of the usual colour of the edge, by index, where the edge is of that colour all around. */
export function flatEdge(colours: Colours): number | undefined {
  const [{ values, width, height }] = colours;
  const edge = [...values.keys()].filter((i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    return x === 0 || y === 0 || x === width - 1 || y === height - 1;
  });
  const usual = edge.sort((a, b) => values[a]! - values[b]!)[Math.floor(edge.length / 2)]!;
  const flat = edge.filter((i) => apart(colours, i, usual) <= FLAT);
  return flat.length >= FLAT_SHARE * edge.length ? usual : undefined;
}

export const offTheGround = (colours: Colours, ground: number): number[] =>
  [...colours[0].values.keys()].filter((i) => apart(colours, i, ground) > OFF_GROUND);

/** The colour all around, where a picture stands on one flat ground: it can be shown beyond its edges. */
export function findGround(picture: Thumbnail): Hex | undefined {
  const at = flatEdge(labOf(picture));
  if (at === undefined) return undefined;
  const [r, g, b] = picture.data.subarray(3 * at, 3 * at + 3);
  return hexOfBytes(r!, g!, b!);
}
