import { expect } from "chai";
import fc from "fast-check";
import { bottom, overlaps, right, type Box } from "../../geometry";
import { ends, sideBySide, stack, topAndBottom, type Block } from "./block";
import type { Placed } from "../layout";

/** Something of a size, with its last baseline a little above its foot. */
const solid = ([width, height]: [number, number]): Block => ({
  width,
  height,
  baseline: 0.8 * height,
  place: (x, y) => [{ box: { x, y, width, height }, turn: 0 } as Placed],
});

const side = fc.integer({ min: 1, max: 400 });
const some = fc.array(fc.tuple(side, side).map(solid), { minLength: 1, maxLength: 6 });
const gap = fc.integer({ min: 0, max: 40 });
const boxes = (block: Block): Box[] => block.place(10, 20).map(({ box }) => box);

/** Blocks keep to their own box and never lie on each other. */
function keepsItsWord(block: Block): void {
  const placed = boxes(block);
  placed.forEach((box, i) => {
    expect(box.x).to.be.at.least(10 - 1e-6);
    expect(box.y).to.be.at.least(20 - 1e-6);
    expect(right(box)).to.be.at.most(10 + block.width + 1e-6);
    expect(bottom(box)).to.be.at.most(20 + block.height + 1e-6);
    for (const other of placed.slice(i + 1)) expect(overlaps(box, other)).to.equal(false);
  });
}

describe("blocks", () => {
  it("stack with their gaps on one edge, or about one middle", () => {
    fc.assert(
      fc.property(some, gap, fc.constantFrom(0, 0.5), (blocks, between, align) => {
        const whole = stack(
          blocks,
          blocks.slice(1).map(() => between),
          align,
        );
        keepsItsWord(whole);
        const placed = boxes(whole);
        placed.slice(1).forEach((box, i) => {
          expect(box.y - bottom(placed[i]!)).to.be.closeTo(between, 1e-6);
        });
        const edges = placed.map((box) => box.x + align * box.width);
        for (const edge of edges) expect(edge).to.be.closeTo(edges[0]!, 1e-6);
      }),
    );
  });

  it("stand at both ends of a row on one centre line, or not at all", () => {
    fc.assert(
      fc.property(some, side, gap, ([left], width, between) => {
        const row = ends(left!, solid([30, 12]), width, between);
        if (left!.width + between + 30 > width) expect(row).to.equal(undefined);
        else {
          keepsItsWord(row!);
          const [a, b] = boxes(row!) as [Box, Box];
          expect(right(b)).to.be.closeTo(10 + width, 1e-6);
          expect(a.y + a.height / 2).to.be.closeTo(b.y + b.height / 2, 1e-6);
        }
      }),
    );
  });

  it("share their last baseline side by side", () => {
    fc.assert(
      fc.property(side, side, side, side, (w, h, v, g) => {
        const [left, column] = [solid([w, h]), solid([v, g])];
        const both = sideBySide(left, column, w + 20);
        keepsItsWord(both);
        const [a, b] = boxes(both) as [Box, Box];
        const lower = (box: Box) => box.y + 0.8 * box.height;
        if (g <= h) expect(lower(a)).to.be.closeTo(lower(b), 1e-6);
      }),
    );
  });

  it("fill a height from its top and its foot, or not at all", () => {
    fc.assert(
      fc.property(side, side, side, gap, (above, below, height, between) => {
        const whole = topAndBottom(solid([50, above]), solid([40, below]), height, between);
        if (above + between + below > height) expect(whole).to.equal(undefined);
        else {
          keepsItsWord(whole!);
          expect(bottom(boxes(whole!)[1]!)).to.be.closeTo(20 + height, 1e-6);
        }
      }),
    );
  });
});
