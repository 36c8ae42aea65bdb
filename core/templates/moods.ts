import { brandSpreads, type Brand } from "../brand";
import { chromaOf, hexOf, luminance, sameSpread, type Spread } from "../colour";
import type { Piece } from "../piece";
import type { Mood } from "./template";

/** The first of a brand's spreads on such a ground; where there is none, the first that comes near it. */
export function spreadFor(brand: Brand, mood: Mood): Spread {
  const all = brandSpreads(brand);
  const near = mood === "light" ? undefined : all.find((spread) => !isMood(brand, spread, "light"));
  return all.find((spread) => isMood(brand, spread, mood)) ?? near ?? all[0] ?? {};
}

/** By eye: luminances of grounds that look dark or light, and the chroma from which one looks bright. */
const DARK = 0.16;
const LIGHT = 0.55;
const COLOURFUL = 0.09;

/** The ground that a brand's spread makes. */
export function moodOf(brand: Brand, spread: Spread): Mood {
  const whole = { ...brandSpreads(brand)[0], ...spread };
  return (
    (["dark", "light", "bright"] as const).find((mood) => isMood(brand, whole, mood)) ?? "light"
  );
}

/** A deep colour is a dark ground as much as a bright one. */
function isMood(brand: Brand, { backdrop }: Spread, mood: Mood): boolean {
  const hex = hexOf(brand.colours, backdrop ?? "");
  if (!hex) return false;
  const bright = luminance(hex);
  if (mood === "dark") return bright < DARK;
  const colourful = chromaOf(hex) >= COLOURFUL;
  return mood === "bright" ? colourful && bright >= DARK / 4 : !colourful && bright > LIGHT;
}

/** The brand's colours on the ground that is opposite to that of a spread. */
export const turnedSpread = (brand: Brand, spread: Spread): Spread =>
  spreadFor(brand, moodOf(brand, spread) === "light" ? "dark" : "light");

/** A piece in another spread; slides that stood on the opposite ground of its own stand on that of the other one. */
export function inSpread(piece: Piece, spread: Spread, brand: Brand): Piece {
  const [before, turned] = [piece.spread, spread].map((one) => turnedSpread(brand, one));
  const slides = piece.slides?.map((slide) =>
    slide.spread && sameSpread(slide.spread, before!) ? { ...slide, spread: turned! } : slide,
  );
  return { ...piece, spread, ...(slides ? { slides } : {}) };
}
