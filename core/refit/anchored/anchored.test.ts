import { expect } from "chai";
import { demoPieces, demoSources } from "../../../tests/support/demo";
import { makeScene } from "../../engine";
import { box, contains, overlaps, right } from "../../geometry";
import { composedFrame, type Node, type Piece, type Pin } from "../../piece";
import { check } from "../../preflight";
import { catalogue, keptArea, placementById, roomOf } from "../../placements";
import { keptIn } from "./keep";

const demos = demoPieces();
const { piece, brand } = demos.find((entry) => entry.piece.id === "opening-announcement")!;
const FEED = placementById(piece.lead);

/** In shares of the lead's frame. */
const figure = (x: number, y: number, side: number, more: Partial<Node> = {}, of = piece): Node => {
  const { width, height } = composedFrame(of)!;
  return {
    id: "added",
    kind: "shape",
    role: "ornament",
    box: box(x * width, y * height, side * width, side * width),
    style: { shape: "star", colour: "action" },
    ...more,
  };
};

const withNodes = (nodes: Node[], of: Piece = piece): Piece => ({
  ...of,
  arrangement: [...of.arrangement, ...nodes],
});
const pinned = (id: string, pin: Pin, of: Piece = piece): Piece => ({
  ...of,
  arrangement: of.arrangement.map((node) => (node.id === id ? { ...node, pin } : node)),
});

describe("what keeps to an edge", () => {
  const from = box(0, 0, 1000, 1000);
  const to = box(0, 0, 500, 2000);
  const at = (own: ReturnType<typeof box>, pin: Pin = {}, stretches = false) =>
    keptIn(own, { from, to, scale: 0.5 }, pin, stretches);

  it("stands as far from the edges that it was nearest to, scaled", () => {
    expect(at(box(40, 60, 100, 100))).to.deep.equal(box(20, 30, 50, 50));
    expect(at(box(860, 840, 100, 100))).to.deep.equal(box(430, 1920, 50, 50));
  });

  it("stays in the middle, and as far off it as it was", () => {
    expect(at(box(450, 470, 100, 100))).to.deep.equal(box(225, 985, 50, 50));
  });

  it("hangs over as much as it did", () => {
    expect(at(box(-30, 920, 100, 100))).to.deep.equal(box(-15, 1960, 50, 50));
  });

  it("goes where a person wants it, with the distance that it had", () => {
    expect(at(box(40, 60, 100, 100), { h: "right", v: "bottom" })).to.deep.equal(
      box(430, 1920, 50, 50),
    );
    expect(at(box(40, 60, 100, 100), { h: "centre" }).x).to.equal(225);
  });

  it("still reaches from edge to edge where it can be stretched", () => {
    expect(at(box(0, 960, 1000, 40), {}, true)).to.deep.equal(box(0, 1980, 500, 20));
    expect(at(box(0, 960, 1000, 40), {}, false).width).to.equal(500);
  });
});

describe("figures of the composition on other sizes", () => {
  let make: (of: Piece, placement: string) => ReturnType<typeof makeScene>["layout"];
  before(async () => {
    const sources = await demoSources();
    make = (of, placement) => makeScene(of, brand, placementById(placement), sources).layout;
  });
  const wordsOf = (layout: ReturnType<typeof make>) =>
    layout.placed.filter(({ text, logo }) => text ?? logo);
  const PLACES = catalogue.placements.map(({ id }) => id).filter((id) => id !== piece.lead);

  it("stand there too when they are pinned, beside the words, and change nothing else", () => {
    const starred = withNodes([figure(0.86, 0.04, 0.1, { pin: {} })]);
    let there = 0;
    for (const id of PLACES) {
      const layout = make(starred, id);
      const own = layout.placed.find(({ node }) => node.id === "added");
      const others = layout.placed.filter((item) => item !== own);
      const plain = make(piece, id).placed;
      expect(others.map(({ node, box: b }) => [node.id, b])).to.deep.equal(
        plain.map(({ node, box: b }) => [node.id, b]),
      );
      if (!own) {
        expect(layout.leftOut.find((one) => one.id === "added")?.why).to.be.oneOf([
          "no-room",
          "not-for-this-shape",
        ]);
        continue;
      }
      there++;
      for (const item of wordsOf(layout)) expect(overlaps(item.box, own.box), id).to.equal(false);
      if (layout.layoutId.kind !== "as-arranged")
        expect(contains(layout.safe, own.box), id).to.equal(true);
    }
    expect(there / PLACES.length).to.be.above(0.9);
  });

  it("stand there always when they may not be left out", () => {
    const starred = withNodes([figure(0.4, 0.4, 0.2, { pin: {}, keep: "always" })]);
    for (const id of PLACES) {
      const { placed, layoutId } = make(starred, id);
      if (layoutId.kind !== "sign-alone")
        expect(
          placed.some(({ node }) => node.id === "added"),
          id,
        ).to.equal(true);
    }
  });

  it("keep with words, on their side and as large beside them", () => {
    const headline = piece.arrangement.find(({ role }) => role === "headline")!;
    const lead = make(piece, piece.lead).placed.find(({ node }) => node.id === headline.id)!;
    const scale = FEED.width / composedFrame(piece)!.width;
    const { ink, set } = lead.text!;
    const mark = figure(0, 0, 0, {
      on: headline.id,
      keep: "always",
      box: box(ink.x / scale, (ink.y - 0.2 * set.size) / scale, 40, 12),
    });
    const marked = withNodes([mark]);
    for (const id of PLACES) {
      const { placed } = make(marked, id);
      const own = placed.find(({ node }) => node.id === "added");
      const words = placed.find(({ node }) => node.id === headline.id);
      if (!words?.text || !own) continue;
      expect(own.box.x, id).to.be.closeTo(words.text.ink.x, 0.04 * words.text.ink.width + 1);
      const above = (words.text.ink.y - own.box.y) / words.text.set.size;
      expect(above, id).to.be.closeTo(0.2, 0.12);
    }
  });

  it("of a group stand to each other as they did", () => {
    const [a, b] = [figure(0.8, 0.05, 0.06), figure(0.88, 0.08, 0.06, { id: "other" })];
    const grouped = withNodes([a, b].map((node) => ({ ...node, group: "Sparks", pin: {} })));
    for (const id of PLACES) {
      const { placed } = make(grouped, id);
      const [one, two] = ["added", "other"].map((name) =>
        placed.find(({ node }) => node.id === name),
      );
      expect(Boolean(one), id).to.equal(Boolean(two));
      if (!one || !two) continue;
      const by = one.box.width / a.box.width;
      expect(two.box.x - one.box.x).to.be.closeTo(by * (b.box.x - a.box.x), 0.01);
      expect(two.box.y - one.box.y).to.be.closeTo(by * (b.box.y - a.box.y), 0.01);
    }
  });
});

describe("pinned words", () => {
  it("stay at their edge on every size with room for a message, and nothing is lost for them", async () => {
    const sources = await demoSources();
    for (const { piece: demo, brand: own } of demos) {
      const facts = demo.arrangement.filter(
        ({ kind, slot, role, on }) => kind === "text" && slot && role === "support" && !on,
      );
      for (const { id } of facts.slice(0, 1))
        for (const placement of catalogue.placements) {
          if (placement.id === demo.lead) continue;
          const laidOut = (of: Piece) => makeScene(of, own, placement, sources).layout;
          const { placed, layoutId } = laidOut(pinned(id, { h: "left", v: "bottom" }, demo));
          const item = placed.find(({ node }) => node.id === id);
          const before = laidOut(demo);
          const said = (of: typeof placed) => of.filter(({ text }) => text).length;
          expect(said(placed), `${demo.id} ${placement.id}`).to.be.at.least(said(before.placed));
          if (!item || layoutId.kind === "as-arranged") continue;
          const others = placed.filter(({ text, node }) => text && node.id !== id);
          for (const other of others) expect(overlaps(other.box, item.box)).to.equal(false);
          const area = keptArea(placement, "support");
          expect(right(item.box)).to.be.at.most(right(area) + 0.5);
        }
    }
  });

  it("stand in the corner that was asked for", async () => {
    const sources = await demoSources();
    const support = piece.arrangement.find(({ role }) => role === "support")!;
    const top = pinned(support.id, { h: "right", v: "top" });
    for (const id of ["story", "photo-feed-square", "community-link"]) {
      const placement = placementById(id);
      const { placed } = makeScene(top, brand, placement, sources).layout;
      const item = placed.find(({ node }) => node.id === support.id)!;
      const others = placed.filter(({ text, node }) => text && node.id !== support.id);
      expect(right(item.box), id).to.be.above(0.8 * placement.width);
      for (const other of others) expect(other.box.y, id).to.be.at.least(item.box.y - 0.5);
    }
  });
});

describe("words that should not be small", () => {
  it("are as large as was asked for on nearly all sizes with room for a message, and preflight says where not", async () => {
    const sources = await demoSources();
    const support = piece.arrangement.find(({ role }) => role === "support")!;
    const least = 1.35 * support.style.size!;
    const asked: Piece = {
      ...piece,
      arrangement: piece.arrangement.map((node) =>
        node.id === support.id ? { ...node, style: { ...node.style, least } } : node,
      ),
    };
    let [small, smallBefore] = [0, 0];
    for (const placement of catalogue.placements.filter((one) => roomOf(one) === "all")) {
      if (placement.id === piece.lead) continue;
      const isUnder = (of: Piece): boolean => {
        const { layout } = makeScene(of, brand, placement, sources);
        const size = layout.placed.find(({ node }) => node.id === support.id)?.text?.set.size;
        const under = size !== undefined && size < 0.999 * least * layout.leadScale;
        const said = check(layout).some(
          ({ code, node }) => code === "below-floor" && node === support.id,
        );
        if (of === asked) expect(said, placement.id).to.equal(under);
        return under;
      };
      if (isUnder(asked)) small++;
      if (isUnder(piece)) smallBefore++;
    }
    expect(smallBefore).to.be.above(4);
    expect(small).to.be.below(0.3 * smallBefore);
  });
});
