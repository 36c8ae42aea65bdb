import type { z } from "zod";
import { COUNTED } from "../../message";
import type { DesignSlide, Node, Role, SlideRole, Style } from "../../piece";
import type { LookName, Mood, Purpose, Template } from "../../templates";

/*
 * What carousels are written down with: all are drawn on one frame, and only what differs from one arrangement to the next is
 * said. Boxes are left, top, width and height in its pixels.
 */
export const FRAME = { width: 1080, height: 1350 } as const;
export const LEAD = "photo-feed-tall";

type At = readonly [x: number, y: number, width: number, height: number];
type More = Partial<Pick<Node, "id" | "on" | "pin" | "keep" | "group">>;

const boxAt = ([x, y, width, height]: At): Node["box"] => ({ x, y, width, height });

export const ground = (style: Style = { colour: "backdrop" }): Node => ({
  id: "ground",
  kind: "shape",
  role: "backdrop",
  box: boxAt([0, 0, FRAME.width, FRAME.height]),
  style,
});

/** Words of a slot; it is called what its slot is called. */
export const words = (slot: string, role: Role, at: At, style: Style, more: More = {}): Node => ({
  id: slot,
  kind: "text",
  role,
  slot,
  box: boxAt(at),
  style,
  ...more,
});

export const headline = (at: At, style: Style, more: More = {}): Node =>
  words("headline", "headline", at, style, { keep: "always", ...more });

export const body = (at: At, style: Style, more: More = {}): Node =>
  words("body", "body", at, style, more);

/** The words that end a strip: what to do and where, with the brand's mark. */
export const closing = (top: number): Node[] => [
  words("call-to-action", "cta", [100, top, 500, 104], { size: 46 }),
  words("site", "site", [100, top + 136, 880, 56], { size: 42 }),
];

/** The brand's mark, where there is room for it beside the words. */
export const logo = (at: At): Node => ({
  id: "logo",
  kind: "picture",
  role: "logo",
  box: boxAt(at),
  style: {},
  keep: "if-room",
});

/** The number of a slide among those that are counted, at its corner on every size. */
export const number = (at: At, style: Style, counted: keyof typeof COUNTED = "up"): Node => ({
  ...words(COUNTED[counted], "kicker", at, style),
  id: "number",
  keep: "always",
  pin: { h: style.align === "centre" || style.align === "right" ? style.align : "left", v: "top" },
});

export const shape = (id: string, at: At, style: Style, more: More = {}): Node => ({
  id,
  kind: "shape",
  role: "ornament",
  box: boxAt(at),
  style,
  pin: {},
  ...more,
});

/** A line between words: it is laid out with them, as one of them. */
export const rule = (id: string, at: At): Node => ({
  id,
  kind: "shape",
  role: "ornament",
  box: boxAt(at),
  style: { shape: "rectangle", colour: "action" },
});

/** A ground for words, which sit `on` it. */
export const plate = (id: string, at: At, style: Style = {}): Node => ({
  id,
  kind: "shape",
  role: "plate",
  box: boxAt(at),
  style: { colour: "plate", ...style },
});

export const picture = (at: At, style: Style = {}, slot = "picture"): Node => ({
  id: slot,
  kind: "picture",
  role: "photo",
  slot,
  box: boxAt(at),
  style,
});

type Words = Readonly<Record<string, string>>;
export const saying = (words: Words): DesignSlide["message"] =>
  Object.fromEntries(Object.entries(words).map(([slot, text]) => [slot, { text }]));

/** One arrangement for slides of a role, with sample words. */
export const slide = (
  id: string,
  role: SlideRole,
  words: Words,
  arrangement: Node[],
  more: Partial<Pick<DesignSlide, "turned">> = {},
): DesignSlide => ({ id, role, message: saying(words), arrangement, sizes: [], ...more });

interface Set {
  id: string;
  name: string;
  note: string;
  purposes: z.infer<typeof Purpose>[];
  looks: LookName[];
  mood: Mood;
  title: { words: Words; arrangement: Node[] };
  slides: DesignSlide[];
  running: NonNullable<Template["design"]["running"]>;
  across?: Template["design"]["across"];
}

/** A whole set to begin a carousel with. */
export function set({ id, name, note, purposes, looks, mood, title, ...rest }: Set): Template {
  return {
    format: "zestcrate/template",
    version: 1,
    id,
    name,
    note,
    purposes,
    looks,
    mood,
    occasions: [],
    fixed: [],
    design: {
      kind: "carousel",
      lead: LEAD,
      message: saying(title.words),
      arrangement: title.arrangement,
      sizes: [{ placement: LEAD, changes: {} }],
      // What is drawn is drawn here; nothing is added behind the words of a slide.
      without: ["ornament"],
      ...rest,
    },
  };
}
