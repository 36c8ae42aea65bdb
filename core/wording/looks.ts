/** What is different about a piece in another look. */
export const lookWords = {
  ground: (p: { colour: string | undefined }) => `ground ${p.colour ?? A_TINT}`,
  button: (p: { colour: string | undefined }) => `button ${p.colour ?? A_TINT}`,
  pictures: (p: { count: number }) =>
    p.count === 0 ? "no picture" : p.count === 1 ? "one picture" : `${p.count} pictures`,
} as const;

const A_TINT = "a tint";

/** Ways of using a brand's typefaces. */
export const pairingWords = {
  kit: "the kit’s typefaces",
  text: "headline in the text face",
  capitals: "headline in capitals",
  "as-typed": "headline not in capitals",
  accent: "headline in the accent face",
} as const;

/** What can be done to a photograph. */
export const filterWords = {
  brand: "As the brand has it",
  plain: "As photographed",
  grey: "Grey",
  warm: "Warm",
  cool: "Cool",
  faded: "Faded",
  strong: "Strong",
  grained: "Grained",
  duotone: (p: { dark: string; light: string }) => `${p.dark} and ${p.light}`,
} as const;
