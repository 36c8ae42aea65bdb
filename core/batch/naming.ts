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
}

const known = ["crate", "piece", "placement", "variation", "slide", "width", "height"] as const;

export const Pattern = z.string().min(1).max(200);

/** Longest file name without its ending; with an ending and a number it stays under 255 bytes everywhere. */
const MOST_BYTES = 180;

/** Names that some file systems keep for devices. */
const RESERVED = /^(con|prn|aux|nul|com\d|lpt\d)$/i;

/** Throws `pattern-invalid` for a part in braces that is not known. */
export function checkPattern(pattern: string): void {
  for (const [, part] of pattern.matchAll(/\{([^}]*)\}/g)) {
    if (!known.includes(part as never)) {
      const list = known.map((name) => `{${name}}`).join(", ");
      throw problem("pattern-invalid", { part: part ?? "", known: list });
    }
  }
}

/** Gives files their names; two files of one namer never have the same, whatever the file system's case. */
export class Namer {
  private readonly taken = new Set<string>();

  constructor(private readonly pattern: string = DEFAULT_PATTERN) {
    checkPattern(pattern);
  }

  /** `ending` without its dot. */
  name(parts: NameParts, ending: string): string {
    const isNumbered = parts.slide && !this.pattern.includes("{slide}");
    const pattern = isNumbered ? `${this.pattern}_{slide}` : this.pattern;
    const filled = pattern.replace(/\{([^}]*)\}/g, (_, key: keyof NameParts) =>
      safe(String(parts[key] ?? "")),
    );
    const stem = tidy(filled);
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
