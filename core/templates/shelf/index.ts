import type { Template } from "../template";
import { paper } from "./paper";
import { photographic } from "./photographic";
import { placed } from "./placed";
import { typographic } from "./typographic";

/** The templates that ship with the program, in the order in which they are shown: no two alike side by side. */
export const shippedTemplates: readonly Template[] = inTurn([
  photographic,
  typographic,
  paper,
  placed,
]);

/** One of each shelf after another, so that unlike ones stand beside each other. */
function inTurn(shelves: Template[][]): Template[] {
  const longest = Math.max(...shelves.map((shelf) => shelf.length));
  return Array.from({ length: longest }, (_, i) =>
    shelves.flatMap((shelf) => shelf[i] ?? []),
  ).flat();
}
