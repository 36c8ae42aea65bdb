import { readFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { expect } from "chai";
import { z } from "zod";
import { root } from "./support/demo";

const built = join(root, "dist/web");
const Manifest = z.record(
  z.string(),
  z.object({
    file: z.string(),
    imports: z.array(z.string()).default([]),
    css: z.array(z.string()).default([]),
  }),
);

/** Scripts and styles that come before a view is there, zipped, in kB; fonts and workers load beside it. */
function weightOf(...views: string[]): number {
  const manifest = Manifest.parse(
    JSON.parse(readFileSync(join(built, ".vite/manifest.json"), "utf8")),
  );
  const seen = new Set<string>();
  const files = new Set<string>();
  const walk = (name: string): void => {
    const chunk = manifest[name];
    if (!chunk || seen.has(name)) return;
    seen.add(name);
    for (const file of [chunk.file, ...chunk.css]) files.add(file);
    chunk.imports.forEach(walk);
  };
  ["index.html", ...views].forEach(walk);
  const bytes = [...files].map((file) => gzipSync(readFileSync(join(built, file))).length);
  return bytes.reduce((sum, length) => sum + length, 0) / 1000;
}

describe("what a browser loads", () => {
  it("is at most 350 kB for the first view and 500 kB for the workbench, zipped", function () {
    const [first, workbench] = [
      weightOf("crates/CratesView.vue"),
      weightOf("workbench/WorkbenchView.vue"),
    ];
    console.log(
      `      the crates: ${first.toFixed(0)} kB, the workbench: ${workbench.toFixed(0)} kB`,
    );
    expect(first).to.be.within(50, 350);
    expect(workbench).to.be.within(first / 2, 500);
  });
});
