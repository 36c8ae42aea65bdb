import { readdir, readFile, stat } from "node:fs/promises";
import { dirname, join } from "node:path";
import { gzipSync } from "node:zlib";
import { createClient } from "@libsql/client";
import { zipSync } from "fflate";
import sharp from "sharp";
import {
  isUnderWay,
  type BatchAnswer,
  type DeliveryAnswer,
  type PieceAnswer,
} from "../../core/api";
import type { Program } from "./browser";
import { typed } from "./edits";

const PIECES = ["opening-announcement", "late-opening", "float-before-lunch"];
const SIZES = ["ad-leaderboard", "ad-medium-rectangle", "community-link"];

/** What was asked, and what came of it. */
export interface Figures {
  kills: number;
  edits: number;
  files: number;
  zips: number;
  hostile: number;
  lost: string[];
}

/** A row of numbers from 0 to 1 that is the same for the same seed (mulberry32, common practice). */
export function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let value = Math.imul(state ^ (state >>> 15), 1 | state);
    value = (value + Math.imul(value ^ (value >>> 7), 61 | value)) ^ value;
    return ((value ^ (value >>> 14)) >>> 0) / 4294967296;
  };
}

/** Clients at work on a program that is killed under their hands; whatever it has acknowledged must be there after it. */
export class Torture {
  readonly figures: Figures = { kills: 0, edits: 0, files: 0, zips: 0, hostile: 0, lost: [] };
  /** The last headline of each piece that was answered, and those that were sent after it. */
  private readonly saved = new Map<string, string>();
  private readonly sent = new Map<string, string[]>();
  private readonly batches: string[] = [];
  private readonly deliveries: string[] = [];
  private count = 0;
  private working = false;

  constructor(
    private readonly program: Program,
    private readonly random: () => number,
    private readonly clients: number,
  ) {}

  /**
   * Works for so long from the first answer on, in milliseconds, kills the program in the middle of it, starts it again and
   * looks at everything.
   */
  async round(ms: number): Promise<void> {
    this.working = true;
    const { edits } = this.figures;
    const clients = Array.from({ length: this.clients }, (_, index) => this.client(index));
    // How long a program takes until it answers at all depends on the machine.
    while (this.figures.edits === edits) await sleep(20);
    const at = Date.now() + ms * (0.3 + 0.7 * this.random());
    while (Date.now() < at) await sleep(20);
    await this.program.end("SIGKILL");
    this.working = false;
    this.figures.kills++;
    await Promise.all(clients);
    await this.program.start();
    await this.checkEdits();
  }

  /** Waits for all that is being made, and looks whether it is whole. */
  async settle(): Promise<void> {
    for (const id of this.batches) await this.checkBatch(id);
    for (const id of this.deliveries) await this.checkDelivery(id);
    await this.checkFolder();
  }

  private async client(index: number): Promise<void> {
    while (this.working) {
      const dice = this.random();
      // Asked of a program that has just been killed, it is no answer; what was answered counts.
      const act =
        dice < 0.8
          ? this.work(index)
          : dice < 0.86
            ? this.batch()
            : dice < 0.9
              ? this.delivery()
              : this.hostile();
      await act.catch(() => sleep(30));
    }
  }

  /** One client alone writes to each piece, so that the last that was answered is what is to be there; the others read. */
  private async work(index: number): Promise<void> {
    const piece = PIECES[index];
    if (piece !== undefined) return this.edit(piece);
    await this.program.ask(["/api/crates", "/api/pictures", "/api/brands"][index % 3]!);
  }

  private async edit(piece: string): Promise<void> {
    const to = `Headline ${++this.count}`;
    const pending = this.sent.get(piece) ?? [];
    this.sent.set(piece, [...pending, to]);
    const edit = typed(to, "");
    const answer = await this.program.ask<PieceAnswer>(`/api/pieces/${piece}/edits`, {
      edit,
      force: true,
    });
    if (!answer.piece) return;
    this.saved.set(piece, to);
    this.figures.edits++;
  }

  private async batch(): Promise<void> {
    const rows = Array.from({ length: 6 }, () => [`Row ${++this.count}`]);
    const request = { table: { columns: ["headline"], rows }, placements: SIZES.slice(0, 2) };
    const answer = await this.program.ask<BatchAnswer>(`/api/pieces/${PIECES[0]}/batches`, request);
    if (answer.id) this.batches.push(answer.id);
  }

  private async delivery(): Promise<void> {
    const answer = await this.program.ask<DeliveryAnswer>(`/api/pieces/${PIECES[0]}/deliveries`, {
      sizes: SIZES,
    });
    if (answer.id) this.deliveries.push(answer.id);
  }

  private async hostile(): Promise<void> {
    const [path, name, bytes] = HOSTILE[Math.floor(this.random() * HOSTILE.length)]!;
    const answer = await this.program.send<{ message?: string }>(path, name, bytes);
    this.figures.hostile++;
    if (!answer.message) this.figures.lost.push(`${name} was taken in`);
  }

  private async checkEdits(): Promise<void> {
    for (const [piece, last] of this.saved) {
      const answer = await this.program.ask<PieceAnswer>(`/api/pieces/${piece}`);
      const now = (answer.piece.message.headline as { text: string }).text;
      const after = this.sent.get(piece)!;
      // What was under way may have been saved too, and is what the next ones come after.
      if (!after.slice(after.indexOf(last)).includes(now))
        this.figures.lost.push(`${piece} says “${now}” after “${last}” was saved`);
    }
  }

  private async checkBatch(id: string): Promise<void> {
    const batch = await this.ended<BatchAnswer>(`/api/batches/${id}`);
    if (batch.state !== "done" || batch.made !== batch.files)
      this.figures.lost.push(`batch ${id}: ${batch.state}, ${batch.made} of ${batch.files}`);
    const folder = join(this.program.folder, "batches", id);
    for (const name of await readdir(folder)) {
      const whole = await sharp(join(folder, name), { failOn: "truncated" })
        .stats()
        .catch(() => undefined);
      if (!whole) this.figures.lost.push(`${name} of batch ${id} is cut short`);
      this.figures.files++;
    }
  }

  private async checkDelivery(id: string): Promise<void> {
    const { state, bytes } = await this.ended<DeliveryAnswer>(`/api/deliveries/${id}`);
    const path = join(this.program.folder, "deliveries", `${id}.zip`);
    const { size } = await stat(path).catch(() => ({ size: -1 }));
    if (state !== "done" || size !== bytes) this.figures.lost.push(`delivery ${id}: ${state}`);
    this.figures.zips++;
  }

  /** What the program ended at again and again is not taken up by itself; then a person says so, as here. */
  private async ended<T extends { state: BatchAnswer["state"]; message?: string }>(
    path: string,
  ): Promise<T> {
    for (let tries = 0; tries < 1200; tries++) {
      const answer = await this.program.ask<T>(path);
      if (answer.state === "failed" && answer.message?.startsWith("The program has ended"))
        await this.program.ask(`${path}/resume`, {});
      else if (!isUnderWay(answer.state)) return answer;
      await sleep(100);
    }
    return this.program.ask<T>(path);
  }

  /** The database is sound, nothing half is left, and nothing was written beside the folder. */
  private async checkFolder(): Promise<void> {
    await this.program.end();
    const client = createClient({ url: `file:${join(this.program.folder, "zest.db")}` });
    const [row] = (await client.execute("PRAGMA integrity_check")).rows;
    client.close();
    if (row?.integrity_check !== "ok") this.figures.lost.push("the database is damaged");
    const names = await readdir(this.program.folder, { recursive: true });
    const halves = names.filter((name) => name.endsWith(".part") || name.startsWith("scratch/at-"));
    if (halves.length > 0) this.figures.lost.push(`left half: ${halves.join(", ")}`);
    const victim = await readFile(join(dirname(this.program.folder), "victim")).catch(() => "");
    if (victim.length > 0) this.figures.lost.push("a file outside of the folder was written");
  }
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const text = (value: string) => new TextEncoder().encode(value);
const svg = (inside: string) =>
  text(`<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9">${inside}</svg>`);

/** Files that nobody can use, each with where it is sent. */
const HOSTILE: [path: string, name: string, bytes: Uint8Array][] = [
  ["/api/pictures", "words.jpg", text("no picture")],
  ["/api/pictures", "script.svg", svg("<script>1</script>")],
  ["/api/pictures", "packed.svgz", gzipSync(svg("<script>1</script>"))],
  ["/api/pictures", "bomb.svgz", gzipSync(new Uint8Array(40 * 1024 * 1024))],
  ["/api/fonts", "half.ttf", Uint8Array.from([0, 1, 0, 0, 0, 9, 0, 0, 0, 0, 0, 0, 1, 2, 3])],
  ["/api/tables", "open.csv", text('headline\n"never closed\n')],
  ["/api/tables", "bomb.xlsx", zipSync({ "a.xml": [new Uint8Array(60_000_000), { level: 9 }] })],
  ["/api/imports", "words.zip", text("no zip")],
  ["/api/imports", "outside.zip", zipSync({ "../../victim": text("x") })],
];
