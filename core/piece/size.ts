import { z } from "zod";
import { Id } from "../id";
import { Placement } from "../placements/placement";
import { LayoutId } from "./layout-id";
import { LocalChange } from "./node";

export const Size = z.object({
  placement: Id,
  /** What the placement is, when it is a size of the piece's own and not of the catalogue. */
  own: Placement.optional(),
  /** The layout that a person picked for this size; else the best is taken. */
  layout: LayoutId.optional(),
  changes: z.record(z.string(), LocalChange).default({}),
});
export type Size = z.infer<typeof Size>;

/** The sides of a frame in pixels. */
export const Frame = z.object({ width: z.number().positive(), height: z.number().positive() });
export type Frame = z.infer<typeof Frame>;
