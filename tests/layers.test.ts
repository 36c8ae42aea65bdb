import { readdirSync, readFileSync } from "node:fs";
import { dirname, join, relative, resolve } from "node:path";
import { expect } from "chai";
import { root } from "./support/demo";

const CODE = /\.(ts|vue)$/;
const files = ["core", "server", "web"].flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
    .filter((name) => CODE.test(name) && !name.endsWith(".test.ts") && !name.endsWith(".d.ts"))
    .map((name) => join(folder, name)),
);

const source = (file: string): string => readFileSync(join(root, file), "utf8");

/** The modules a file names, type imports included unless `runtime`. */
function imports(file: string, runtime = false): string[] {
  const found = source(file).matchAll(/^(?:import|export)\s+(type\s)?[^;]*?from\s+"([^"]+)"/gm);
  return [...found].filter(([, type]) => !(runtime && type)).map(([, , path]) => path!);
}

function target(file: string, path: string): string | undefined {
  if (!path.startsWith(".")) return undefined;
  const base = relative(root, resolve(root, dirname(file), path));
  return files.find((f) => f === base || f === `${base}.ts` || f === join(base, "index.ts"));
}

/** Schemas that others are built of, of which the index would be a circle; and a list that is too long for its index. */
const FOUNDATIONS = new Set([
  "core/colour/colour.ts",
  "core/language/names.ts",
  "core/piece/token.ts",
  "core/placements/placement.ts",
  "core/shape/shape-style.ts",
]);

/** Whether a file lies behind the index of a folder that the other is not in. */
function closedOn(file: string, to: string): boolean {
  const steps = dirname(to).split("/");
  const folders = steps.map((_, i) => steps.slice(0, i + 1).join("/"));
  return folders.some((folder) => {
    const index = `${folder}/index.ts`;
    return files.includes(index) && to !== index && !file.startsWith(`${folder}/`);
  });
}

describe("the layers", () => {
  it("are there to be checked", () => {
    expect(files.length).to.be.greaterThan(80);
  });

  it("import one way: core nothing of the others, server and web not each other", () => {
    const wrong = files.flatMap((file) =>
      imports(file).flatMap((path) => {
        const [from, to] = [file.split("/")[0], target(file, path)?.split("/")[0]];
        const allowed = to === undefined || to === from || (to === "core" && from !== "core");
        return allowed ? [] : [`${file} → ${path}`];
      }),
    );
    expect(wrong).to.deep.equal([]);
  });

  it("enter a folder through its index", () => {
    const wrong = files.flatMap((file) =>
      imports(file).flatMap((path) => {
        const to = target(file, path);
        const past = to && closedOn(file, to) && !FOUNDATIONS.has(to);
        return past ? [`${file} → ${path}`] : [];
      }),
    );
    expect(wrong).to.deep.equal([]);
  });

  it("have no circle among the modules that run", () => {
    const graph = new Map(
      files.map((file) => [file, imports(file, true).flatMap((path) => target(file, path) ?? [])]),
    );
    const done = new Set<string>();
    const walk = (file: string, trail: string[]): void => {
      if (trail.includes(file))
        expect.fail([...trail.slice(trail.indexOf(file)), file].join(" → "));
      if (done.has(file)) return;
      for (const next of graph.get(file) ?? []) walk(next, [...trail, file]);
      done.add(file);
    };
    for (const file of files) walk(file, []);
  });

  it("keep core free of DOM, Node and Vue, of clocks and of chance", () => {
    const banned =
      /(?<!\.)\b(document|window|localStorage|navigator|fetch|process|Buffer|require)\s*[.(]|Math\.random|Date\.now|new Date\(\)|from "(node:[^"]*|vue|pinia|naive-ui|fastify|sharp)"/;
    const wrong = files
      .filter((file) => file.startsWith("core/"))
      .filter((file) => banned.test(source(file).replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, "")));
    // HarfBuzz has a class of its own called Buffer.
    expect(wrong.filter((file) => file !== "core/type/face.ts")).to.deep.equal([]);
  });
});
