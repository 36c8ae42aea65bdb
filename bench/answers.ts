import { createClient } from "@libsql/client";
import { join } from "node:path";
import { Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const PIECES = 2000;
const RUNS = 9;
/** What every page asks for when it opens. */
const ASKED = ["/api/crates", "/api/pictures", "/api/brands", "/api/placements"];

/** How long the server takes for what every page asks for, with many pieces stored. */
export async function benchAnswers(): Promise<void> {
  const program = await Program.create();
  try {
    const few = await answered(program);
    await program.end();
    await addPieces(program.folder);
    await program.start();
    const many = await answered(program);
    table(`What a page asks for when it opens, with ${PIECES} pieces`, [
      ["The first time after a start", `${many.first.toFixed(0)} ms`],
      ["Afterwards, median", `${many.later.toFixed(0)} ms`],
      ["  against the demo's few", `${(many.later / few.later).toFixed(1)} ×`],
    ]);
  } finally {
    await program.close();
  }
}

/** All at once, in ms. */
async function answered({ url }: Program): Promise<{ first: number; later: number }> {
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const began = performance.now();
    await Promise.all(ASKED.map(async (path) => (await fetch(`${url}${path}`)).arrayBuffer()));
    times.push(performance.now() - began);
  }
  const [first = NaN, ...later] = times;
  return { first, later: quantile(later, 0.5) };
}

/** Copies of the pieces that are there, each with a title of its own. */
async function addPieces(folder: string): Promise<void> {
  const store = createClient({ url: `file:${join(folder, "zest.db")}` });
  const { rows, columns } = await store.execute("SELECT * FROM pieces WHERE deleted IS NULL");
  const places = columns.map(() => "?").join(", ");
  const sql = `INSERT INTO pieces (${columns.join(", ")}) VALUES (${places})`;
  const copies = Array.from({ length: PIECES }, (_, at) => {
    const row = { ...rows[at % rows.length]! };
    const id = `copy-${at}`;
    const document = { ...JSON.parse(String(row.document)), id, title: `Copy ${at}` };
    const copy = { ...row, id, position: 100 + at, document: JSON.stringify(document) };
    return { sql, args: columns.map((column) => (copy as typeof row)[column] ?? null) };
  });
  await store.batch(copies, "write");
  await store.execute("PRAGMA journal_mode = delete");
  store.close();
}
