import { z } from "zod";
import { Template } from "../../templates";
import { countdown, figures, steps } from "./counted";
import { oneLine, recipe, voices } from "./drawn";
import { beforeAfter, panorama, pictureStory } from "./photographed";
import { book, caseInOrder } from "./told";

/** Carousels to begin with, no two alike side by side. */
export const carousels: readonly Template[] = z
  .array(Template)
  .parse([
    steps,
    book,
    pictureStory,
    countdown,
    caseInOrder,
    panorama,
    voices,
    recipe,
    figures,
    oneLine,
    beforeAfter,
  ]);
