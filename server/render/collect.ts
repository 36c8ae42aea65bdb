import { setImmediate } from "node:timers/promises";
import { setFlagsFromString } from "node:v8";
import { runInNewContext } from "node:vm";

/** Above this, in bytes, what is let go of is collected at once; at most so often, in milliseconds. */
const LARGE = 500 * 1024 * 1024;
const EVERY = 400;

/*
 * Pixels lie outside of the heap that V8 looks at, which therefore sees no reason to collect for a long time after a large
 * picture was painted. A thread has a small heap: to go through all of it takes some ten milliseconds.
 */
setFlagsFromString("--expose-gc");
const collect = runInNewContext("gc") as () => void;
let last = 0;

/** Gives the memory of pictures back that nobody holds any more, where the program has become large. */
export function collectIfLarge(): void {
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
