import type { JobFacts } from "../../core/api";
import type { Transaction } from "../store/database";

/**
 * Makes what a job is for. `again`: it was begun before, and what is there of it need not be made anew. `moved` says that
 * something of it is done for good, so that it comes to its end however often the program does.
 */
export type Make = (
  id: string,
  about: { signal: AbortSignal; again: boolean; moved: () => Promise<void> },
) => Promise<void>;

/** Free bytes. */
export type Room = () => Promise<number>;

/**
 * What the services ask of a queue, so that another can take the place of the one in the database. A job has the id of what
 * it makes, and one life: queued, running, paused by a person or for want of room, then done, failed or cancelled.
 */
export interface JobQueue<Kind extends string> {
  /** How jobs of a kind are made, and how many at once. */
  handle(kind: Kind, make: Make, atOnce: number): void;
  /** Adds a job together with what it is for; it begins when `next` is called. */
  add(tx: Transaction, kind: Kind, id: string): Promise<void>;
  /** Told the id of each job that comes into another state. */
  watch(listener: (id: string) => void): void;
  next(): Promise<void>;
  facts(ids: readonly string[]): Promise<Map<string, JobFacts>>;
  cancel(id: string): Promise<void>;
  pause(id: string): Promise<void>;
  resume(id: string): Promise<void>;
  /** Has one that has ended made again, together with what is changed of it; it begins when `next` is called. */
  renew(tx: Transaction, id: string): Promise<void>;
  remove(tx: Transaction, id: string): Promise<void>;
  recover(): Promise<void>;
  close(): Promise<void>;
}
