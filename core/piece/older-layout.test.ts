import { expect } from "chai";
import { layoutName } from "../preflight";
import {
  LayoutId,
  layoutKey,
  LayoutKind,
  LayoutPlace,
  sameLayout,
  shownWithIds,
  withLayoutIds,
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
    for (const id of all) expect(layoutFromName(layoutName(id)), layoutName(id)).to.deep.equal(id);
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
