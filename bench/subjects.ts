import { join } from "node:path";
import { fitLead, makeScene } from "../core/engine";
import type { FileId, PictureFile } from "../core/files";
import { area, box, intersect, type Box } from "../core/geometry";
import { catalogue, cssPerPixel, placementById, type Placement } from "../core/placements";
import type { Layout, Placed } from "../core/refit";
import { shippedTemplates } from "../core/shipped";
import { pictureSlots, pieceOf, type Template } from "../core/templates";
import { FacePool } from "../server/faces/pool";
import { inspectPicture } from "../server/render/inspect";
import { root } from "../tests/support/demo";
import { photographs, type Photograph } from "../tests/support/photographs";
import { drawnFile, strangeBrands, strangeSources } from "../tests/support/strangers";
import { table } from "./figures";

/** Sizes of at least so much as viewed, in CSS pixels. */
const LARGE = { width: 250, height: 100 } as const;
/** A face is cut when it is seen neither to this share nor less than to the other; a thing may lose a little more. */
const WHOLE = { face: 0.95, thing: 0.85 } as const;
const OUT = 0.05;
const COVERED = 0.03;

/** Pictures that things were tuned on are put into every so many templates; those kept aside into all. */
const SOME = 3;

type Verdict = "right" | "cut" | "covered" | "lost" | "left out";
type Tally = Record<Verdict, number>;
type Way = "found" | "salience" | "middle";
type Ways = Record<Way, Tally>;

/**
 * Pictures of all kinds in every template with one picture, in every large placement: with faces and things found, by
 * salience alone, and at the middle. Ten pictures are put into all templates in all three ways, the others into a third
 * of the templates as they are found.
 */
export const benchSubjects = (): Promise<void> => lookAt(photographs);

/** As the bench, for some pictures, which are told of one by one when asked. */
export async function lookAt(
  chosen: readonly Photograph[],
  tell?: (line: string) => void,
): Promise<void> {
  const pool = new FacePool({ filename: join(root, "dist/server/faces.cjs") });
  const templates = shippedTemplates.filter((one) => pictureSlots(one).length === 1);
  const times: number[] = [];
  const results: { photograph: Photograph; ways: Ways }[] = [];
  for (const [index, photograph] of chosen.entries()) {
    const bytes = photograph.bytes();
    const start = performance.now();
    const faces = (await pool.find(bytes)) ?? [];
    times.push(performance.now() - start);
    const looked = await inspectPicture(bytes, photograph.name);
    const ways = { found: tally(), salience: tally(), middle: tally() };
    const { aside } = photograph;
    for (const template of templates.filter((_, i) => aside || (i + index) % SOME === 0)) {
      const { areas = [], ...bare } = looked;
      await judge(ways.found, template, photograph, { ...looked, areas: [...faces, ...areas] });
      if (!aside) continue;
      await judge(ways.salience, template, photograph, looked);
      await judge(ways.middle, template, photograph, bare);
    }
    results.push({ photograph, ways });
    tell?.(lineOf(photograph, ways.found));
  }
  await pool.close();
  const groups: [string, (one: Photograph) => boolean][] = [
    ["the ten kept aside", ({ aside }) => aside],
    ["people", ({ kind, aside }) => kind === "people" && !aside],
    ["all others", ({ kind, aside }) => kind !== "people" && !aside],
  ];
  const where = `in templates with one picture and ${placements.length} placements`;
  for (const [label, isIn] of groups) {
    const of = results.filter(({ photograph }) => isIn(photograph));
    if (of.length > 0) table(`Subjects: ${label} (${of.length}) ${where}`, rowsOf(of));
  }
  table("Looking for faces, beside nothing else", [
    ["the first, with loading", `${(times[0]! / 1000).toFixed(1)} s`],
    ["the median of the others", `${(median(times.slice(1)) / 1000).toFixed(2)} s`],
  ]);
}

function rowsOf(of: readonly { ways: Ways }[]): [string, string][] {
  const row = (label: string, verdict: Verdict): [string, string] => [
    label,
    (["found", "salience", "middle"] as const)
      .filter((way) => counted(of.map(({ ways }) => ways[way])))
      .map(
        (way) =>
          `${way} ${percent(
            of.map(({ ways }) => ways[way]),
            verdict,
          )}`,
      )
      .join("   "),
  ];
  return [
    row("as they should be (95 wanted)", "right"),
    row("a subject is cut (2 wanted)", "cut"),
    row("one is covered (1 wanted)", "covered"),
    row("none is whole (3 wanted)", "lost"),
    row("the picture is left out", "left out"),
  ];
}

/** Ways that nothing was counted in are not told of. */
const counted = (ways: readonly Tally[]): boolean =>
  ways.some((counts) => Object.values(counts).some((count) => count > 0));

const lineOf = ({ name, kind }: Photograph, counts: Tally): string =>
  `${name.padEnd(22)} ${kind.padEnd(8)} ${(["right", "cut", "covered", "lost", "left out"] as const)
    .map((verdict) => `${verdict} ${percent([counts], verdict)}`)
    .join("  ")}`;

const tally = (): Tally => ({ right: 0, cut: 0, covered: 0, lost: 0, "left out": 0 });

const percent = (tallies: readonly Tally[], of: Verdict): string => {
  const all = tallies.flatMap((counts) => Object.values(counts)).reduce((a, b) => a + b, 0);
  const count = tallies.reduce((sum, counts) => sum + counts[of], 0);
  return `${((100 * count) / Math.max(1, all)).toFixed(1)} %`.padStart(7);
};

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

const placements = catalogue.placements.filter(isLarge);

function isLarge(placement: Placement): boolean {
  const css = cssPerPixel(placement);
  return placement.width * css >= LARGE.width && placement.height * css >= LARGE.height;
}

const brand = strangeBrands()[0]!;

async function judge(
  counts: Tally,
  template: Template,
  photograph: Photograph,
  known: PictureFile,
): Promise<void> {
  const picture = drawnFile(photograph.bytes());
  const wanted = { id: "x", title: "x", words: {}, pictures: [picture] };
  const first = pieceOf(template, brand, wanted);
  const sources = await strangeSources([{ piece: first, brand }]);
  const pictures = (id: FileId) => (id === picture ? known : sources.pictures(id));
  const { piece } = fitLead(first, brand, placementById(first.lead), { ...sources, pictures });
  for (const placement of placements) {
    const { layout } = makeScene(piece, brand, placement, { ...sources, pictures });
    counts[verdict(layout, photograph, picture)]++;
  }
}

function verdict({ placed }: Layout, { faces, things }: Photograph, picture: FileId): Verdict {
  const index = placed.findIndex(({ node }) => node.type === "picture" && node.file.id === picture);
  const shown = placed[index];
  if (shown?.node.type !== "picture" || !shown.crop) return "left out";
  const whole = faces.length > 0 ? WHOLE.face : WHOLE.thing;
  const parts = (faces.length > 0 ? faces : things).map(([x, y, w, h]) =>
    inFrame(shown, x, y, w, h),
  );
  if (parts.length === 0) return "right";
  if (parts.some(({ share }) => share > OUT && share < whole)) return "cut";
  const seen = parts.filter(({ share }) => share >= whole);
  if (seen.length === 0) return "lost";
  const over = placed.slice(index + 1).filter(({ node }) => node.role !== "ornament");
  const isCovered = seen.some(({ at }) =>
    over.some((item) => area(intersect(item.text?.ink ?? item.box, at)) > COVERED * area(at)),
  );
  return isCovered ? "covered" : "right";
}

/** Where a part of the picture, in shares of its sides, stands on the size, and how much of it is seen. */
function inFrame(
  { node, crop, box: frame }: Placed,
  x: number,
  y: number,
  width: number,
  height: number,
): { at: Box; share: number } {
  if (node.type !== "picture" || !crop) throw new Error("no picture");
  const { file } = node;
  const part = box(x * file.width, y * file.height, width * file.width, height * file.height);
  const scale = frame.width / crop.width;
  const at = box(
    frame.x + (part.x - crop.x) * scale,
    frame.y + (part.y - crop.y) * scale,
    part.width * scale,
    part.height * scale,
  );
  return { at, share: area(intersect(part, crop)) / area(part) };
}
