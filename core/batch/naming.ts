import { z } from "zod";
import { problem } from "../problem";

export const DEFAULT_PATTERN = "{crate}_{piece}_{placement}_{variation}_{width}x{height}";

export interface NameParts {
  crate: string;
  piece: string;
  placement: string;
  /** Empty for the piece itself; its place in the name is then closed up. */
  variation: string;
  /** Of a strip, its place in the order; it goes into every name, whether the pattern has a place for it or not. */
  slide?: string;
  width: number;
  height: number;
  /** Of a variation, its values by column; each may stand in a pattern too. */
  values?: Readonly<Record<string, string>>;
}

const known = ["crate", "piece", "placement", "variation", "slide", "width", "height"] as const;

export const Pattern = z.string().min(1).max(200);

/** Longest file name without its ending; with an ending and a number it stays under 255 bytes everywhere. */
const MOST_BYTES = 180;

/** Names that some file systems keep for devices. */
const RESERVED = /^(con|prn|aux|nul|com\d|lpt\d)$/i;

/** A value's part of a name is cut off after so many characters. */
const MOST_OF_VALUE = 48;

/** Throws `pattern-invalid` for a part in braces that is not known; `columns` are those that vary. */
export function checkPattern(pattern: string, columns: readonly string[] = []): void {
  const all: readonly string[] = [...known, ...columns];
  for (const [, part] of pattern.matchAll(/\{([^}]*)\}/g)) {
    if (!all.includes(part!)) {
      const list = all.map((name) => `{${name}}`).join(", ");
      throw problem("pattern-invalid", { part: part ?? "", known: list });
    }
  }
}

/**
 * Gives files their names; two files of one namer never have the same, whatever the file system's case. A slash in the
 * pattern puts them into folders.
 */
export class Namer {
  private readonly taken = new Set<string>();

  constructor(
    private readonly pattern: string = DEFAULT_PATTERN,
    columns: readonly string[] = [],
  ) {
    checkPattern(pattern, columns);
  }

  /** `ending` without its dot. */
  name(parts: NameParts, ending: string): string {
    const isNumbered = parts.slide && !this.pattern.includes("{slide}");
    const pattern = isNumbered ? `${this.pattern}_{slide}` : this.pattern;
    const { values = {}, ...rest } = parts;
    const all: Record<string, string | number> = { ...shortened(values), ...rest };
    const stem = pattern
      .split("/")
      .map((part) => part.replace(/\{([^}]*)\}/g, (_, key: string) => safe(String(all[key] ?? ""))))
      .filter((part, at, parts) => part !== "" || at === parts.length - 1)
      .map(tidy)
      .join("/");
    for (let number = 1; ; number++) {
      const name = `${number === 1 ? stem : `${stem}-${number}`}.${ending}`;
      const folded = name.normalize("NFC").toLowerCase();
      if (!this.taken.has(folded)) {
        this.taken.add(folded);
        return name;
      }
    }
  }
}

const shortened = (values: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(values).map(([column, value]) => [
      column,
      [...value].slice(0, MOST_OF_VALUE).join(""),
    ]),
  );

/** Letters and digits of any script, the rest a hyphen. */
const safe = (text: string): string =>
  text
    .normalize("NFC")
    .toLowerCase()
    .replace(/[’']/g, "")
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, "-")
    .replace(/^-+|-+$/g, "");

function tidy(name: string): string {
  const clean = name
    .replace(/[^\p{L}\p{M}\p{N}_.-]+/gu, "-")
    .replace(/_{2,}/g, "_")
    .replace(/^[_.-]+|[_.-]+$/g, "");
  const short = shorten(clean || "graphic");
  return RESERVED.test(short) ? `${short}-1` : short;
}

function shorten(name: string): string {
  let short = name;
  while (new TextEncoder().encode(short).length > MOST_BYTES)
    short = [...short].slice(0, -1).join("");
  return short.replace(/[_.-]+$/, "");
}

/** A variation's own part of a name: its number, with zeros so that names sort as they were made. */
export const variationName = (index: number, count: number): string =>
  `v${String(index + 1).padStart(String(count).length, "0")}`;
