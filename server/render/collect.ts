import { setImmediate } from "node:timers/promises";
import { setFlagsFromString } from "node:v8";
import { runInNewContext } from "node:vm";

/** Bytes of pixels after which what is new is gone through. */
const SOON = 24 * 1024 * 1024;
/** Above this, in bytes, all that is let go of is collected; at most so often, in milliseconds. */
const LARGE = 500 * 1024 * 1024;
const EVERY = 4000;

/*
 * Pixels lie outside of the heap that V8 looks at. Left to itself it sees no reason to collect for a long time after a
 * large picture was painted; or, among many of middling size, goes through the whole heap again and again, which takes
 * as long as painting. To go through what is new takes a millisecond. Done after each picture, it would find what the next
 * is made of, twice, and take it for something that stays.
 */
setFlagsFromString("--expose-gc");
// And to take the heap for too large only at three times what it is while nothing is made.
setFlagsFromString("--heap-growing-percent=200");
const collect = runInNewContext("gc") as (only?: { type: "minor" }) => void;
let last = 0;
let pixels = 0;

/** Gives the memory of the picture back that was just made, of `bytes`; from time to time of all, where the program is large. */
export function collectMade(bytes: number): void {
  pixels += bytes;
  if (pixels < SOON) return;
  pixels = 0;
  collect({ type: "minor" });
  const now = performance.now();
  if (now - last < EVERY) return;
  last = now;
  if (process.memoryUsage.rss() >= LARGE) collect();
}

/** After much memory was let go of, where there will be more: pixels are given back between two turns of a thread. */
export async function giveBack(): Promise<void> {
  collect();
  await setImmediate();
}
