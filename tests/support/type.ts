import { readFileSync } from "node:fs";
import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { Typesetter, type Face, type TypeStyle } from "../../core/type";
import { families, fallbackFonts, shippedFonts } from "../../core/shelf";
import { toSfnt } from "../../server/files/sfnt";
import { demoFolder, fontFolder } from "./demo";

/** A plain way to set, with what a test is about on top. */
export const styled = (chain: readonly Face[], style: Partial<TypeStyle> = {}): TypeStyle => ({
  chain,
  strong: chain,
  case: "as-typed",
  tracking: 0,
  leading: 1.3,
  features: [],
  language: "en",
  gaps: { paragraph: 0.5, item: 0.25 },
  align: "start",
  ...style,
});

export const lineOf = (text: string) => ({ text, emphases: [], levels: undefined });

/** A typesetter with a shipped family and whatever `text` needs beside it. */
export async function shelfTypesetter(family: string, text = ""): Promise<Typesetter> {
  const typesetter = new Typesetter();
  const own = families.find(({ id }) => id === family)!.faces.map(({ file }) => file);
  const load = async (id: string) => {
    const bytes = await readFile(join(fontFolder, shippedFonts.get(id)!));
    typesetter.addFont(id, await toSfnt(bytes));
  };
  for (const id of own) await load(id);
  for (const id of fallbackFonts(text, (point) => typesetter.font(own[0]!)!.has(point)))
    await load(id);
  return typesetter;
}

export const demoFont = (path: string): Uint8Array => readFileSync(join(demoFolder, path));
/** A copy of a font that ships with the program, by its path under `fonts/`. */
export const shippedFont = (path: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(join(fontFolder, path)));
export const licenceOf = (family: string): string =>
  readFileSync(join(fontFolder, family, "OFL.txt"), "utf8");
