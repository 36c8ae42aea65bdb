import { z } from "zod";
import { Id } from "../id";
import { LocalChange, Node, PictureFilling, Slide, SlotName, Style, TextFilling } from "../piece";

const keysOf = <T extends object>(shape: T) =>
  Object.keys(shape) as [keyof T & string, ...(keyof T & string)[]];

/** What a piece is as a whole. Its id, its origin and how it was last seen are not edited. */
export const PIECE_FIELDS = [
  "title",
  "kind",
  "brand",
  "spread",
  "lead",
  "frame",
  "language",
  "without",
  "fine",
  "running",
  "across",
  "siblings",
] as const;

const { id: _id, style: _style, ...node } = Node.shape;
const NODE_FIELDS = keysOf(node);
const { style: _localStyle, ...local } = LocalChange.shape;
const LOCAL_FIELDS = keysOf(local);
const STYLE_FIELDS = keysOf(Style.shape);
const FILLING_FIELDS = keysOf({ ...TextFilling.shape, ...PictureFilling.shape });
const SIZE_FIELDS = ["layout", "own"] as const;
const { id: _slide, shown: _shown, ...slide } = Slide.shape;
const SLIDE_FIELDS = keysOf(slide);

const NodeId = z.string().min(1).max(60);

/**
 * Where in a piece something stands: the way to it in the document, with ids for indices. A slot, a node, a slide or a size
 * alone stands for all of it and its place among its like; `after` is the one that it follows.
 */
export const Address = z.union([
  z.tuple([z.enum(PIECE_FIELDS)]),
  z.tuple([z.literal("message"), SlotName]),
  z.tuple([z.literal("message"), SlotName, z.enum([...FILLING_FIELDS, "after"])]),
  z.tuple([z.literal("arrangement"), NodeId]),
  z.tuple([z.literal("arrangement"), NodeId, z.enum([...NODE_FIELDS, "after"])]),
  z.tuple([z.literal("arrangement"), NodeId, z.literal("style"), z.enum(STYLE_FIELDS)]),
  z.tuple([z.literal("slides"), Id]),
  z.tuple([z.literal("slides"), Id, z.enum([...SLIDE_FIELDS, "after"])]),
  z.tuple([z.literal("sizes"), Id]),
  z.tuple([z.literal("sizes"), Id, z.enum([...SIZE_FIELDS, "after"])]),
  z.tuple([z.literal("sizes"), Id, z.literal("changes"), NodeId, z.enum(LOCAL_FIELDS)]),
  z.tuple([
    z.literal("sizes"),
    Id,
    z.literal("changes"),
    NodeId,
    z.literal("style"),
    z.enum(STYLE_FIELDS),
  ]),
]);
export type Address = z.infer<typeof Address>;

export const addressKey = (at: Address): string => at.join("\n");
