import type { Area } from "../../../core/files";
import { isFirm } from "../../../core/picture";

/*
 * What a person does to the areas of a picture that are kept: points, draws, moves, grows, leaves out. Shares of the
 * picture's sides throughout.
 */

/** The sides of an area that is pointed out, and the least and most that one can have. */
const SIDE = 0.24;
const LEAST_SIDE = 0.04;
/** What takes more of a picture than this cannot be moved in it. */
const MOST_MOVED = 0.6;

export interface Point {
  x: number;
  y: number;
}

/** The thing that is kept whole, or was found. */
export const thingIn = (areas: readonly Area[]): Area | undefined =>
  areas.find(({ kind, weight }) => kind === "thing" && weight > 0);

export const middleOf = ({ x, y, width, height }: Area): Point => ({
  x: x + width / 2,
  y: y + height / 2,
});

/** A thing about a point, as large as what was said before. */
export function pointedAt(areas: readonly Area[], { x, y }: Point): Area[] {
  const before = thingIn(areas);
  const isKept = before?.said && Math.max(before.width, before.height) < MOST_MOVED;
  const { width, height } = isKept ? before : { width: SIDE, height: SIDE };
  return withThing(areas, about({ x, y }, width, height));
}

/** A thing from one corner to the other; with `also`, beside what is there. */
export function drawn(areas: readonly Area[], a: Point, b: Point, also = false): Area[] {
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const side = (from: number, to: number) => Math.max(LEAST_SIDE, Math.abs(to - from));
  const thing = about(middle, side(a.x, b.x), side(a.y, b.y));
  return also ? [...areas, thing] : withThing(areas, thing);
}

/** The thing moved by shares of the picture. */
export function moved(areas: readonly Area[], by: Point): Area[] {
  const thing = thingIn(areas);
  const { x, y } = thing ? middleOf(thing) : { x: 0.5, y: 0.5 };
  return pointedAt(areas, { x: x + by.x, y: y + by.y });
}

/** The thing so many times as large, about its middle. */
export function grown(areas: readonly Area[], times: number): Area[] {
  const thing = thingIn(areas);
  if (!thing) return [...areas];
  const side = (length: number) => Math.min(1, Math.max(LEAST_SIDE, length * times));
  return withThing(areas, about(middleOf(thing), side(thing.width), side(thing.height)));
}

/** One area left out, or taken back. */
export const toggled = (areas: readonly Area[], index: number): Area[] =>
  areas.map((area, i) =>
    i === index ? { ...area, weight: area.weight > 0 ? 0 : 1, said: true } : area,
  );

/** One face as the main one: all other faces are left out. */
export const alone = (areas: readonly Area[], index: number): Area[] =>
  areas.map((area, i) =>
    area.kind === "face" ? { ...area, weight: i === index ? 1 : 0, said: true } : area,
  );

/** What is kept, in words. `sought` says whether faces were looked for. */
export function describeAreas(areas: readonly Area[], said: boolean, sought: boolean): string {
  const faces = areas.filter(({ kind, weight }) => kind === "face" && weight > 0).length;
  if (faces > 0) return faces === 1 ? "1 face is kept whole" : `${faces} faces are kept whole`;
  if (said) return "focus set by you";
  const thing = thingIn(areas);
  const kept = !thing
    ? "nothing stands out"
    : !isFirm(thing)
      ? "a scene: its middle is kept where it can be"
      : thing.width * thing.height > ALL
        ? "all of it is kept, like a page"
        : "what it shows is kept whole";
  return sought ? kept : `${kept}; faces were not looked for`;
}

const ALL = 0.97;

const rounded = (share: number): number => Math.round(share * 1000) / 1000;

/** Inside the picture. */
function about({ x, y }: Point, width: number, height: number): Area {
  const start = (middle: number, side: number) =>
    rounded(Math.min(Math.max(0, middle - side / 2), 1 - side));
  return {
    kind: "thing",
    x: start(x, width),
    y: start(y, height),
    width: rounded(width),
    height: rounded(height),
    weight: 1,
    said: true,
  };
}

const withThing = (areas: readonly Area[], thing: Area): Area[] => [
  ...areas.filter(({ kind }) => kind === "face"),
  thing,
];
