import { expect } from "chai";
import { sourcesFor } from "../../tests/support/case-sources";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { altText } from "../api";
import { makeScene } from "../engine";
import { overlaps } from "../geometry";
import { composedFrame, Piece, type Across } from "../piece";
import { placementById } from "../placements";
import { check } from "../preflight";
import {
  asStrip,
  canHang,
  freeBand,
  slideOf,
  withHung,
  withOutline,
  withSlide,
  withTakenIn,
} from "./index";

const brand = demoBrand("quillmere");
const names = { nameOf: (id: string) => id, idOf: () => undefined };
const post = demoPiece("quillmere", "opening-announcement");
const bare: Piece = {
  ...post,
  arrangement: post.arrangement.filter(({ role }) => role === "backdrop"),
};
const { piece: strip } = withOutline(
  asStrip(bare),
  ["One", "Two", "Three"].map((word) => ({ words: [["headline", `Slide ${word}`]], pictures: [] })),
  names,
);
const frame = composedFrame(strip)!;

const words: Across = {
  id: "words",
  kind: "text",
  text: "All along the quay, slowly",
  at: { x: 0.1, y: 0.06, width: 1.8, height: 0.14 },
  style: { type: "headline", colour: "headline", weight: 700, leading: 0.95 },
};
const lined: Piece = { ...strip, running: [], across: [words] };

const laidOut = async (of: Piece, id = "photo-feed-tall") => {
  const slides = [0, 1, 2].map((index) => slideOf(of, index));
  const sources = await sourcesFor(slides.map((piece) => ({ piece, brand })));
  return slides.map((slide) => makeScene(slide, brand, placementById(id), sources));
};

describe("words across the folds of a strip", () => {
  it("are set once: as large on each slide, and where the one stops the other goes on", async () => {
    for (const id of ["photo-feed-tall", "photo-feed-square", "story"]) {
      const made = await laidOut(lined, id);
      const { width } = placementById(id);
      const [first, second, third] = made.map(({ layout }) =>
        layout.placed.find(({ node }) => node.strip === "across")!,
      );
      expect(third, id).to.equal(undefined);
      expect(first!.text!.set.size).to.equal(second!.text!.set.size);
      expect(first!.text!.ink.x - width).to.be.closeTo(second!.text!.ink.x, 1e-6);
      expect(first!.text!.ink.y).to.equal(second!.text!.ink.y);
      expect(first!.text!.ink.x + first!.text!.set.width, id).to.be.above(width);
    }
  });

  it("leave the slides' own words their room, and are no mistake", async () => {
    for (const { layout } of (await laidOut(lined)).slice(0, 2)) {
      const line = layout.placed.find(({ node }) => node.strip === "across")!;
      const headline = layout.placed.find(({ node }) => node.slot === "headline")!;
      expect(overlaps(line.box, headline.box)).to.equal(false);
      const codes = check(layout).flatMap(({ code, node }) =>
        node === line.node.id ? [code] : [],
      );
      expect(codes).to.not.include.members(["outside-safe-area", "outside-crop"]);
    }
  });

  it("are read out where they begin, and are not cut off where a slide stands alone", async () => {
    const alts = [0, 1, 2].map((index) => altText(slideOf(lined, index)));
    expect(alts.map((text) => text.includes("All along the quay"))).to.deep.equal([
      true,
      false,
      false,
    ]);
    const [alone] = await laidOut(lined, "community-link");
    expect(alone!.layout.placed.some(({ node }) => node.strip === "across")).to.equal(false);
    const shown = alone!.layout.placed.flatMap(({ node }) => ("text" in node ? [node.text] : []));
    expect(shown).to.include("Slide One").and.to.not.include("All along the quay, slowly");
  });
});

describe("a band across slides", () => {
  it("is free where nothing of them stands, and else where the least does", () => {
    const at = (y: number, height: number) => ({
      ...slideOf(strip, 0),
      arrangement: [
        ...strip.arrangement,
        { id: "n", kind: "text", role: "body", box: { x: 0, y, width: 500, height }, style: {} },
      ],
    });
    const high = frame.height;
    const filled = Piece.parse(withSlide({ ...strip, running: [] }, 0, at(0, 0.5 * high) as Piece));
    const y = freeBand(filled, [0, 1], 0.1);
    expect(y).to.be.within(0.5, 0.52 + 1e-9);
    const full = Piece.parse(withSlide({ ...strip, running: [] }, 0, at(0, high) as Piece));
    expect(freeBand(full, [0], 0.1)).to.be.within(0, 0.9);
  });
});

describe("something that is hung over a fold", () => {
  const shape = {
    id: "sun",
    kind: "shape" as const,
    role: "ornament" as const,
    box: { x: 100, y: 200, width: 300, height: 300 },
    style: { shape: "ellipse" as const, colour: "action" },
  };
  const caption = {
    id: "caption",
    kind: "text" as const,
    role: "body" as const,
    slot: "caption",
    box: { x: 700, y: 900, width: 600, height: 90 },
    style: { size: 60 },
  };
  const second = slideOf(strip, 1);
  const drawn = withSlide(strip, 1, {
    ...second,
    message: { ...second.message, caption: { text: "It goes on" } },
    arrangement: [...second.arrangement, shape, caption],
  });

  it("goes a third over the next slide, and is seen on both", () => {
    const hung = Piece.parse(withHung(drawn, 1, "sun"));
    const [one] = hung.across!;
    const { at } = one!;
    expect(at.x + at.width - 2).to.be.closeTo(at.width / 3, 1e-9);
    expect(at.y * frame.height).to.be.closeTo(200, 1e-9);
    const parts = [0, 1, 2].map((index) =>
      slideOf(hung, index).arrangement.find(({ id }) => id === `across-${one!.id}`),
    );
    expect(parts.map((part) => part !== undefined)).to.deep.equal([false, true, true]);
    expect(parts[2]!.box.x + parts[2]!.box.width).to.be.closeTo(100, 1e-9);
    expect(hung.slides![0]!.arrangement.some(({ id }) => id === "sun")).to.equal(false);
  });

  it("stays where it hangs over already, and takes along what it says", () => {
    const hung = Piece.parse(withHung(drawn, 1, "caption"));
    const [one] = hung.across!;
    expect(one).to.deep.include({
      kind: "text",
      text: "It goes on",
      role: "body",
      style: { size: 60 },
    });
    expect((one!.at.x - 1) * frame.width).to.be.closeTo(700, 1e-9);
    expect(hung.slides![0]!.message).to.not.have.property("caption");
  });

  it("comes back onto the slide that has most of it, whole within the frame and with its words", () => {
    const hung = withHung(drawn, 1, "caption");
    const back = Piece.parse(withTakenIn(hung, hung.across![0]!.id));
    expect(back.across).to.deep.equal([]);
    const { arrangement, message } = back.slides![0]!;
    const node = arrangement.at(-1)!;
    expect(node.slot).to.equal("body");
    expect(message[node.slot!]).to.deep.equal({ text: "It goes on" });
    expect(node.box.x).to.be.closeTo(frame.width - 600, 1e-9);
    expect(node).to.not.have.any.keys("strip", "locked");
  });

  it("is no ground, logo or part of the strip itself; what is not there changes nothing", () => {
    const kinds = slideOf(drawn, 1).arrangement.map((node) => [node.id, canHang(node)]);
    expect(Object.fromEntries(kinds)).to.include({ sun: true, caption: true });
    for (const [id, can] of kinds)
      if (String(id).startsWith("running-") || id === "backdrop")
        expect(can, String(id)).to.equal(false);
    const date = { ...caption, id: "when", slot: "date" };
    expect(canHang(caption)).to.equal(true);
    expect(canHang(date), "a fact stays where it is shown on every size").to.equal(false);
    expect(withHung(drawn, 1, "gone")).to.equal(drawn);
    expect(withTakenIn(drawn, "gone")).to.equal(drawn);
  });
});
