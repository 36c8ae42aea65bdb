import type { Brand } from "../brand";
import { area } from "../geometry";
import { check } from "../preflight";
import { total, type CostTerms, type Layout } from "../refit";
import { moodOf } from "../templates";

/** By eye, in the layouts' own measure of cost. */
const BROKEN = 5;
const CUT = 0.6;

/** What a layout costs, with what a person would have to repair in it. */
export function costOf(layout: Layout, cost: CostTerms = layout.cost): number {
  const findings = check(layout);
  const broken = findings.filter(({ level }) => level === "must-fix");
  const cut = findings.filter(({ code, level }) => code === "subject-cut" && level !== "must-fix");
  return total(cost) + BROKEN * broken.length + CUT * cut.length;
}

const LENGTH = 0.12;

/** Words want about as much room as those that a design was drawn with; lengths in letters. */
export const costOfLength = (said: number, drawn: number): number =>
  LENGTH * Math.abs(Math.log2(Math.max(1, said) / Math.max(1, drawn)));

/** A picture of this share of the lead is what it stands on. By eye. */
const PICTURE_RULES = 0.35;

/** What a lead stands on: a picture, or one of the brand's grounds by its id. */
export function groundOf({ placed, placement, resolved: { piece } }: Layout, brand: Brand): string {
  const pictures = placed.filter(({ node }) => node.type === "picture");
  const shown = pictures.reduce((sum, { box }) => sum + area(box), 0);
  if (shown > PICTURE_RULES * placement.width * placement.height) return "picture";
  return moodOf(brand, piece.spread) === "light" ? "light" : (piece.spread.backdrop ?? "");
}
