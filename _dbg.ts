import { readFileSync } from "node:fs";
import { Piece } from "./core/piece/index.ts"; import { Brand } from "./core/brand/index.ts";
import { FolderFiles } from "./server/files/folders.ts"; import { Studio } from "./server/render/studio.ts";
import { Stage } from "./core/refit/stage.ts"; import { placementById } from "./core/placements/index.ts"; import { resolve } from "./core/resolve/index.ts";
const piece = Piece.parse(JSON.parse(readFileSync(`demo/quillmere/pieces/opening-announcement.json`, "utf8"))); const brand = Brand.parse(JSON.parse(readFileSync(`demo/quillmere/brand.json`, "utf8")));
const studio = new Studio(new FolderFiles(["demo"]));
const { layout } = await studio.make(piece, brand, "photo-feed-tall");
for (const n of layout.resolved.nodes) if (n.type === "text") { console.log(n.id, n.box, n.size, studio.typesetter.fit(n.paragraph, { width: n.box.width, height: n.box.height, min: 30, max: n.size!, mostLines: 12 })?.size, n.paragraph.widest, n.paragraph.measureFor(2), n.paragraph.measureFor(1)); }
