import { begin, makeScene, makeScenes } from "../core/engine";
import { area, box, contains, intersect, scaleBox, type Box } from "../core/geometry";
import { isFact, sortMessage, wordsOf } from "../core/message";
import { inOrder, offer } from "../core/offers";
import { focusShown } from "../core/picture";
import type { Piece } from "../core/piece";
import { catalogue, frameOf, isLarge, placementById, type Placement } from "../core/placements";
import { check, inkOf, reportOf } from "../core/preflight";
import type { Layout } from "../core/refit";
import type { Sources } from "../core/resolve";
import { pieceOf, shippedTemplates } from "../core/templates";
import { messages, strangeBrands, strangeSources } from "../tests/support/strangers";
import { cases, type Case } from "../tests/support/arrangements";
import { caseSources } from "../tests/support/case-sources";
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
  let [large, all, whole, facts, logos, logosLarge, broken] = [0, 0, 0, 0, 0, 0, 0];
  for (const brand of strangeBrands()) {
    for (const { typed } of messages.filter(({ aside }) => aside)) {
      const words = wordsOf(sortMessage(typed));
      const offers = [];
      for (const template of shippedTemplates) {
        const first = pieceOf(template, brand, { id: "x", title: "x", words, pictures: [] });
        const sources = await strangeSources([{ piece: first, brand }]);
        const begun = begin(first, brand, placementById(first.lead), sources);
        offers.push({ sources, ...offer(template, begun, brand, sources) });
      }
      for (const { piece, sources } of inOrder(offers).slice(0, 3)) {
        for (const placement of catalogue.placements) {
          const report = reportOf(makeScene(piece, brand, placement, sources).layout);
          const missing = report.slots.filter((slot) => !report.shown.includes(slot));
          const signed = report.nodes.some(({ role }) => role === "logo");
          all++;
          if (signed) logos++;
          if (report.findings.some(({ level }) => level === "must-fix")) broken++;
          if (!isLarge(placement)) continue;
          large++;
          if (missing.length === 0) whole++;
          if (!missing.some(isFact)) facts++;
          if (signed) logosLarge++;
        }
      }
    }
  }
  const share = (part: number, of: number) => `${((100 * part) / of).toFixed(1)} %`;
  table(`Ten messages kept aside, in ${strangeBrands().length} strange brands: ${all} sizes`, [
    ["all words shown, of sizes of 250 × 150 px as viewed (97 % wanted)", share(whole, large)],
    ["every fact shown, of the same (100 % wanted)", share(facts, large)],
    ["the brand's sign, of the same (97 % wanted)", share(logosLarge, large)],
    ["the brand's sign, of all sizes (85 % wanted)", share(logos, all)],
    ["something must be fixed, of all sizes (0 % wanted)", share(broken, all)],
  ]);
}

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
    node.type === "picture" && crop ? [1 - focusShown(crop, node.focus)] : [],
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
