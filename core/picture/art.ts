import { hexOfBytes, luminanceOfBytes } from "../colour";
import type { Art } from "../files";
import { markIn } from "./mark";
import type { Raster } from "./raster";

/** A pixel is ink from this much of 255 in alpha on, or so many levels off the ground. Our own measures. */
const SEEN = 96;
const OFF_GROUND = 40;
/** So much of the picture is see-through when it stands on nothing; so much of its edge is of one colour when that is its ground. */
const LEAST_CLEAR = 0.02;
const FLAT_EDGE = 0.97;
/** Ink between these shares of all, from dark to light, counts: a few odd pixels do not. */
const MOST_INK = [0.1, 0.9] as const;

/** What is inked of a picture that stands on nothing or on a flat ground; undefined for any other, such as a photograph. */
export function readArt({ data, width, height }: Raster): Art | undefined {
  const count = width * height;
  let clear = 0;
  for (let i = 3; i < data.length; i += 4) if (data[i]! < SEEN) clear++;
  const onNothing = clear > LEAST_CLEAR * count;
  const ground = onNothing ? undefined : flatEdge({ data, width, height });
  if (!onNothing && !ground) return undefined;
  const isInk = (i: number): boolean =>
    ground ? apart(data, i, ground) > OFF_GROUND : data[i + 3]! >= SEEN;
  return inked(data, width, height, isInk, ground);
}

type Bytes = readonly [number, number, number];

function inked(
  data: Uint8ClampedArray,
  width: number,
  height: number,
  isInk: (i: number) => boolean,
  ground: Bytes | undefined,
): Art | undefined {
  let [left, top, right, bottom] = [width, height, -1, -1];
  const tones: number[] = [];
  const seen = new Uint8Array(width * height);
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i += 4) {
      if (!isInk(i)) continue;
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
      seen[y * width + x] = 1;
      tones.push(luminanceOfBytes(data[i]!, data[i + 1]!, data[i + 2]!));
    }
  }
  if (tones.length === 0) return undefined;
  tones.sort((a, b) => a - b);
  const at = (share: number): number => tones[Math.floor(share * (tones.length - 1))]!;
  const whole = { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
  const mark = markIn((x, y) => seen[y * width + x] === 1, whole);
  return {
    x: left / width,
    y: top / height,
    width: (right - left + 1) / width,
    height: (bottom - top + 1) / height,
    dark: at(MOST_INK[0]),
    light: at(MOST_INK[1]),
    ...(ground ? { ground: hexOfBytes(...ground) } : {}),
    ...(mark
      ? {
          mark: {
            x: mark.x / width,
            y: mark.y / height,
            width: mark.width / width,
            height: mark.height / height,
          },
        }
      : {}),
  };
}

/** The colour of a picture's edge, where nearly all of the edge is of that colour. */
function flatEdge({ data, width, height }: Omit<Raster, "opaque">): Bytes | undefined {
  const ground: Bytes = [data[0]!, data[1]!, data[2]!];
  const edge: number[] = [];
  for (let x = 0; x < width; x++) edge.push(x, (height - 1) * width + x);
  for (let y = 0; y < height; y++) edge.push(y * width, y * width + width - 1);
  const same = edge.filter((pixel) => apart(data, pixel * 4, ground) <= OFF_GROUND / 2).length;
  return same >= FLAT_EDGE * edge.length ? ground : undefined;
}

const apart = (data: Uint8ClampedArray, i: number, [r, g, b]: Bytes): number =>
  Math.hypot(data[i]! - r, data[i + 1]! - g, data[i + 2]! - b);
