import { and, asc, eq, inArray, isNotNull } from "drizzle-orm";
import type { JobFacts, JobState } from "../../core/api";
import { Problem, problem } from "../../core/problem";
import { asProblem } from "../problems";
import type { Store, Transaction } from "../store/database";
import { jobs } from "../store/tables";
import type { JobQueue, Make, Room } from "./queue";

export type JobKind = (typeof jobs.$inferSelect)["kind"];
type JobRow = typeof jobs.$inferSelect;

/** A failure that no sentence explains may be chance: the job is taken up again so often. */
const MOST_TRIES = 3;
/** A job at whose making the program ended so often, and that did not move, is not taken up by itself any more. */
const MOST_RUNS = 5;
/** How soon it is looked whether there is room again, at first and at most; in milliseconds. */
const LOOK_AFTER = 10_000;
const MOST_LOOK_AFTER = 300_000;
/** So many free bytes are room. */
const ENOUGH = 64 * 1024 * 1024;

interface Kind {
  make: Make;
  atOnce: number;
}

interface Running {
  kind: JobKind;
  abort: AbortController;
  ended: Promise<void>;
}

/**
 * Jobs that stand in the database, and are worked on in this program. The lock of the data folder makes it the only one, so
 * that no job needs a lease of its own: what was running at the start is nobody's, and is taken up again.
 */
export class Jobs implements JobQueue<JobKind> {
  private readonly kinds = new Map<JobKind, Kind>();
  private readonly running = new Map<string, Running>();
  /** What could not be written down, since the disk is full. */
  private readonly unwritten = new Map<string, JobFacts>();
  private readonly listeners: ((id: string) => void)[] = [];
  private closing = false;
  private turn: Promise<void> = Promise.resolve();
  private look: NodeJS.Timeout | undefined;
  private looks = 0;

  constructor(
    private readonly store: Store,
    private readonly now: () => Date,
    /** The free bytes where jobs write. */
    private readonly room: Room,
  ) {}

  handle(kind: JobKind, make: Make, atOnce: number): void {
    this.kinds.set(kind, { make, atOnce });
  }

  watch(listener: (id: string) => void): void {
    this.listeners.push(listener);
  }

  async add(tx: Transaction, kind: JobKind, id: string): Promise<void> {
    const created = this.now().toISOString();
    await tx.insert(jobs).values({ id, kind, state: "queued", created });
  }

  /** Whoever asks waits until what is queued has been begun, as far as there are places. */
  next(): Promise<void> {
    this.turn = this.turn
      .then(() => this.beginQueued())
      .catch((error) => {
        // What cannot be written down now is begun when there is room again.
        asProblem(error);
        this.lookForRoom();
      });
    return this.turn;
  }

  async facts(ids: readonly string[]): Promise<Map<string, JobFacts>> {
    const rows = await this.store.read
      .select()
      .from(jobs)
      .where(inArray(jobs.id, [...ids]));
    return new Map(rows.map((row) => [row.id, this.unwritten.get(row.id) ?? factsOf(row)]));
  }

  /** Stops a job for good; what it has made stays. Answers when nothing of it is being made any more. */
  cancel(id: string): Promise<void> {
    return this.stop(id, "cancelled", ["queued", "running", "paused"]);
  }

  /** Stops a job until a person says that it is to go on; it answers as `cancel` does. */
  pause(id: string): Promise<void> {
    return this.stop(id, "paused", ["queued", "running"]);
  }

  private async stop(id: string, state: JobState, from: JobState[]): Promise<void> {
    await this.change(id, { state, message: null }, from);
    const running = this.running.get(id);
    running?.abort.abort();
    await running?.ended;
  }

  /** Goes on with one that was paused, cancelled or has failed. */
  async resume(id: string): Promise<void> {
    // One whose pause could not be written down still stands there as running.
    const held: JobState[] = this.unwritten.has(id) ? ["running"] : [];
    await this.change(id, AGAIN, ["paused", "cancelled", "failed", ...held]);
    await this.next();
  }

  async renew(tx: Transaction, id: string): Promise<void> {
    await tx
      .update(jobs)
      .set(AGAIN)
      .where(and(eq(jobs.id, id), inArray(jobs.state, ["done", "failed", "cancelled"])));
  }

  async remove(tx: Transaction, id: string): Promise<void> {
    await tx.delete(jobs).where(eq(jobs.id, id));
  }

  /** Takes up what was being made when the program ended. */
  async recover(): Promise<void> {
    const rows = await this.store.read.select().from(jobs).where(eq(jobs.state, "running"));
    for (const { id, runs } of rows) {
      const message = problem("job-ends-program", { times: runs }).message;
      const change = runs >= MOST_RUNS ? { state: "failed" as const, message } : QUEUED;
      await this.change(id, change, ["running"]);
    }
    await this.wake();
  }

  /** Ends all work without giving it up: it goes on at the next start. */
  async close(): Promise<void> {
    this.closing = true;
    clearTimeout(this.look);
    await this.turn;
    const all = [...this.running.values()];
    for (const { abort } of all) abort.abort();
    await Promise.all(all.map(({ ended }) => ended));
  }

  private async beginQueued(): Promise<void> {
    const rows = await this.store.read
      .select()
      .from(jobs)
      .where(eq(jobs.state, "queued"))
      .orderBy(asc(jobs.created));
    for (const row of rows) {
      const kind = this.kinds.get(row.kind);
      const busy = [...this.running.values()].filter((one) => one.kind === row.kind).length;
      if (!kind || busy >= kind.atOnce || this.closing || this.running.has(row.id)) continue;
      // It may have been cancelled meanwhile.
      if (await this.change(row.id, { state: "running", runs: row.runs + 1 }, ["queued"]))
        this.begin(row, kind);
    }
  }

  private begin(row: JobRow, { make }: Kind): void {
    const abort = new AbortController();
    const about = { signal: abort.signal, again: row.runs > 0, moved: this.movesOn(row.id) };
    const ended = make(row.id, about)
      .then(() => {
        this.looks = 0;
        return this.end(row.id, { state: "done", message: null });
      })
      .catch((error: unknown) => this.stumble(row, abort.signal, error))
      .finally(() => {
        this.running.delete(row.id);
        if (!this.closing) void this.next();
      });
    this.running.set(row.id, { kind: row.kind, abort, ended });
  }

  /** Once is enough for each time that it is begun. */
  private movesOn(id: string): () => Promise<void> {
    let moved: Promise<unknown> | undefined;
    // It does not matter to the job whether this could be written down.
    return async () => {
      await (moved ??= this.change(id, { runs: 1 }, ["running"]).catch(() => undefined));
    };
  }

  private async stumble(row: JobRow, { aborted }: AbortSignal, error: unknown): Promise<void> {
    // Cancelled, which is written down already, or to go on at the next start.
    if (aborted) return;
    const { code, message } = asProblem(error);
    const tries = row.tries + 1;
    if (code === "store-full") {
      await this.end(row.id, { state: "paused", message });
      this.lookForRoom();
    } else if (error instanceof Problem || tries >= MOST_TRIES)
      await this.end(row.id, { state: "failed", message });
    else await this.end(row.id, { ...QUEUED, tries });
  }

  /** A disk without room for a job may have none for this either; then it is known here, and found out at the next start. */
  private async end(id: string, change: Partial<JobRow> & { state: JobState }): Promise<void> {
    await this.change(id, change, ["running"]).catch(() => this.unwritten.set(id, factsOf(change)));
  }

  /** Whether it was in one of the states that it may be changed from. */
  private async change(id: string, to: Partial<JobRow>, from: JobState[]): Promise<boolean> {
    const changed = await this.store.write((tx) =>
      tx
        .update(jobs)
        .set(to)
        .where(and(eq(jobs.id, id), inArray(jobs.state, from)))
        .returning({ id: jobs.id }),
    );
    this.unwritten.delete(id);
    if (changed.length > 0 && !this.closing) for (const told of this.listeners) told(id);
    return changed.length > 0;
  }

  /** Jobs that wait for room go on by themselves when there is some again. */
  private lookForRoom(): void {
    if (this.closing) return;
    clearTimeout(this.look);
    const after = Math.min(MOST_LOOK_AFTER, LOOK_AFTER * 2 ** this.looks++);
    this.look = setTimeout(() => void this.wakeIfRoom(), after).unref();
  }

  private async wakeIfRoom(): Promise<void> {
    const free = await this.room().catch(() => 0);
    if (free < ENOUGH) return this.lookForRoom();
    await this.wake().catch(() => this.lookForRoom());
  }

  /** What was paused for want of room, and says so, is tried again; what a person paused is left. */
  private async wake(): Promise<void> {
    const written = and(eq(jobs.state, "paused"), isNotNull(jobs.message));
    const held = [...this.unwritten.keys()];
    await this.store.write(async (tx) => {
      await tx.update(jobs).set(QUEUED).where(written);
      await tx.update(jobs).set(QUEUED).where(inArray(jobs.id, held));
    });
    this.unwritten.clear();
    await this.next();
  }
}

const factsOf = ({ state, message }: Pick<JobRow, "state"> & Partial<JobRow>): JobFacts => ({
  state,
  ...(message ? { message } : {}),
});

const QUEUED = { state: "queued" as const, message: null };
/** What is there of it already stays. */
const AGAIN = { ...QUEUED, tries: 0, runs: 1 };
