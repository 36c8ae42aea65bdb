import { readFileSync, writeFileSync } from "node:fs";
import sharp from "sharp";
import { Piece } from "./core/piece/index.ts";
import { Brand } from "./core/brand/index.ts";
import { FolderFiles } from "./server/files/folders.ts";
import { Studio } from "./server/render/studio.ts";
import { reportOf } from "./core/preflight/index.ts";
import { catalogue, placementById } from "./core/placements/index.ts";
const [, , b, p, out, all] = process.argv;
const piece = Piece.parse(JSON.parse(readFileSync(`demo/${b}/pieces/${p}.json`, "utf8")));
const brand = Brand.parse(JSON.parse(readFileSync(`demo/${b}/brand.json`, "utf8")));
const studio = new Studio(new FolderFiles(["demo"]));
const W = 1760;
let x = 20,
  y = 30,
  rowH = 0;
const tiles: any[] = [];
const ids = all
  ? all === "all"
    ? catalogue.placements.map((q) => q.id)
    : all.split(",")
  : piece.sizes.map((s) => s.placement);
let t = 0;
for (const id of ids) {
  const pl = placementById(id);
  const t0 = performance.now();
  const { layout, scene } = await studio.make(piece, brand, id);
  const dt = performance.now() - t0;
  t += dt;
  const r = reportOf(layout);
  const s =
    pl.channel === "display-ads"
      ? Math.min(1, 560 / pl.width)
      : Math.min(400 / Math.sqrt(pl.width * pl.height), 1);
  const img = await studio.encode(scene, "png", s);
  const m = await sharp(img).metadata();
  if (x + m.width! > W - 20) {
    x = 20;
    y += rowH + 40;
    rowH = 0;
  }
  tiles.push({ input: img, left: Math.round(x), top: Math.round(y) });
  const label = `${id} · ${layout.via}`;
  tiles.push({
    input: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="420" height="18"><text y="13" font-size="12" font-family="DejaVu Sans">${label}</text></svg>`,
    ),
    left: Math.round(x),
    top: Math.round(y) - 18,
  });
  x += Math.max(m.width!, label.length * 6.6) + 20;
  rowH = Math.max(rowH, m.height!);
  console.log(
    id.padEnd(26),
    dt.toFixed(1).padStart(6),
    layout.via.padEnd(28),
    r.left_out.map((l) => l.id).join(","),
    "|",
    r.findings
      .filter((f) => f.code !== "left-out")
      .map((f) => `${f.code}:${f.node}:${f.measured}`)
      .join(" "),
    "|",
    Object.entries(layout.cost)
      .filter(([, v]) => v > 0)
      .map(([k, v]) => `${k} ${v.toFixed(2)}`)
      .join(" "),
  );
}
console.log("total ms", t.toFixed(0));
const H = y + rowH + 20;
writeFileSync(
  out!,
  await sharp({ create: { width: W, height: H, channels: 3, background: "#e9e3d8" } })
    .composite(tiles.filter((t) => t.left < W))
    .png()
    .toBuffer(),
);
