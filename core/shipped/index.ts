import { z } from "zod";
import { Template } from "../templates";
import paper from "./paper.json";
import photographic from "./photographic.json";
import placed from "./placed.json";
import typographic from "./typographic.json";

export { carousels } from "./carousels";

/*
 * What each shelf holds: photographic, what a picture rules; typographic, what words alone make; paper, what borrows from
 * things made of paper; placed, what is drawn for one kind of place.
 */
const shelves = [photographic, typographic, paper, placed].map((shelf) =>
  z.array(Template).parse(shelf),
);

/** The templates that ship with the program, in the order in which they are shown: no two alike side by side. */
export const shippedTemplates: readonly Template[] = inTurn(shelves);

/** One of each shelf after another, so that unlike ones stand beside each other. */
function inTurn(shelves: Template[][]): Template[] {
  const longest = Math.max(...shelves.map((shelf) => shelf.length));
  return Array.from({ length: longest }, (_, i) =>
    shelves.flatMap((shelf) => shelf[i] ?? []),
  ).flat();
}
