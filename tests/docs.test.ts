import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "chai";
import { problemCodes } from "../core/problem";
import { drawing } from "../scripts/architecture.mjs";
import { root } from "./support/demo";

const doc = (path: string): string => readFileSync(join(root, path), "utf8");

const documents = [
  "README.md",
  ...readdirSync(join(root, "docs"))
    .filter((name) => name.endsWith(".md"))
    .map((name) => `docs/${name}`),
];

describe("the documents", () => {
  it("draw the folders as they import each other (npm run architecture)", () => {
    expect(doc("docs/architecture.svg")).to.equal(drawing());
  });

  it("name only files that are there where they say how it is built", () => {
    const named = [
      ...doc("docs/architecture.md").matchAll(/`((?:core|server|web|tests)\/[^`]*)`/g),
    ];
    expect(named.length).to.be.above(20);
    for (const [, path] of named) expect(existsSync(join(root, path!)), path).to.equal(true);
  });

  it("list every error code", () => {
    expect(problemCodes.length).to.be.greaterThan(10);
    for (const code of problemCodes) expect(doc("docs/api.md"), code).to.contain(`\`${code}\``);
  });

  it("count the raw form elements that are left", () => {
    const components = readdirSync(join(root, "web"), { recursive: true, encoding: "utf8" })
      .filter((name) => name.endsWith(".vue"))
      .map((name) => doc(`web/${name}`));
    const told = ["button", "input", "textarea", "select"].map((tag) => {
      const all = components.flatMap((text) => text.match(new RegExp(`<${tag}\\b`, "g")) ?? []);
      return `${all.length} \`<${tag}>\``;
    });
    expect(doc("docs/interface.md")).to.contain(told.join(", "));
  });

  it("link only to what is there", () => {
    for (const file of documents) {
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
