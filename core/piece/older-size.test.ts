import { expect } from "chai";
import { layoutName } from "../wording/layouts";
import {
  LayoutId,
  layoutKey,
  LayoutKind,
  LayoutPlace,
  sameLayout,
  shownWithIds,
  withLayoutIds,
  withPlaces,
  WordsLayout,
} from "./index";
import { layoutFromName } from "./older-layout";

/** Every id that can be written. */
const all: LayoutId[] = LayoutKind.options.flatMap((kind) =>
  [undefined, ...WordsLayout.options].flatMap((words) =>
    [undefined, ...LayoutPlace.options].flatMap((place) =>
      ([undefined, true] as const).map((unbadged) =>
        LayoutId.parse(JSON.parse(JSON.stringify({ kind, words, place, unbadged }))),
      ),
    ),
  ),
);

describe("layouts", () => {
  it("are each known from the name that they had, and no two are one", () => {
    // What it is called now may differ from what it was called when names were stored.
    const stored = (id: LayoutId) => layoutName(id).replace("as designed", "as arranged");
    for (const id of all) expect(layoutFromName(stored(id)), stored(id)).to.deep.equal(id);
    expect(new Set(all.map(layoutKey)).size).to.equal(all.length);
    expect(new Set(all.map(layoutName)).size).to.equal(all.length);
    expect(sameLayout(all[0], { ...all[0]! })).to.equal(true);
    expect(sameLayout(all[0], all[1])).to.equal(false);
    for (const name of ["", "moon", "stack", "picture above, moon"])
      expect(layoutFromName(name), name).to.equal(undefined);
  });

  it("get ids wherever they stand, and what is unknown is left out", () => {
    const stack: LayoutId = { kind: "picture-above", words: "stack" };
    const sizes = [
      { placement: "story", layout: "picture above, stack", changes: {} },
      { placement: "poster-a3", layout: "moon", changes: {} },
      { placement: "ad-leaderboard", layout: stack, changes: {} },
    ];
    const message = { layout: { text: "picture above, stack" } };
    expect(withLayoutIds({ sizes, message, shown: { story: "strip", x: "moon" } })).to.deep.equal({
      sizes: [
        { placement: "story", layout: stack, changes: {} },
        { placement: "poster-a3", changes: {} },
        { placement: "ad-leaderboard", layout: stack, changes: {} },
      ],
      message,
      shown: { story: { kind: "strip" } },
    });
    expect(shownWithIds({ a: stack, b: "card, stack, no badge" })).to.deep.equal({
      a: stack,
      b: { kind: "card", words: "stack", unbadged: true },
    });
    const at = ["sizes", "story", "layout"];
    expect(
      withLayoutIds({ changes: [{ at, to: "picture above, stack", was: null }] }),
    ).to.deep.equal({ changes: [{ at, to: stack, was: null }] });
  });
});

describe("places of nodes on one size", () => {
  const box = { x: 540, y: 192, width: 108, height: 960 };
  const place = { x: 0.5, y: 0.1, width: 0.1, height: 0.5 };
  const frameOf = (id: string) => (id === "story" ? { width: 1080, height: 1920 } : undefined);

  it("become shares of its frame; one whose frame is not known goes, and the rest stays", () => {
    const own = { width: 540, height: 960 };
    const sizes = (at: object) => [
      { placement: "story", changes: { logo: { ...at, hidden: false }, date: { hidden: true } } },
    ];
    expect(withPlaces({ sizes: sizes({ box }) }, frameOf)).to.deep.equal({
      sizes: sizes({ place }),
    });
    expect(
      withPlaces({ placement: "mine", own, changes: { logo: { box } } }, frameOf),
    ).to.deep.equal({
      placement: "mine",
      own,
      changes: { logo: { place: { x: 1, y: 0.2, width: 0.2, height: 1 } } },
    });
    expect(withPlaces({ placement: "x", changes: { logo: { box } } }, frameOf)).to.deep.equal({
      placement: "x",
      changes: { logo: {} },
    });
    // A node of the arrangement stays in pixels of the lead.
    expect(withPlaces({ arrangement: [{ id: "logo", box }] }, frameOf)).to.deep.equal({
      arrangement: [{ id: "logo", box }],
    });
  });

  it("are put right in edits too", () => {
    const at = (field: string) => ["sizes", "story", "changes", "logo", field];
    expect(withPlaces({ changes: [{ at: at("box"), to: box, was: null }] }, frameOf)).to.deep.equal(
      {
        changes: [{ at: at("place"), to: place, was: null }],
      },
    );
  });
});
