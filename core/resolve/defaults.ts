import type { Role } from "../piece";

/** How a role is set when the node's style does not say. Lengths as in `Style`; common practice throughout. */
export interface RoleStyle {
  type: "headline" | "text";
  colour: string;
  weight: number;
  leading: number;
  tracking: number;
  case?: "upper";
  importance: 1 | 2 | 3 | 4 | 5;
}

const text = { type: "text", colour: "support", weight: 400, leading: 1.36, tracking: 0 } as const;
const display = {
  type: "headline",
  colour: "headline",
  weight: 600,
  leading: 0.95,
  tracking: 0,
} as const;

export const roleStyles: Record<Role, RoleStyle> = {
  headline: { ...display, importance: 5 },
  quote: { ...display, leading: 1.08, importance: 5 },
  figure: { ...display, importance: 4 },
  price: { ...display, colour: "on-plate", importance: 4 },
  kicker: {
    ...text,
    colour: "detail",
    weight: 700,
    tracking: 0.1,
    case: "upper",
    importance: 1,
  },
  support: { ...text, importance: 2 },
  body: { ...text, importance: 3 },
  byline: { ...text, weight: 600, importance: 3 },
  cta: { ...text, colour: "on-action", weight: 700, leading: 1.25, importance: 4 },
  handle: { ...text, weight: 500, importance: 2 },
  portrait: { ...text, weight: 400, importance: 2 },
  site: { ...text, weight: 500, importance: 2 },
  "page-mark": { ...text, weight: 500, importance: 1 },
  "swipe-cue": { ...text, weight: 500, importance: 1 },
  badge: { ...text, colour: "plate", importance: 4 },
  logo: { ...text, importance: 3 },
  photo: { ...text, importance: 4 },
  backdrop: { ...text, colour: "backdrop", importance: 5 },
  plate: { ...text, colour: "plate", importance: 2 },
  ornament: { ...text, colour: "ornament", importance: 2 },
};
