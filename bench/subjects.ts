import { join } from "node:path";
import { begin, makeScene } from "../core/engine";
import type { Area, FileId } from "../core/files";
import { area, box, intersect, type Box } from "../core/geometry";
import { isPicture, type Piece } from "../core/piece";
import { catalogue, cssPerPixel, type Placement } from "../core/placements";
import { placementById } from "../core/placements";
import type { Layout } from "../core/refit";
import { pictureSlots, pieceOf, shippedTemplates, type Template } from "../core/templates";
import { FacePool } from "../server/faces/pool";
import { inspectPicture } from "../server/render/inspect";
import { root } from "../tests/support/demo";
import { photographs, type Photograph } from "../tests/support/photographs";
import { drawnFile, strangeBrands, strangeSources } from "../tests/support/strangers";
import { table } from "./figures";

/** Sizes of at least so much as viewed, in CSS pixels. */
const LARGE = { width: 250, height: 100 } as const;
/** A face is cut when it is seen neither to this share nor less than to the other. */
const WHOLE = 0.95;
const OUT = 0.05;
const COVERED = 0.03;

type Verdict = "right" | "cut" | "covered" | "lost" | "left out";
type Tally = Record<Verdict, number>;

/** Faces in every template with one picture, in every large placement: with faces found, by salience, and at the middle. */
export async function benchSubjects(): Promise<void> {
  const pool = new FacePool({ filename: join(root, "dist/server/faces.cjs") });
  const brand = strangeBrands()[0]!;
  const templates = shippedTemplates.filter((one) => pictureSlots(one).length === 1);
  const places = catalogue.placements.filter(isLarge);
  const ways = { found: tally(), salience: tally(), middle: tally() };
  const times: number[] = [];
  for (const photograph of photographs.filter(({ faces }) => faces.length > 0)) {
    const bytes = photograph.bytes();
    const picture = drawnFile(bytes);
    const start = performance.now();
    const faces = (await pool.find(bytes)) ?? [];
    times.push(performance.now() - start);
    const thing = (await inspectPicture(bytes, photograph.name)).areas ?? [];
    const areas = { found: [...faces, ...thing], salience: thing, middle: [] };
    for (const template of templates)
      for (const way of ["found", "salience", "middle"] as const)
        for (const layout of await layouts(template, brand, picture, areas[way], places))
          ways[way][verdict(layout, photograph, picture)]++;
  }
  await pool.close();
  const row = (label: string, of: Verdict): [string, string] => [
    label,
    Object.entries(ways)
      .map(([way, counts]) => `${way} ${percent(counts[of], counts)}`)
      .join("   "),
  ];
  table(`Faces in ${templates.length} templates with one picture and ${places.length} placements`, [
    row("as they should be (95 wanted)", "right"),
    row("one is cut (2 wanted)", "cut"),
    row("one is covered (1 wanted)", "covered"),
    row("none is whole (3 wanted)", "lost"),
    row("the picture is left out", "left out"),
    [
      "faces found in a picture, the first with loading",
      times.map((ms) => `${(ms / 1000).toFixed(1)} s`).join(" "),
    ],
  ]);
}

const tally = (): Tally => ({ right: 0, cut: 0, covered: 0, lost: 0, "left out": 0 });

const percent = (count: number, of: Tally): string => {
  const all = Object.values(of).reduce((a, b) => a + b, 0);
  return `${((100 * count) / Math.max(1, all)).toFixed(1)} %`.padStart(7);
};

function isLarge(placement: Placement): boolean {
  const css = cssPerPixel(placement);
  return placement.width * css >= LARGE.width && placement.height * css >= LARGE.height;
}

async function layouts(
  template: Template,
  brand: ReturnType<typeof strangeBrands>[number],
  picture: FileId,
  areas: Area[],
  places: readonly Placement[],
): Promise<Layout[]> {
  const wanted = { id: "x", title: "x", words: {}, pictures: [picture] };
  const first = saying(pieceOf(template, brand, wanted), areas);
  const sources = await strangeSources([{ piece: first, brand }]);
  const { piece } = begin(first, brand, placementById(first.lead), sources);
  return places.map((placement) => makeScene(piece, brand, placement, sources).layout);
}

/** The areas are said in the piece, so that every way takes the same road. */
const saying = (piece: Piece, areas: Area[]): Piece => ({
  ...piece,
  message: Object.fromEntries(
    Object.entries(piece.message).map(([slot, filling]) => [
      slot,
      isPicture(filling) ? { ...filling, areas } : filling,
    ]),
  ),
});

function verdict({ placed }: Layout, { faces }: Photograph, picture: FileId): Verdict {
  const index = placed.findIndex(({ node }) => node.type === "picture" && node.file.id === picture);
  const shown = placed[index];
  if (shown?.node.type !== "picture" || !shown.crop) return "left out";
  const { file } = shown.node;
  const { crop, box: at } = shown;
  const heads = faces.map(([x, y, width, height]) =>
    box(x * file.width, y * file.height, width * file.width, height * file.height),
  );
  const shares = heads.map((head) => area(intersect(head, crop)) / area(head));
  if (shares.some((share) => share > OUT && share < WHOLE)) return "cut";
  const whole = heads.filter((_, i) => shares[i]! >= WHOLE);
  if (whole.length === 0) return "lost";
  const scale = at.width / crop.width;
  const inFrame = ({ x, y, width, height }: Box): Box =>
    box(at.x + (x - crop.x) * scale, at.y + (y - crop.y) * scale, width * scale, height * scale);
  const over = placed.slice(index + 1).filter(({ node }) => node.role !== "ornament");
  const covered = whole
    .map(inFrame)
    .some((head) =>
      over.some((item) => area(intersect(item.text?.ink ?? item.box, head)) > COVERED * area(head)),
    );
  return covered ? "covered" : "right";
}
