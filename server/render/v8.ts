import { setFlagsFromString } from "node:v8";
import { runInNewContext } from "node:vm";

/*
 * How V8 works in threads that make thousands of pictures. It compiles what it takes for hot after so many bytes of code were
 * run; at its own number (67 584) it compiled some thousand small functions again and again, a sixth of what a batch took in
 * its first minutes.
 */
setFlagsFromString("--interrupt-budget=1000000");
// The heap is too large only at three times what it is while nothing is made.
setFlagsFromString("--heap-growing-percent=200");
setFlagsFromString("--expose-gc");

/** Collects what nobody holds, or of that only what is new. */
export const collect = runInNewContext("gc") as (only?: { type: "minor" }) => void;
