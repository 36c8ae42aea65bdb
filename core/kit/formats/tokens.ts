import { z } from "zod";
import type { Brand, BrandColour, BrandRole, Typeface } from "../../brand";
import { readColour, rgb, type Hex } from "../../colour";
import { colourWords } from "../../wording/kits";
import { colourId } from "../make";

/**
 * The Design Tokens Community Group's format (2025.10, from memory): groups of tokens, a token being what has
 * a `$value`; `$type` is its own or that of a group above it; a value in braces names another token.
 */
export function writeTokens(brand: Brand): object {
  const colours = brand.colours.map(({ id, name, hex, role }) => [
    id,
    { $value: colourValue(hex), $description: name, $extensions: { [EXTENSION]: { role } } },
  ]);
  const { headline, text } = brand.typefaces;
  return {
    colour: { $type: "color", ...Object.fromEntries(colours) },
    typography: {
      $type: "typography",
      headline: { $value: typographyValue(headline) },
      text: { $value: typographyValue(text) },
    },
  };
}

/** Where the format keeps what is a program's own, by a reversed domain name. */
const EXTENSION = "example.zestcrate";

function colourValue(hex: Hex): object {
  const { r, g, b } = rgb(hex);
  const components = [r, g, b].map((part) => Math.round(part * 10_000) / 10_000);
  return { colorSpace: "srgb", components, alpha: 1, hex: hex.toLowerCase() };
}

const typographyValue = ({ family, faces, tracking, leading }: Typeface): object => ({
  fontFamily: family,
  fontSize: { value: 16, unit: "px" },
  fontWeight: faces[0]!.weight,
  letterSpacing: { value: Math.round(tracking * 16 * 1000) / 1000, unit: "px" },
  lineHeight: leading ?? 1.3,
});

const ColourValue = z.union([
  z.string(),
  z.object({
    colorSpace: z.string(),
    components: z.array(z.union([z.number(), z.literal("none")])).min(3),
    hex: z.string().optional(),
  }),
]);
const Role = z.object({
  [EXTENSION]: z.object({
    role: z.enum(["primary", "secondary", "accent", "ink", "paper", "free"]),
  }),
});

interface Token {
  path: string[];
  value: unknown;
  type: string | undefined;
  description: string | undefined;
  extensions: unknown;
}

/** The colour tokens of a document, as colours of a kit; what cannot be read is named in `notes`. */
export function readTokens(document: unknown): { colours: BrandColour[]; notes: string[] } {
  const tokens = new Map(
    tokensIn(document, [], undefined).map((token) => [token.path.join("."), token]),
  );
  const taken = new Set<string>();
  const colours: BrandColour[] = [];
  const notes: string[] = [];
  for (const token of tokens.values()) {
    if (typeOf(token, tokens) !== "color") continue;
    const hex = hexOf(resolved(token, tokens));
    const name = token.description ?? spoken(token.path.at(-1)!);
    if (!hex) {
      notes.push(colourWords.badToken({ token: token.path.join(".") }));
      continue;
    }
    const id = colourId(token.path.at(-1)!, taken);
    taken.add(id);
    colours.push({ id, name, hex, role: roleOf(token) });
  }
  return { colours, notes };
}

function tokensIn(node: unknown, path: string[], type: string | undefined): Token[] {
  if (node === null || typeof node !== "object") return [];
  const group = node as Record<string, unknown>;
  const own = typeof group.$type === "string" ? group.$type : type;
  if ("$value" in group) {
    const description = typeof group.$description === "string" ? group.$description : undefined;
    return [{ path, value: group.$value, type: own, description, extensions: group.$extensions }];
  }
  return Object.entries(group)
    .filter(([name]) => !name.startsWith("$"))
    .flatMap(([name, inner]) => tokensIn(inner, [...path, name], own));
}

const ALIAS = /^\{([^{}]+)\}$/;

/** The token that an alias leads to; undefined when it leads nowhere or in a circle. */
function target(token: Token, tokens: ReadonlyMap<string, Token>): Token | undefined {
  const seen = new Set<Token>();
  let now: Token | undefined = token;
  while (now && typeof now.value === "string" && ALIAS.test(now.value)) {
    if (seen.has(now)) return undefined;
    seen.add(now);
    now = tokens.get(ALIAS.exec(now.value)![1]!);
  }
  return now;
}

const resolved = (token: Token, tokens: ReadonlyMap<string, Token>): unknown =>
  target(token, tokens)?.value;

const typeOf = (token: Token, tokens: ReadonlyMap<string, Token>): string | undefined =>
  token.type ?? target(token, tokens)?.type;

function hexOf(value: unknown): Hex | undefined {
  const read = ColourValue.safeParse(value);
  if (!read.success) return undefined;
  if (typeof read.data === "string") return readColour(read.data);
  const { colorSpace, components, hex } = read.data;
  const numbers = components.join(" ");
  const written = FUNCTIONS.has(colorSpace)
    ? `${colorSpace}(${numbers})`
    : `color(${colorSpace} ${numbers})`;
  return readColour(written) ?? (hex ? readColour(hex) : undefined);
}

/** Colour spaces that CSS writes as a function of their own. */
const FUNCTIONS = new Set(["lab", "lch", "oklab", "oklch"]);

function roleOf({ extensions }: Token): BrandRole {
  const read = Role.safeParse(extensions);
  return read.success ? read.data[EXTENSION]!.role : "free";
}

const spoken = (name: string): string =>
  name.charAt(0).toUpperCase() + name.slice(1).replace(/[-_]+/g, " ");
