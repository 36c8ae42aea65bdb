import { expect } from "chai";
import fc from "fast-check";
import { demoPiece } from "../../tests/support/demo";
import {
  asStrip,
  missingStages,
  outlineFromWords,
  outlineWords,
  readOutline,
  rolesOf,
  stripRoles,
  withOutline,
} from "./index";

const NAMES = { nameOf: (id: string) => id, idOf: () => undefined };
const told = (outline: string) =>
  withOutline(asStrip(demoPiece("quillmere", "opening-announcement")), readOutline(outline), NAMES)
    .piece;

const LONG = `# Mend a tyre

# Why it is flat
Glass, mostly.

# Take out the wheel
- Brake first

# 90 % are on the back wheel

---

> It took me ten minutes.
author: Ida

# In short

# Ride on
call-to-action: Book a class
`;

describe("the telling of a strip", () => {
  it("gives each slide a role by its place and by what it says", () => {
    expect(stripRoles(told(LONG))).to.deep.equal([
      "title",
      "context",
      "point",
      "proof",
      "proof",
      "summary",
      "ask",
    ]);
  });

  it("keeps to the role that a person chose", () => {
    const words = [{ headline: "A" }, { headline: "B" }, { headline: "C" }];
    expect(rolesOf(words, [undefined, "proof"])).to.deep.equal(["title", "proof", "point"]);
  });

  it("says which stages a longer telling does without, and nothing of a short one", () => {
    expect(missingStages(told(LONG))).to.deep.equal([]);
    expect(missingStages(told("# A\n\n# B\n\n# C\n\n# D\n"))).to.deep.equal(["desire", "action"]);
    expect(missingStages(told("# A\n\n# B\n"))).to.deep.equal([]);
  });
});

describe("one message as slides", () => {
  it("has a slide for what it is about, each paragraph and point, and what to do at the end", () => {
    const slides = outlineFromWords({
      kicker: "How to",
      headline: "Mend a tyre",
      body: "Glass, mostly.\n\nOr a nail.",
      list: "- Brake first\n- Then the wheel",
      date: "Saturday",
      "call-to-action": "Book a class",
      site: "wheels.example",
    });
    expect(slides.map(({ words }) => words.map(([slot]) => slot).join(" "))).to.deep.equal([
      "kicker headline date",
      "body",
      "body",
      "headline",
      "headline",
      "call-to-action site",
    ]);
  });

  it("loses no word, whatever the message", () => {
    const slot = fc.constantFrom("headline", "support", "body", "list", "price", "site", "author");
    const text = fc.array(fc.stringMatching(/^[a-zäß]{1,8}$/), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(fc.dictionary(slot, text), (given) => {
        const words = Object.fromEntries(Object.entries(given).map(([k, v]) => [k, v.join("\n")]));
        const kept = outlineWords(outlineFromWords(words)).flatMap((one) => one.split("\n"));
        expect(kept.sort()).to.deep.equal(Object.values(given).flat().sort());
      }),
    );
  });
});
