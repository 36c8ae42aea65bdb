import type { Brand } from "../core/brand";
import { fitLead, makeScene, makeScenes } from "../core/engine";
import { area, box, contains, intersect, scaleBox, type Box } from "../core/geometry";
import { languageOf } from "../core/language";
import { isFact, sortMessage, wordsOf } from "../core/message";
import { inOrder, offer } from "../core/offers";
import { shareShown } from "../core/picture";
import type { Piece } from "../core/piece";
import {
  catalogue,
  cssPerPixel,
  frameOf,
  roomOf,
  placementById,
  type Placement,
} from "../core/placements";
import { check, inkOf, reportOf, type LayoutReport } from "../core/preflight";
import type { Layout } from "../core/refit";
import type { Sources } from "../core/resolve";
import { shippedTemplates } from "../core/shipped";
import { pieceOf } from "../core/templates";
import { messages, strangeBrands, strangeSources } from "../tests/support/strangers";
import { cases, type Case } from "../tests/support/arrangements";
import { caseSources } from "../tests/support/case-sources";
import { workshop } from "../tests/support/languages";
import { quantile, table } from "./figures";

interface Figures {
  clean: number;
  overlapping: number;
  alignment: number;
  occluded: number;
  size: number;
  empty: number;
}

/**
 * All test pieces in all placements: how many sizes break no rule, and the usual measures of a layout, each
 * beside a plain resize (scaled to fit and centred, grounds cropped to fill).
 */
export async function benchRefit(): Promise<void> {
  const sources = await caseSources();
  const all = cases();
  everySize(all, sources, resized); // Once to warm up.
  const times: number[] = [];
  const own = everySize(all, sources, (one, placement) => {
    const start = performance.now();
    const { layout } = makeScene(one.piece, one.brand, placement, sources);
    times.push(performance.now() - start);
    return layout;
  });
  const plain = everySize(all, sources, resized);
  const row = (label: string, of: (figures: Figures) => string): [string, string] => [
    label,
    `${of(own).padStart(8)}   plain resize ${of(plain).padStart(8)}`,
  ];
  const percent = (value: number) => `${(100 * value).toFixed(1)} %`;
  table(
    `Refit of ${all.length} pieces to ${catalogue.placements.length} placements, leads left out`,
    [
      row("sizes that break no rule", ({ clean }) => percent(clean)),
      row("words or logos that overlap, share of sizes", ({ overlapping }) => percent(overlapping)),
      row("left edges that are shared", ({ alignment }) => percent(alignment)),
      row("of the subject lost or covered, mean", ({ occluded }) => percent(occluded)),
      row("least type over the floor, median", ({ size }) => `${size.toFixed(2)} ×`),
      row("empty, mean of the safe area", ({ empty }) => percent(empty)),
      ["a size, median (4 ms wanted)", `${quantile(times, 0.5).toFixed(2)} ms`],
      ["a size, p95 (15 ms wanted)", `${quantile(times, 0.95).toFixed(2)} ms`],
      ["nine nodes in all sizes (150 ms wanted)", `${nineNodes(all, sources).toFixed(0)} ms`],
      ["the slowest strange one (100 ms wanted)", `${strangest(all, sources).toFixed(0)} ms`],
    ],
  );
  await benchStrangers();
}

/** Messages and brands that no template knows, begun with the three templates that suit best, in all placements. */
async function benchStrangers(): Promise<void> {
  const kept = messages.filter(({ aside }) => aside).map(({ typed }) => typed);
  const strangers = await judged(kept, strangeBrands(), 3);
  const spoken = await judged(Object.values(workshop), strangeBrands().slice(0, 2), 1);
  const row = (label: string, of: (tally: Tally) => number): [string, string] => [
    label,
    [strangers, spoken].map((tally) => `${(100 * of(tally)).toFixed(1).padStart(6)} %`).join(""),
  ];
  table(
    `Ten messages kept aside in ${strangeBrands().length} strange brands (${strangers.all} sizes), and one in 14 languages (${spoken.all})`,
    [
      row("all words, of sizes with room for them (97 wanted)", (t) => t.whole / t.large),
      row("every fact, of the same (100)", (t) => t.facts / t.large),
      row("the brand's sign, of the same (97)", (t) => t.signedLarge / t.large),
      row("the brand's sign, of all sizes (85)", (t) => t.signed / t.all),
      row("something must be fixed, of all sizes (0)", (t) => t.broken / t.all),
      row("content reaches less than half, of all sizes (1)", (t) => t.timid / t.all),
      row("under 13 px as viewed beside free room, of all sizes (1.5)", (t) => t.small / t.all),
    ],
  );
}

const NOTHING = {
  all: 0,
  large: 0,
  whole: 0,
  facts: 0,
  signed: 0,
  signedLarge: 0,
  broken: 0,
  timid: 0,
  small: 0,
};
type Tally = typeof NOTHING;

async function judged(typed: readonly string[], brands: Brand[], best: number): Promise<Tally> {
  const tally = { ...NOTHING };
  for (const brand of brands)
    for (const message of typed) await judge(wordsOf(sortMessage(message)), brand, best, tally);
  return tally;
}

async function judge(
  words: Record<string, string>,
  brand: Brand,
  best: number,
  tally: Tally,
): Promise<void> {
  const language = languageOf(Object.values(words).join("\n"));
  const offers = [];
  for (const template of shippedTemplates) {
    const wanted = { id: "x", title: "x", words, pictures: [], language };
    const first = pieceOf(template, brand, wanted);
    const sources = await strangeSources([{ piece: first, brand }]);
    const fitted = fitLead(first, brand, placementById(first.lead), sources);
    offers.push({ sources, ...offer(template, fitted, brand, sources) });
  }
  for (const { piece, sources } of inOrder(offers).slice(0, best))
    for (const placement of catalogue.placements)
      count(reportOf(makeScene(piece, brand, placement, sources).layout), placement, tally);
}

function count(report: LayoutReport, placement: Placement, tally: Tally): void {
  const missing = report.slots.filter((slot) => !report.shown.includes(slot));
  const signed = report.nodes.some(({ role }) => role === "logo");
  const reach = reachOf(report);
  const css = cssPerPixel(placement);
  const small = report.nodes.some(({ fontSize = Infinity }) => fontSize * css < EASY);
  tally.all++;
  if (signed) tally.signed++;
  if (report.findings.some(({ level }) => level === "must-fix")) tally.broken++;
  if (reach < TIMID) tally.timid++;
  if (small && reach < ROOMY) tally.small++;
  if (roomOf(placement) !== "all") return;
  tally.large++;
  if (missing.length === 0) tally.whole++;
  if (!missing.some(isFact)) tally.facts++;
  if (signed) tally.signedLarge++;
}

/** Text from this size on as viewed is read with ease; below it, free room is no excuse. Common practice. */
const EASY = 13;
const TIMID = 0.5;
const ROOMY = 0.75;

/** The share of the safe area that lies within one field, of 24 by 24, of some content. */
function reachOf({ safe, nodes }: LayoutReport): number {
  const [w, h] = [safe.width / CELLS, safe.height / CELLS];
  const content = nodes.filter(({ role, fontSize }) => fontSize !== undefined || SEEN.has(role));
  let near = 0;
  for (let i = 0; i < CELLS * CELLS; i++) {
    const x = safe.x + ((i % CELLS) + 0.5) * w;
    const y = safe.y + (Math.floor(i / CELLS) + 0.5) * h;
    const reaches = content.some(
      ({ ink }) =>
        x > ink.x - w && x < ink.x + ink.width + w && y > ink.y - h && y < ink.y + ink.height + h,
    );
    if (reaches) near++;
  }
  return near / CELLS ** 2;
}

const SEEN: ReadonlySet<string> = new Set(["photo", "logo", "badge", "ornament", "code", "figure"]);

type Making = (one: Case, placement: Placement, sources: Sources) => Layout;

function everySize(all: readonly Case[], sources: Sources, make: Making): Figures {
  const layouts = all.flatMap((one) =>
    catalogue.placements
      .filter(({ id }) => id !== one.piece.lead)
      .map((placement) => make(one, placement, sources)),
  );
  const mean = (of: (layout: Layout) => number) =>
    layouts.reduce((sum, layout) => sum + of(layout), 0) / layouts.length;
  const must = layouts.map((layout) => check(layout).filter(({ level }) => level === "must-fix"));
  const share = (count: number) => count / layouts.length;
  return {
    clean: share(must.filter((findings) => findings.length === 0).length),
    overlapping: share(must.filter((all) => all.some(({ code }) => code === "overlap")).length),
    alignment: mean(sharedEdges),
    occluded: mean(occlusion),
    size: quantile(layouts.map(leastType), 0.5),
    empty: mean(emptiness),
  };
}

/** The plain way: the arrangement scaled to fit and centred; what filled the lead fills the frame. */
const resized: Making = ({ piece, brand }, placement, sources) => {
  const lead = frameOf(placementById(piece.lead));
  const frame = frameOf(placement);
  const scale = Math.min(frame.width / lead.width, frame.height / lead.height);
  const [dx, dy] = [
    (frame.width - scale * lead.width) / 2,
    (frame.height - scale * lead.height) / 2,
  ];
  const moved = (at: Box): Box => {
    const scaled = scaleBox(at, scale);
    return contains(at, lead)
      ? frame
      : box(scaled.x + dx, scaled.y + dy, scaled.width, scaled.height);
  };
  const arrangement = piece.arrangement.map((node) => ({
    ...node,
    box: moved(node.box),
    style: { ...node.style, ...(node.style.size ? { size: node.style.size * scale } : {}) },
  }));
  const plain: Piece = { ...piece, arrangement, lead: placement.id };
  return makeScene(plain, brand, placement, sources).layout;
};

/*
 * The measures are those that the literature on content-aware layout uses (overlay, alignment, utility of space,
 * occlusion of what is salient; as in “PosterLayout: A New Benchmark and Approach for Content-aware Visual-Textual
 * Presentation Layout”, CVPR 2023). Named from memory; the formulas are our own plainer ones, on boxes and focus
 * areas instead of saliency maps.
 */

/** Alignment: the share of words and logos whose left edge another one has too, within a hundredth of the width. */
function sharedEdges({ placed, placement }: Layout): number {
  const edges = placed.filter(({ text, logo }) => text ?? logo).map((item) => inkOf(item).x);
  if (edges.length < 2) return 1;
  const near = (a: number, b: number) => Math.abs(a - b) < 0.01 * placement.width;
  const shared = edges.filter((edge, i) => edges.some((other, j) => i !== j && near(edge, other)));
  return shared.length / edges.length;
}

/** Occlusion: how much of a subject the crop has lost. */
function occlusion({ placed }: Layout): number {
  const lost = placed.flatMap(({ node, crop }) =>
    node.type === "picture" && crop ? [1 - shareShown(crop, node.subject.box)] : [],
  );
  return Math.max(0, ...lost);
}

function leastType({ placed, floor }: Layout): number {
  const sizes = placed.flatMap(({ text }) => (text ? [text.set.size] : []));
  return sizes.length > 0 ? Math.min(...sizes) / floor : 1;
}

const CELLS = 24;

/** The share of the safe area that nothing but the ground is on, on a grid. */
function emptiness({ placed, safe }: Layout): number {
  const boxes = placed.filter(({ node }) => node.role !== "backdrop").map(inkOf);
  let empty = 0;
  for (let i = 0; i < CELLS * CELLS; i++) {
    const [column, row] = [i % CELLS, Math.floor(i / CELLS)];
    const [width, height] = [safe.width / CELLS, safe.height / CELLS];
    const cell = box(safe.x + column * width, safe.y + row * height, width, height);
    if (!boxes.some((at) => area(intersect(at, cell)) > 0.5 * area(cell))) empty++;
  }
  return empty / (CELLS * CELLS);
}

/** The slowest of frames of extreme shapes and of two hundred nodes, each the better of two runs. */
function strangest(all: readonly Case[], sources: Sources): number {
  const { piece, brand } = all.find((one) => one.piece.id === "nine-nodes")!;
  const { arrangement } = piece;
  const many = Array.from({ length: 200 }, (_, i) => {
    const { on: _on, ...node } = arrangement[i % arrangement.length]!;
    return { ...node, id: `n${i}`, box: { ...node.box, y: (i * 37) % 1300 } };
  });
  const square = placementById("photo-feed-square");
  const shapes = [
    [1, 1],
    [50, 2000],
    [10_000, 50],
  ].map(([width, height]) => ({ ...square, id: "odd", width: width!, height: height!, margin: 2 }));
  const asked: [Piece, Placement][] = [
    ...shapes.map((placement): [Piece, Placement] => [piece, placement]),
    [{ ...piece, arrangement: many }, placementById("story")],
    [{ ...piece, arrangement: many }, placementById("ad-phone-banner")],
  ];
  const times = asked.map(([of, placement]) => {
    const runs = [0, 1].map(() => {
      const start = performance.now();
      makeScene(of, brand, placement, sources);
      return performance.now() - start;
    });
    return Math.min(...runs);
  });
  return Math.max(...times);
}

function nineNodes(all: readonly Case[], sources: Sources): number {
  const { piece, brand } = all.find((one) => one.piece.id === "nine-nodes")!;
  const runs = Array.from({ length: 7 }, () => {
    const start = performance.now();
    makeScenes(piece, brand, catalogue.placements, sources);
    return performance.now() - start;
  });
  return quantile(runs, 0.5);
}
