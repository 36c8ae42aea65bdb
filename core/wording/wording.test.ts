import { expect } from "chai";
import { ADDED_SHAPES } from "../arranging";
import { LayoutKind, LayoutPlace, Role, WordsLayout, type LayoutId } from "../piece";
import { findingCodes, type Finding } from "../preflight";
import { problem, problemCodes, type ProblemCode } from "../problem";
import { wordingOf } from "./findings";
import { layoutName } from "./layouts";
import { nodeName, shapeName } from "./nodes";
import { problems } from "./problems";
import { tableWords } from "./tables";

/** What stands in a sentence for what it is about: a name, a number or a list of either. */
const SAMPLES: Record<string, unknown> = {
  width: 1080,
  height: 1350,
  scale: 2,
  most: 4000,
  version: 9,
  known: 4,
  elements: 20_000,
  length: 3000,
  count: 12,
  times: 3,
  row: 7,
  has: 2,
  needs: 3,
  used: 10,
  longer: 8,
  shown: 90,
  acted: 91,
  slots: ["headline", "support"],
};
/** Some say the same name of something else. */
const OTHERWISE: Partial<Record<string, Record<string, unknown>>> = {
  "size-too-large": { most: { width: 540, height: 675 } },
  "file-too-large": { most: "20 MB" },
  "table-no-slot": { slots: "headline, support" },
  "pattern-invalid": { known: "{piece} or {size}" },
  "edit-impossible": { why: "The lead size cannot be taken out." },
  "brand-incomplete": { what: "A kit needs a name." },
  "unknown-value": { known: ["de", "en"] },
};

/** Anything that a sentence asks for; what is no number is words. */
const anything = (code: string): never =>
  new Proxy({} as never, {
    get: (_, name) => OTHERWISE[code]?.[name as string] ?? SAMPLES[name as string] ?? "harbour.png",
  });

/** A sentence that a person can read: whole, closed, and without what a program says when it is at a loss. */
function expectSentence(said: string): void {
  expect(said, said).to.match(/^[A-Z“#0-9]|^harbour\.png/);
  expect(said, said).to.match(/\.$|FOLDER$/);
  expect(said, said).not.to.match(/undefined|null|NaN|\[object|\{\}| {2}|!| ,|\.\.[^.]/);
}

describe("the words for what is wrong", () => {
  it("are whole sentences for every problem, and more than that it went wrong", () => {
    for (const code of problemCodes) {
      const { say, status } = problems[code];
      const said = (say as (about: never) => string)(anything(code));
      expectSentence(said);
      // What happened is one; what is safe or what to do is another.
      expect(said.split(/[.;:,] /).length, said).to.be.greaterThan(1);
      expect(status, code).to.be.within(400, 599);
    }
  });

  it("keep to what HTTP says of their status (RFC 9110)", () => {
    const statusOf = (code: ProblemCode) => problems[code].status;
    expect(statusOf("not-found")).to.equal(404);
    expect(statusOf("picture-unreadable")).to.equal(415);
    for (const code of problemCodes)
      if (/too-large|too-many-pixels/.test(code))
        expect(statusOf(code), code).to.be.oneOf([400, 413]);
    for (const code of problemCodes)
      if (/conflict|in-use/.test(code)) expect(statusOf(code), code).to.equal(409);
    expect(problem("store-full").status).to.equal(507);
  });

  it("say of every finding what it is in a heading, and with numbers in a sentence", () => {
    for (const code of findingCodes) {
      const finding: Finding = {
        code,
        level: "look-again",
        role: "headline",
        measured: 12.34,
        needed: 40,
        about: code === "raw-colour" ? "#D7301F" : "picture",
        slot: "support",
      };
      const { title, text } = wordingOf(finding);
      expectSentence(text);
      expect(title, title).to.match(/^[A-Z]/);
      expect(title, title).not.to.match(/\.$|undefined/);
      expect(title.length, title).to.be.lessThan(60);
      // What lacks everything that it could say is still a sentence.
      const bare = wordingOf({ code, level: "note" });
      expect(`${bare.title} ${bare.text}`).not.to.match(/NaN|\[object|null/);
    }
  });

  it("name a finding's slot as a person does", () => {
    const said = wordingOf({ code: "left-out", level: "note", slot: "call-to-action" });
    expect(said.title).to.equal("Without call to action");
  });

  it("are whole sentences for every note on a table, for one as for many", () => {
    for (const [code, say] of Object.entries(tableWords)) {
      expectSentence((say as (about: never) => string)(anything(code)));
    }
    expect(tableWords["hidden-rows"]({ count: 1 })).to.equal("1 hidden row was left out.");
    expect(tableWords["hidden-rows"]({ count: 2 })).to.equal("2 hidden rows were left out.");
    expect(tableWords["ragged-row"]({ row: 2, has: 1, needs: 3 })).to.contain("1 cell and");
    const many = Array.from({ length: 20 }, (_, at) => `face ${at}`);
    const said = { row: 1, column: "typefaces", value: "x", known: many };
    expect(tableWords["unknown-value"](said)).to.match(/face 7 and more\.$/);
  });
});

describe("what things are called", () => {
  it("no two layouts are called the same", () => {
    const layouts = LayoutKind.options.flatMap((kind) =>
      [undefined, ...WordsLayout.options].flatMap((words) =>
        [undefined, ...LayoutPlace.options].flatMap((place): LayoutId[] => [
          { kind, ...(words && { words }), ...(place && { place }) },
          { kind, ...(words && { words }), ...(place && { place }), unbadged: true },
        ]),
      ),
    );
    const names = layouts.map(layoutName);
    expect(new Set(names)).to.have.length(layouts.length);
    for (const name of names) expect(name).not.to.match(/undefined|-|^,|,$/);
  });

  it("a node is called by its words, else by what it does, and numbered where there are several", () => {
    expect(nodeName({ id: "headline", role: "headline", slot: "headline" })).to.equal("Headline");
    const price = { role: "price", slot: "price" } as const;
    expect(nodeName({ id: "price", ...price })).to.equal("Price");
    expect(nodeName({ id: "price-after", ...price, part: "after" })).to.equal(
      "Words after the price",
    );
    expect(nodeName({ id: "button-2", role: "cta" })).to.equal("Button 2");
    expect(nodeName({ id: "ground", role: "backdrop" })).to.equal("Ground");
    for (const role of Role.options) {
      const name = nodeName({ id: "one", role });
      expect(name, role).to.match(/^[A-Z][a-z ]+$/);
    }
  });

  it("every shape has a name without code in it", () => {
    for (const shape of Object.keys(ADDED_SHAPES)) expect(shapeName(shape)).to.match(/^[a-z ]+$/);
  });
});
