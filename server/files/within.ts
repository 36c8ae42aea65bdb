import { join } from "node:path";
import { problem } from "../../core/problem";

/**
 * The path of a file in a folder, by the names of the folders on the way and its own. Whatever it is given, it is inside:
 * throws `name-unsafe` for a name that would lead elsewhere.
 */
export function within(folder: string, ...names: [string, ...string[]]): string {
  for (const name of names) if (!isPlain(name)) throw problem("name-unsafe", { name });
  return join(folder, ...names);
}

/** One step down: no separator of any system, not the folder itself or the one above, no drive, no end of text. */
const isPlain = (name: string): boolean =>
  name !== "" && name !== "." && name !== ".." && !/[/\\:\u0000-\u001f]/.test(name);
