// npm run architecture: draws the folders of the code and what they import, from the sources, as docs/architecture.svg.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join, relative, resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { root } from "./setup.mjs";

const LAYERS = ["web", "server", "core"];
const FILE = join(root, "docs/architecture.svg");

/** The folder that a file counts to: a layer's own files stand for the layer. */
const folderOf = (file) => {
  const [layer, folder, more] = file.split("/");
  return more === undefined ? layer : `${layer}/${folder}`;
};

const isCode = (name) => /\.(ts|vue)$/.test(name) && !/\.(test|d)\.ts$/.test(name);

/** What each folder imports of others. */
function graph() {
  const files = LAYERS.flatMap((layer) =>
    readdirSync(join(root, layer), { recursive: true })
      .map((name) => join(layer, name).replaceAll("\\", "/"))
      .filter(isCode),
  ).sort();
  const edges = new Map(files.map((file) => [folderOf(file), new Set()]));
  for (const file of files)
    for (const [, path] of readFileSync(join(root, file), "utf8").matchAll(/from "(\.[^"]+)"/g)) {
      const target = relative(root, resolve(root, dirname(file), path)).replaceAll("\\", "/");
      const to = edges.has(target) ? target : folderOf(target);
      if (to !== folderOf(file) && edges.has(to)) edges.get(folderOf(file)).add(to);
    }
  return edges;
}

/** How many steps of imports lie below each folder of a layer; folders that import each other are on one level. */
function levels(edges, folders) {
  const level = new Map(folders.map((folder) => [folder, 0]));
  for (let round = 0; round < folders.length; round++)
    for (const folder of folders) {
      const below = [...edges.get(folder)].filter(
        (to) => level.has(to) && !edges.get(to).has(folder),
      );
      const least = Math.max(0, ...below.map((to) => level.get(to) + 1));
      if (least > level.get(folder) && least < folders.length) level.set(folder, least);
    }
  return level;
}

const [WIDTH, BOX, GAP, ROW, TOP] = [1180, 96, 84, 62, 34];
const PER_ROW = Math.floor((WIDTH - 2 * GAP) / (BOX + GAP));

/** Each folder's place: layers one under the other, what imports above what is imported. */
function places(edges) {
  const found = new Map();
  const bands = [];
  let y = 0;
  for (const layer of LAYERS) {
    const folders = [...edges.keys()].filter((folder) => folder.split("/")[0] === layer);
    const level = levels(edges, folders);
    const rows = [...new Set(level.values())]
      .sort((a, b) => b - a)
      .flatMap((at) => inRows(folders.filter((folder) => level.get(folder) === at).sort()));
    bands.push({ layer, y, height: TOP + rows.length * ROW });
    rows.forEach((row, line) => {
      const start = (WIDTH - row.length * (BOX + GAP) + GAP) / 2;
      row.forEach((folder, i) =>
        found.set(folder, { x: start + i * (BOX + GAP), y: y + TOP + line * ROW }),
      );
    });
    y += TOP + rows.length * ROW + 14;
  }
  return { found, bands, height: y };
}

const inRows = (folders) =>
  Array.from({ length: Math.ceil(folders.length / PER_ROW) }, (_, i) =>
    folders.slice(i * PER_ROW, (i + 1) * PER_ROW),
  );

/** The drawing, as SVG. Lines go from what imports down to what is imported; between layers they are left out. */
export function drawing() {
  const edges = graph();
  const { found, bands, height } = places(edges);
  const middle = ({ x, y }, down) => [x + BOX / 2, y + (down ? 28 : 0)];
  const lines = [...edges].flatMap(([from, all]) =>
    [...all]
      .filter((to) => to.split("/")[0] === from.split("/")[0])
      .sort()
      .map((to) => {
        const below = found.get(to).y > found.get(from).y;
        const [[x1, y1], [x2, y2]] = [
          middle(found.get(from), below),
          middle(found.get(to), !below),
        ];
        const bend = Math.max(14, Math.abs(y2 - y1) / 2) * (below ? 1 : -1);
        return `<path d="M${x1} ${y1}C${x1} ${y1 + bend} ${x2} ${y2 - bend} ${x2} ${y2}"/>`;
      }),
  );
  const boxes = [...found].map(
    ([folder, { x, y }]) =>
      `<g><rect x="${x}" y="${y}" width="${BOX}" height="28" rx="4"/><text x="${x + BOX / 2}" y="${y + 18}">${folder.split("/")[1] ?? `${folder}/*.ts`}</text></g>`,
  );
  const back = bands.map(
    ({ layer, y, height: high }) =>
      `<rect class="band" y="${y}" width="${WIDTH}" height="${high}" rx="6"/><text class="layer" x="14" y="${y + 22}">${layer}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}" font-family="sans-serif" font-size="12">
<style>.band{fill:#f4f1ea}.layer{font-weight:bold;font-size:15px;text-anchor:start;fill:#3c3a36}path{fill:none;stroke:#8a8478;stroke-opacity:.45}g rect{fill:#fff;stroke:#3c3a36}text{text-anchor:middle;fill:#24221f}</style>
<rect width="${WIDTH}" height="${height}" fill="#fff"/>
${back.join("\n")}
${lines.join("\n")}
${boxes.join("\n")}
</svg>
`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? "").href) writeFileSync(FILE, drawing());
