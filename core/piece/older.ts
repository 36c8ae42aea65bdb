import { withFineSlots } from "./older-fine";
import { withLayoutIds } from "./older-layout";
import { withPlaces } from "./older-places";

/*
 * Documents that were written before now and still come in, from files and archives.
 */

interface Point {
  x: number;
  y: number;
  width?: number;
  height?: number;
}

/** What a focus without a size stood for, as a share of the picture's sides. */
const REACH = 0.24;

/** A piece as it is written now: a layout and a slide are known by an id, and a picture's focus, which was one point or box about a middle, is an area of it. */
export function fromOlder(data: unknown): unknown {
  if (!isRecord(data) || !isRecord(data.message)) return data;
  const message = Object.fromEntries(
    Object.entries(data.message).map(([slot, filling]) => [slot, withArea(filling)]),
  );
  const slides = Array.isArray(data.slides) ? { slides: data.slides.map(withId) } : {};
  return withFineSlots(withPlaces(withLayoutIds({ ...data, message, ...slides })));
}

/** Slides had no names of their own. */
const withId = (slide: unknown, index: number): unknown =>
  isRecord(slide) && slide.id === undefined ? { ...slide, id: `slide-${index + 2}` } : slide;

function withArea(filling: unknown): unknown {
  if (!isRecord(filling) || !isPoint(filling.focus)) return filling;
  const { focus, ...rest } = filling;
  return { ...rest, areas: [areaAbout(focus)] };
}

function areaAbout({ x, y, width = REACH, height = REACH }: Point) {
  const start = (middle: number, length: number) =>
    Math.min(Math.max(0, middle - length / 2), 1 - length);
  return { kind: "thing", x: start(x, width), y: start(y, height), width, height, said: true };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === "object" && !Array.isArray(value);

const isPoint = (value: unknown): value is Point =>
  isRecord(value) && typeof value.x === "number" && typeof value.y === "number";
