import { converter } from "culori";
import { z } from "zod";
import type { Hex } from "./colour";

const toOklch = converter("oklch");

/** What a person calls a colour when it need not be said closer. */
export const ColourFamily = z.enum([
  "red",
  "orange",
  "yellow",
  "green",
  "blue",
  "violet",
  "pink",
  "brown",
  "black",
  "grey",
  "white",
]);
export type ColourFamily = z.infer<typeof ColourFamily>;

/** What counts as a grey, as Oklch chroma. */
export const GREY = 0.03;

interface Hue {
  /** Oklch hue, in degrees, up to which the name goes. Common names, our own borders. */
  to: number;
  name: string;
  family: ColourFamily;
}

const HUES: readonly Hue[] = [
  { to: 20, name: "Rose", family: "red" },
  { to: 45, name: "Red", family: "red" },
  { to: 82, name: "Orange", family: "orange" },
  { to: 115, name: "Yellow", family: "yellow" },
  { to: 130, name: "Lime", family: "green" },
  { to: 165, name: "Green", family: "green" },
  { to: 190, name: "Teal", family: "green" },
  { to: 200, name: "Teal", family: "blue" },
  { to: 235, name: "Cyan", family: "blue" },
  { to: 290, name: "Blue", family: "blue" },
  { to: 320, name: "Violet", family: "violet" },
  { to: 345, name: "Magenta", family: "violet" },
  { to: 361, name: "Rose", family: "pink" },
];

/** As light as it is, nobody calls a full yellow pale. Oklch chroma. */
const VIVID = 0.13;
/** A dark orange is called brown, and a light red or violet pink. */
const BROWN = { light: 0.55, from: 38, to: 95 } as const;
const PINK = { light: 0.65, from: 320, to: 25 } as const;

/** Lightness, chroma and hue as Oklch has them. */
interface Seen {
  light: number;
  chroma: number;
  angle: number;
}

function seen(hex: Hex): Seen {
  const { l = 0, c = 0, h = 0 } = toOklch(hex) ?? {};
  return { light: l, chroma: c, angle: ((h % 360) + 360) % 360 };
}

const hueAt = (angle: number): Hue => HUES.find(({ to }) => angle < to)!;
const isBrown = ({ light, angle }: Seen): boolean =>
  light < BROWN.light && angle >= BROWN.from && angle < BROWN.to;
const isPink = ({ light, angle }: Seen): boolean =>
  light > PINK.light && (angle >= PINK.from || angle < PINK.to);

/** A plain name for a colour, as a person would say it. */
export function colourName(hex: Hex): string {
  const colour = seen(hex);
  const { light, chroma } = colour;
  if (chroma < GREY)
    return light > 0.95 ? "White" : light < 0.25 ? "Black" : light > 0.7 ? "Light grey" : "Grey";
  if (isBrown(colour)) return light < 0.3 ? "Deep brown" : "Brown";
  const { name } = hueAt(colour.angle);
  return light > 0.85 && chroma < VIVID
    ? `Pale ${name.toLowerCase()}`
    : light < 0.4
      ? `Deep ${name.toLowerCase()}`
      : name;
}

/** The family that a colour belongs to; one that is hardly lit or hardly coloured is black, grey or white. */
export function familyOf(hex: Hex): ColourFamily {
  const colour = seen(hex);
  const { light, chroma, angle } = colour;
  if (light < 0.2) return "black";
  if (chroma < GREY) return light > 0.9 ? "white" : "grey";
  if (isBrown(colour)) return "brown";
  return isPink(colour) ? "pink" : hueAt(angle).family;
}
