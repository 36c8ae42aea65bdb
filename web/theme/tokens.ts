/*
 * Every colour, measure and typeface of the interface. The style sheet's custom properties and the controls' theme are both
 * made from these, so that no value stands twice. All pairs that text is read in meet WCAG 2.2 AA.
 */

export interface Tokens {
  /** Behind everything. */
  paper: string;
  /** Cards, fields and what floats. */
  card: string;
  ink: string;
  quiet: string;
  line: string;
  "line-strong": string;
  /** What can be done. */
  leaf: string;
  "leaf-hover": string;
  "leaf-pressed": string;
  "on-leaf": string;
  "leaf-tint": string;
  /** The thing that is being worked on, and nothing else. */
  zest: string;
  "on-zest": string;
  /** Look again. */
  lemon: string;
  "lemon-tint": string;
  "lemon-ink": string;
  /** Must fix. */
  berry: string;
  "berry-hover": string;
  "berry-tint": string;
  /** Under what floats. */
  shade: string;
}

export const light: Tokens = {
  paper: "#fbf7ef",
  card: "#ffffff",
  ink: "#1f2d2a",
  quiet: "#5c6864",
  line: "#e3daca",
  "line-strong": "#b9ae9b",
  leaf: "#2c6a4b",
  "leaf-hover": "#245a3f",
  "leaf-pressed": "#1c4a33",
  "on-leaf": "#ffffff",
  "leaf-tint": "#eaf2ec",
  zest: "#f0641e",
  // Ink itself would be read at 4.46 : 1, and white at 3.2 : 1.
  "on-zest": "#10201a",
  lemon: "#f2be3a",
  "lemon-tint": "#fbe8b5",
  "lemon-ink": "#6e4f00",
  berry: "#b2273d",
  "berry-hover": "#981d32",
  "berry-tint": "#f8e3e5",
  shade: "rgb(31 45 42 / 0.16)",
};

export const dark: Tokens = {
  paper: "#171d1b",
  card: "#1f2725",
  ink: "#f1ece1",
  quiet: "#a9b4af",
  line: "#35403c",
  "line-strong": "#5d6a65",
  leaf: "#7cc79f",
  "leaf-hover": "#93d3b1",
  "leaf-pressed": "#69b58c",
  "on-leaf": "#10201a",
  "leaf-tint": "#24352d",
  zest: "#ff8748",
  "on-zest": "#10201a",
  lemon: "#f2be3a",
  "lemon-tint": "#453712",
  "lemon-ink": "#f7d67f",
  berry: "#f28495",
  "berry-hover": "#f59dab",
  "berry-tint": "#43222a",
  shade: "rgb(0 0 0 / 0.5)",
};

/** Heights of controls in CSS pixels: in a dense row, anywhere else, and where one decides. */
export const heights = { small: 28, medium: 32, large: 40 } as const;

/** In CSS pixels. */
export const corner = 4;

export const typefaces = {
  title: '"Bricolage Grotesque Variable", sans-serif',
  text: '"Instrument Sans Variable", sans-serif',
} as const;

const declared = (values: Readonly<Record<string, string>>): string =>
  Object.entries(values)
    .map(([name, value]) => `--${name}: ${value};`)
    .join(" ");

/** The tokens as custom properties, with those of the dark theme for who prefers it. */
export const tokenSheet = (): string =>
  [
    `:root { ${declared({ ...light, ...typefaces })} color-scheme: light; }`,
    `@media (prefers-color-scheme: dark) { :root { ${declared({ ...dark })} color-scheme: dark; } }`,
  ].join("\n");
