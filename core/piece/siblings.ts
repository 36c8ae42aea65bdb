import { z } from "zod";
import { Id } from "../id";
import { Filling, SlotName } from "./filling";
import { LIMITS } from "./limits";

const Message = z.record(SlotName, Filling);

/**
 * Of a piece that is laid out as a set with others of its crate: all that decides how they stand, so that each looks like the
 * others without a look at them. What one of them says later changes that one alone.
 */
export const Siblings = z.object({
  /** The same for all pieces of a set. */
  set: Id,
  /** The most that any of those with about as many words says in each slot, and the pictures of one of them. */
  longest: Message,
  /** The words of some of them, and how many pieces say as much. */
  tried: z
    .array(z.object({ message: Message, count: z.number().int().positive() }))
    .max(LIMITS.tried),
  /** Its lead was composed by hand since: it stands so, and its other sizes follow from it. */
  composed: z.boolean().optional(),
});
export type Siblings = z.infer<typeof Siblings>;
