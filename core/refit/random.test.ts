import { expect } from "chai";
import fc from "fast-check";
import { cases } from "../../tests/support/arrangements";
import { caseSources } from "../../tests/support/case-sources";
import { makeScene } from "../engine";
import { layoutKey, isText, type Piece } from "../piece";
import { catalogue } from "../placements";
import { check } from "../preflight";

const entries = cases();
const word = fc.constantFrom(
  "boats",
  "at",
  "rest",
  "harbour",
  "photographs",
  "a",
  "wet",
  "1868",
  "Ölkännchen",
);
const text = (most: number) =>
  fc.array(word, { minLength: 0, maxLength: most }).map((words) => words.join(" "));

/** A demo piece with other words, some of them none, and some nodes taken out. */
const anyPiece: fc.Arbitrary<{ piece: Piece; brand: (typeof entries)[number]["brand"] }> = fc
  .record({
    entry: fc.constantFrom(...entries),
    headline: text(12),
    others: fc.array(text(7), { minLength: 6, maxLength: 6 }),
    out: fc.subarray([0, 1, 2, 3, 4, 5, 6]),
  })
  .map(({ entry, headline, others, out }) => {
    const { piece, brand } = entry;
    const message = Object.fromEntries(
      Object.entries(piece.message).map(([slot, filling], index) => {
        if (!isText(filling)) return [slot, filling];
        return [slot, { text: slot === "headline" ? headline || "boats" : others[index % 6]! }];
      }),
    );
    const removed = new Set(out.map((index) => piece.arrangement[index]?.id));
    const arrangement = piece.arrangement.filter(
      (node) => node.role === "headline" || !removed.has(node.id) || node.role === "badge",
    );
    return { piece: { ...piece, message, arrangement }, brand };
  });

/** Not for words at all: a picture that is a logo, and a strip lower than a line of text. */
const WITHOUT_WORDS = ["photo-feed-avatar"];

describe("refit of random pieces", () => {
  it("keeps the rules in every placement of the catalogue, or leaves out and says so", async () => {
    const sources = await caseSources();
    const placements = catalogue.placements.filter(({ id }) => !WITHOUT_WORDS.includes(id));
    fc.assert(
      fc.property(anyPiece, fc.constantFrom(...placements), ({ piece, brand }, placement) => {
        const { layout } = makeScene(piece, brand, placement, sources);
        // The lead itself is as a person composed it, and may hold what they chose.
        if (placement.id === piece.lead) return;
        const broken = check(layout).filter(
          ({ code, level }) =>
            level === "must-fix" && code !== "always-left-out" && code !== "nothing-fits",
        );
        expect(broken, `${piece.id} ${placement.id} ${layoutKey(layout.layoutId)}`).to.deep.equal(
          [],
        );
      }),
      { numRuns: 250 },
    );
  });
});
