import {
  converter,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
} from "culori";
import type { Hex } from "./colour";

export const visionKinds = ["protan", "deutan", "tritan"] as const;
export type VisionKind = (typeof visionKinds)[number];

const filters = {
  protan: filterDeficiencyProt,
  deutan: filterDeficiencyDeuter,
  tritan: filterDeficiencyTrit,
};
const toLinear = converter("lrgb");
const toRgb = converter("rgb");

/**
 * How a colour looks to eyes that lack a kind of cone. Machado, Oliveira and Fernandes, "A physiologically-based
 * model for simulation of color vision deficiency" (2009); `severity` 0..1, in tenths. The model's matrices
 * are for linear light, so the colour is handed over in it.
 */
export function seenWith(kind: VisionKind, hex: Hex, severity = 1): Hex {
  const linear = toLinear(hex);
  if (!linear) throw new RangeError(`${hex} is not a colour`);
  const { r, g, b } = linear;
  const seen = filters[kind](severity)({ mode: "rgb", r, g, b });
  if (!seen || seen.mode !== "rgb") throw new RangeError(`${hex} is not a colour`);
  return formatHex(toRgb({ mode: "lrgb", r: seen.r, g: seen.g, b: seen.b }));
}
