import { readlinkSync } from "node:fs";
import { setPriority } from "node:os";
import { basename } from "node:path";

/** Of the steps down to 19, at which hardly anything is left to a thread when others want to work. */
const STEPS_DOWN = 5;

/**
 * Lets this thread step back for the program's main one, where both want the same core: an edit is answered before a batch
 * goes on. Linux has a priority for each thread (setpriority(2), proc(5)); elsewhere all stay alike.
 */
export function stepBack(): void {
  try {
    setPriority(Number(basename(readlinkSync("/proc/thread-self"))), STEPS_DOWN);
  } catch {
    // Then there is no such thing here, or it may not be changed.
  }
}
