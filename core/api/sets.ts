import { z } from "zod";
import { Id } from "../id";

const Named = z.object({ id: z.string(), title: z.string() });

/** Pieces of a crate that are to be laid out as a set, in the arrangement of one of them. */
export const SetRequest = z.object({ like: Id, pieces: z.array(Id).min(1).max(500) });
export type SetRequest = z.infer<typeof SetRequest>;

/** The pieces of the set, and those that were left as they are: carousels, whose slides are a set of their own. */
export const SetAnswer = z.object({ pieces: z.array(Named), left: z.array(Named) });
export type SetAnswer = z.infer<typeof SetAnswer>;

/** The set of a piece as it is now, none where it stands by itself; and whether its pieces say what they were laid out for. */
export const SetState = z.object({ pieces: z.array(Named), upToDate: z.boolean() });
export type SetState = z.infer<typeof SetState>;
