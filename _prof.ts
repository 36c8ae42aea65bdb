import { readFileSync } from "node:fs";
import { Piece } from "./core/piece/index.ts";
import { Brand } from "./core/brand/index.ts";
import { FolderFiles } from "./server/files/folders.ts";
import { Studio } from "./server/render/studio.ts";
const load = (b: string, p: string) =>
  [
    Piece.parse(JSON.parse(readFileSync(`demo/${b}/pieces/${p}.json`, "utf8"))),
    Brand.parse(JSON.parse(readFileSync(`demo/${b}/brand.json`, "utf8"))),
  ] as const;
const studio = new Studio(new FolderFiles(["demo"]));
for (const [b, p] of [
  ["quillmere", "opening-announcement"],
  ["saltlight", "float-before-lunch"],
  ["quillmere", "family-workshop"],
] as const) {
  const [piece, brand] = load(b, p);
  for (let k = 0; k < 30; k++) {
    const t0 = performance.now();
    const q = {
      ...piece,
      message: { ...piece.message, headline: { text: "Boats at rest".slice(0, 4 + (k % 9)) + k } },
    };
    for (const s of piece.sizes) await studio.make(q, brand, s.placement);
    console.log(p, k, (performance.now() - t0).toFixed(1));
  }
}
