import sharp from "sharp";
import { zipSync } from "fflate";
import { isUnderWay, type BatchAnswer, type DeliveryAnswer, type PieceAnswer } from "../core/api";
import type { PictureFile } from "../core/files";
import { catalogue } from "../core/placements";
import type { Program } from "../tests/support/browser";
import { sized, typed } from "../tests/support/edits";
import { quantile, table } from "./figures";
import { Watch } from "./watch";

/** What the server may take, whatever is asked of it. */
const MOST_MB = 1200;
const PHOTOGRAPHS = 24;
const EDITS = 60;
const PIECE = "/api/pieces/opening-announcement";

/**
 * The most memory that the program and its processes take together (resident set sizes, from /proc, ten times a second)
 * while it is asked for what is large, against what it takes when nothing is asked; and how long an edit takes while a
 * batch is made, against one at rest.
 */
export async function benchMemory(program: Program): Promise<void> {
  const watch = new Watch(program.pid);
  const idle = await watch.during(() => sleep(1500));
  const atRest = await editTimes(program);
  const rows: [string, string][] = [];
  const note = (what: string, peak: number) =>
    rows.push([what, `${peak.toFixed(0)} MB, ${(peak / idle).toFixed(1)} ×`]);
  note("at rest", idle);

  const pictures: string[] = [];
  note(
    `${PHOTOGRAPHS} photographs of 12 megapixels come in`,
    await watch.during(async () => {
      for (let i = 0; i < PHOTOGRAPHS; i++) {
        const { id } = await program.send<PictureFile>("/api/pictures", `${i}.jpg`, await photo(i));
        pictures.push(id);
      }
    }),
  );
  let busy: number[] = [];
  note(
    `a batch of them at twice the size, ${2 * PHOTOGRAPHS} files`,
    await watch.during(async () => {
      const request = {
        table: { columns: ["picture"], rows: pictures.map((_, i) => [`${i}.jpg`]) },
        placements: ["photo-feed-tall", "story"],
        scale: 2,
      };
      const { id } = await program.ask<BatchAnswer>(`${PIECE}/batches`, request);
      busy = await editTimes(program);
      await finished(() => program.ask<BatchAnswer>(`/api/batches/${id}`));
    }),
  );
  note(
    "three deliveries of the largest size at once",
    await watch.during(async () => {
      const id = await largest(program);
      const made = await Promise.all(
        ["png", "jpeg", "webp"].map((format) =>
          program.ask<DeliveryAnswer>(`${PIECE}/deliveries`, { sizes: [id], format }),
        ),
      );
      for (const one of made)
        await finished(() => program.ask<DeliveryAnswer>(`/api/deliveries/${one.id}`));
    }),
  );
  note(
    "the largest picture that is read",
    await watch.during(async () => {
      const wide = {
        create: { width: 12_000, height: 12_000, channels: 3 as const, background: "#357" },
      };
      await program.send("/api/pictures", "wide.png", await sharp(wide).png().toBuffer());
    }),
  );
  note(
    "20 MB of blank lines, a zip and a workbook that unpack to 256 MB",
    await watch.during(async () => {
      const zeros = new Uint8Array(256 * 1024 * 1024);
      const bomb = zipSync({ "xl/workbook.xml": [zeros, { level: 9 }] });
      await program.send("/api/tables", "a.csv", Buffer.from(`a\n${"\n".repeat(20_000_000)}`));
      await program.send("/api/imports", "a.zip", bomb);
      await program.send("/api/tables", "a.xlsx", bomb);
    }),
  );
  table("Memory of the server and its processes, and times against those at rest", rows);
  table("", [
    ["most of all", `${watch.most.toFixed(0)} MB of ${MOST_MB} MB`],
    ["an edit at rest, p95", `${quantile(atRest, 0.95).toFixed(1)} ms`],
    [
      "while a batch is made, p95",
      `${(quantile(busy, 0.95) / quantile(atRest, 0.95)).toFixed(1)} ×`,
    ],
  ]);
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function finished(ask: () => Promise<{ state: BatchAnswer["state"] }>): Promise<void> {
  while (isUnderWay((await ask()).state)) await sleep(100);
}

/** Soft noise, of which little can be packed away, as in a photograph; each is another. */
async function photo(seed: number): Promise<Buffer> {
  const noise = { type: "gaussian" as const, mean: 90 + seed, sigma: 40 };
  const small = { width: 1000, height: 750, channels: 3 as const, background: "#888", noise };
  const pixels = await sharp({ create: small }).png({ compressionLevel: 1 }).toBuffer();
  return sharp(pixels).resize(4000, 3000).jpeg({ quality: 85 }).toBuffer();
}

/** The id of a size of the piece's own, as large as can be painted. */
async function largest(program: Program): Promise<string> {
  const id = "own-largest";
  const like = catalogue.placements.find(({ use }) => use === "poster")!;
  const own = { ...like, id, name: "Largest", width: 8400, height: 8400 };
  const { piece } = await program.ask<PieceAnswer>(PIECE);
  const to = [...piece.sizes, { placement: id, own, changes: {} }];
  await program.ask(`${PIECE}/edits`, { edit: sized(piece, to) });
  return id;
}

/** How long edits take, in milliseconds, one after another with a pause as in typing. */
async function editTimes(program: Program): Promise<number[]> {
  const times: number[] = [];
  for (let i = 0; i < EDITS; i++) {
    const edit = typed(`Harbour ${i}`, "");
    const start = performance.now();
    await program.ask(`${PIECE}/edits`, { edit, force: true });
    times.push(performance.now() - start);
    await sleep(30);
  }
  return times;
}
