import { isUnderWay, type BatchAnswer } from "../core/api";
import type { Program } from "../tests/support/browser";
import { table } from "./figures";
import { Watch } from "./watch";

/** Each more rows of one table, on the same sizes; the first is the baseline, long enough for being asked about once a second. */
const ROWS = [300, 1700, 5000];
const SIZES = [
  "photo-feed-tall",
  "photo-feed-square",
  "story",
  "community-link",
  "microblog-wide",
  "ad-medium-rectangle",
];
/** What the server may take with its processes. */
const MOST_MB = 1200;
/** No two batches say the same, or the second would find what it needs of the first. */
let said = 10_000;
const HEADS = ["Boats at rest", "Still water, early", "What the tide leaves", "Harbour light"];

/**
 * Whether a batch is made as fast when it is large: files a second of more and more rows on six sizes against those of the
 * first, and the most memory that the program takes meanwhile. It takes some ten minutes and as many gigabytes.
 */
export async function benchGrowth(program: Program): Promise<void> {
  const watch = new Watch(program.pid);
  await made(program, ROWS[0]!); // Once to warm up.
  const rows: [string, string][] = [];
  let first = 0;
  for (const count of ROWS) {
    let rate = 0;
    const most = await watch.during(async () => (rate = await made(program, count)));
    first ||= rate;
    const files = count * SIZES.length;
    rows.push([
      `${files} files`,
      `${rate.toFixed(1)} a second, ${(rate / first).toFixed(2)} ×, ${most.toFixed(0)} MB`,
    ]);
  }
  rows.push(["most of all", `${watch.most.toFixed(0)} MB of ${MOST_MB} MB`]);
  table(`A JPEG batch on ${SIZES.length} sizes`, rows);
}

/** Files a second; the batch is deleted afterwards. */
async function made(program: Program, count: number): Promise<number> {
  const rows = Array.from({ length: count }, (_, at) => [`${HEADS[at % HEADS.length]} ${said++}`]);
  const request = { table: { columns: ["headline"], rows }, placements: SIZES, format: "jpeg" };
  const start = performance.now();
  const piece = "/api/pieces/opening-announcement";
  let batch = await program.ask<BatchAnswer>(`${piece}/batches`, request);
  const { id } = batch;
  do {
    await new Promise((resolve) => setTimeout(resolve, 1000));
    batch = await program.ask<BatchAnswer>(`/api/batches/${id}`);
  } while (isUnderWay(batch.state));
  const rate = batch.made / ((performance.now() - start) / 1000);
  await fetch(`${program.url}/api/batches/${id}`, { method: "DELETE" });
  return rate;
}
