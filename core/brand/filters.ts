import { contrast, luminance } from "../colour";
import type { AdjustStyle } from "../piece";
import { filterWords } from "../wording/looks";
import type { Brand, BrandColour } from "./brand";

/** Something done to a photograph, by name; without an adjustment it is what the brand does to all of them. */
export interface Filter {
  name: string;
  adjust?: AdjustStyle;
}

/** Dark and light of a duotone must lie this far apart, or the picture is lost in it. By eye. */
const LEAST_DUOTONE = 4;
const MOST_DUOTONES = 4;

/** What is offered for a photograph: the brand's own way, plain, in pairs of the brand's colours, and usual moods. */
export function filtersOf(brand: Brand): Filter[] {
  const plain = { duotone: "none" } as const;
  const treated = brand.defaults.treatment.kind !== "none";
  return [
    { name: filterWords.brand },
    ...(treated ? [{ name: filterWords.plain, adjust: plain }] : []),
    ...duotonesOf(brand.colours),
    { name: filterWords.grey, adjust: { ...plain, greyscale: 1, contrast: 0.1 } },
    { name: filterWords.warm, adjust: { ...plain, warmth: 0.7, saturation: 0.08 } },
    { name: filterWords.cool, adjust: { ...plain, warmth: -0.7, contrast: 0.06 } },
    {
      name: filterWords.faded,
      adjust: { ...plain, contrast: -0.3, saturation: -0.4, brightness: 0.18 },
    },
    { name: filterWords.strong, adjust: { ...plain, contrast: 0.4, saturation: 0.2 } },
    { name: filterWords.grained, adjust: { grain: { amount: 0.5, seed: 7 }, contrast: 0.12 } },
  ];
}

/** The pairs that lie farthest apart first; each dark colour with each light one. */
function duotonesOf(colours: readonly BrandColour[]): Filter[] {
  const pairs = colours.flatMap((dark) =>
    colours
      .filter((light) => luminance(light.hex) > luminance(dark.hex))
      .map((light) => ({ dark, light, apart: contrast(dark.hex, light.hex) })),
  );
  return pairs
    .filter(({ apart }) => apart >= LEAST_DUOTONE)
    .sort((a, b) => b.apart - a.apart)
    .slice(0, MOST_DUOTONES)
    .map(({ dark, light }) => ({
      name: filterWords.duotone({ dark: dark.name, light: light.name }),
      adjust: { duotone: { dark: dark.id, light: light.id } },
    }));
}
