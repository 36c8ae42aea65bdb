import type { Design } from "../piece";
import { type Node, type Role, type Style } from "../piece";
import { placementById } from "../placements";
import { Template } from "./template";

/** Left, top, width, height in pixels of the lead size. */
export type At = readonly [x: number, y: number, width: number, height: number];

type More = Partial<Omit<Node, "style" | "box">> & { style?: Style };

/** A node with the sample words of its slot. */
export interface Drawn {
  node: Node;
  sample?: string;
}

function node(kind: Node["kind"], role: Role, at: At, more: More = {}): Node {
  const [x, y, width, height] = at;
  const { style = {}, ...rest } = more;
  return { id: role, kind, role, box: { x, y, width, height }, style, ...rest };
}

/** Words in a slot; the slot and the node are named after the role unless `more` says otherwise. */
export function words(role: Role, at: At, size: number, sample: string, more: More = {}): Drawn {
  const slot = more.slot ?? (role === "cta" ? "call-to-action" : role);
  const style = { size, ...more.style };
  return { node: node("text", role, at, { id: slot, slot, ...more, style }), sample };
}

/** The ruling words, which are never left out. */
export const headline = (at: At, size: number, sample: string, more: More = {}): Drawn =>
  words("headline", at, size, sample, { keep: "always", ...more });

export const picture = (at: At, more: More = {}): Drawn => ({
  node: node("picture", "photo", at, { id: "picture", slot: more.id ?? "picture", ...more }),
});

export const shape = (role: Role, at: At, style: Style, more: More = {}): Drawn => ({
  node: node("shape", role, at, { ...more, style }),
});

export const rule = (id: string, at: At, colour = "detail"): Drawn => ({
  node: node("line", "ornament", at, { id, style: { colour } }),
});

export const logo = (at: At): Drawn => ({
  node: node("picture", "logo", at, { id: "logo", keep: "if-room" }),
});

interface About extends Pick<Template, "id" | "name" | "purposes" | "looks" | "mood"> {
  lead: string;
  kind?: Design["kind"];
  occasions?: string[];
}

/** A template of its lead size, on a ground of the spread's own. */
export function template({ lead, kind, ...about }: About, drawn: readonly Drawn[]): Template {
  const { width, height, use } = placementById(lead);
  const ground = node("shape", "backdrop", [0, 0, width, height], {
    id: "ground",
    style: { colour: "backdrop" },
  });
  const message = Object.fromEntries(
    drawn.flatMap(({ node: { slot }, sample }) =>
      slot && sample !== undefined ? [[slot, { text: sample }]] : [],
    ),
  );
  return Template.parse({
    format: "zestcrate/template",
    version: 1,
    ...about,
    design: {
      kind: kind ?? (use === "story" || use === "ad" ? use : "post"),
      lead,
      message,
      arrangement: [ground, ...drawn.map((one) => one.node)],
      sizes: [{ placement: lead }],
    },
  });
}
