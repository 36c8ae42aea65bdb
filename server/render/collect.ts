import { setImmediate } from "node:timers/promises";
import { collect } from "./v8";

/** Bytes of pixels after which what is new is gone through. */
const SOON = 24 * 1024 * 1024;
/** All that is let go of is collected where the program has so many bytes, and so many more than at its least since. */
const LARGE = 500 * 1024 * 1024;
const MORE = 150 * 1024 * 1024;

/*
 * Pixels lie outside of the heap that V8 looks at. Left to itself it sees no reason to collect for a long time after a
 * large picture was painted; or, among many of middling size, goes through the whole heap again and again, which takes
 * as long as painting. To go through what is new takes a millisecond. Done after each picture, it would find what the next
 * is made of, twice, and take it for something that stays.
 */
let pixels = 0;
let least = 0;

/** Gives the memory of the picture back that was just made, of `bytes`; from time to time of all, where the program is large. */
export function collectMade(bytes: number): void {
  pixels += bytes;
  if (pixels < SOON) return;
  pixels = 0;
  collect({ type: "minor" });
  // What was compiled falls with what nobody holds any more, and a second of compiling follows: never without need.
  const size = process.memoryUsage.rss();
  least = Math.min(least, size);
  if (size < Math.max(LARGE, least + MORE)) return;
  collect();
  least = process.memoryUsage.rss();
}

/** After much memory was let go of, where there will be more: pixels are given back between two turns of a thread. */
export async function giveBack(): Promise<void> {
  collect();
  await setImmediate();
}
