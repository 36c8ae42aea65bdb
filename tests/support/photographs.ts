import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { demoFolder, root } from "./demo";

/*
 * Photographs with what is in them set by eye, as shares of the sides: x, y, width, height of each face from hairline to
 * chin, or of the thing that is shown. All but the demo's stay in the tests.
 */

type Shares = readonly [x: number, y: number, width: number, height: number];

export interface Photograph {
  name: string;
  kind: "people" | "thing" | "place" | "pattern" | "drawing" | "page";
  faces: readonly Shares[];
  things: readonly Shares[];
  /** Nothing is tuned on it. */
  aside: boolean;
  bytes(): Buffer;
}

const samples = join(
  dirname(createRequire(import.meta.url).resolve("@vladmandic/face-api/package.json")),
  "demo",
);

const people = (name: string, faces: readonly Shares[]): Photograph => ({
  name,
  kind: "people",
  faces,
  things: [],
  aside: false,
  bytes: () => readFileSync(join(samples, `${name}.jpg`)),
});

const thing = (name: string, ...things: Shares[]): Photograph => ({
  name,
  kind: things.length > 0 ? "thing" : "place",
  faces: [],
  things,
  aside: false,
  bytes: () => readFileSync(join(demoFolder, "quillmere/pictures", `${name}.jpg`)),
});

const ownFolder = join(root, "tests/photographs");

/** Those that stand beside their boxes in a folder of the tests. */
const ours = (): Photograph[] => {
  const boxes = JSON.parse(readFileSync(join(ownFolder, "boxes.json"), "utf8")) as Record<
    string,
    Pick<Photograph, "kind"> & Partial<Photograph>
  >;
  return Object.entries(boxes).map(([name, { kind, faces = [], things = [], aside = false }]) => ({
    name,
    kind,
    faces,
    things,
    aside,
    bytes: () => readFileSync(join(ownFolder, `${name}.jpg`)),
  }));
};

/** Six groups of people, which come in the package of the detector, and pictures of the demo. */
const packaged: readonly Photograph[] = [
  people("sample1", [
    [0.22, 0.26, 0.1, 0.2],
    [0.44, 0.32, 0.1, 0.18],
    [0.77, 0.15, 0.1, 0.19],
  ]),
  people("sample2", [
    [0.19, 0.1, 0.08, 0.19],
    [0.47, 0.15, 0.09, 0.18],
    [0.75, 0.11, 0.1, 0.18],
  ]),
  people("sample3", [
    [0.31, 0.24, 0.1, 0.21],
    [0.56, 0.16, 0.12, 0.22],
    [0.79, 0.21, 0.09, 0.21],
  ]),
  people("sample4", [
    [0.14, 0.12, 0.08, 0.18],
    [0.35, 0.03, 0.1, 0.19],
    [0.52, 0.12, 0.09, 0.16],
    [0.67, 0.09, 0.08, 0.18],
  ]),
  people("sample5", [
    [0.2, 0.62, 0.09, 0.21],
    [0.31, 0.29, 0.09, 0.18],
    [0.41, 0.08, 0.08, 0.15],
    [0.58, 0.14, 0.08, 0.17],
    [0.73, 0.28, 0.09, 0.2],
  ]),
  people("sample6", [
    [0.13, 0.3, 0.11, 0.2],
    [0.35, 0.2, 0.09, 0.21],
    [0.62, 0.2, 0.09, 0.18],
    [0.77, 0.17, 0.11, 0.2],
  ]),
  thing("harbour-boats", [0.44, 0.2, 0.3, 0.5]),
  thing("cat-in-motion"),
  thing("allium", [0.3, 0.2, 0.4, 0.4]),
];

export const photographs: readonly Photograph[] = [...packaged, ...ours()];
