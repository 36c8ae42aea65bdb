import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "chai";
import { problemCodes } from "../core/problem";
import { root } from "./support/demo";

const doc = (path: string): string => readFileSync(join(root, path), "utf8");

describe("the documents", () => {
  it("list every error code", () => {
    expect(problemCodes.length).to.be.greaterThan(10);
    for (const code of problemCodes) expect(doc("docs/api.md"), code).to.contain(`\`${code}\``);
  });

  it("link only to what is there", () => {
    for (const file of ["README.md", "docs/api.md", "docs/format.md", "docs/placements.md"]) {
      const folder = file.includes("/") ? "docs" : ".";
      const links = [...doc(file).matchAll(/\]\((?!https?:)([^)#]+)\)/g)].map(([, path]) => path!);
      for (const link of links)
        expect(() => doc(join(folder, link)), `${file} → ${link}`).not.to.throw();
    }
  });

  it("show every screenshot that is kept", () => {
    for (const name of readdirSync(join(root, "docs/screenshots"))) {
      expect(doc("README.md")).to.contain(`docs/screenshots/${name}`);
    }
  });
});
