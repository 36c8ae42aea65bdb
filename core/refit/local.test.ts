import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import type { Node, Piece } from "../piece";
import { check } from "../preflight";
import { placementById } from "../placements";

const { piece, brand } = demoPieces().find((entry) => entry.piece.id === "opening-announcement")!;

const changed = (placement: string, changes: Record<string, Partial<Node>>): Piece => ({
  ...piece,
  sizes: piece.sizes.map((size) => (size.placement === placement ? { ...size, changes } : size)),
});

describe("local changes", () => {
  it("place a node on one size and nowhere else, whatever the message says", async () => {
    const sources = await demoSources();
    const box = { x: 700, y: 64, width: 240, height: 60 };
    const moved = changed("community-link", { logo: { box } });
    for (const headline of ["Boats at rest", "Something much longer than that"]) {
      const message = { ...moved.message, headline: { text: headline } };
      const { layout } = makeScene(
        { ...moved, message },
        brand,
        placementById("community-link"),
        sources,
      );
      const logo = layout.placed.find((item) => item.node.id === "logo");
      expect(logo?.box).to.deep.include({ x: 700, y: 64 });
    }
    const plain = makeScene(piece, brand, placementById("story"), sources).layout.placed;
    expect(makeScene(moved, brand, placementById("story"), sources).layout.placed).to.deep.equal(
      plain,
    );
  });

  it("hide a node on one size, which is no finding", async () => {
    const sources = await demoSources();
    const { layout } = makeScene(
      changed("story", { cta: { hidden: true } }),
      brand,
      placementById("story"),
      sources,
    );
    expect(layout.placed.some((item) => item.node.id === "cta")).to.equal(false);
    expect(layout.leftOut).to.deep.include({ id: "cta", why: "hidden" });
    expect(check(layout).some((finding) => finding.node === "cta")).to.equal(false);
  });

  it("change a style on one size", async () => {
    const sources = await demoSources();
    const accent = changed("story", { support: { style: { colour: "accent" } } });
    const colour = (of: Piece, placement: string) => {
      const { placed } = makeScene(of, brand, placementById(placement), sources).layout;
      const node = placed.find((item) => item.node.id === "support")?.node;
      return node?.type === "text" ? node.colour : undefined;
    };
    expect(colour(accent, "story")).to.equal("#EDB64A");
    expect(colour(accent, "photo-feed-square")).to.equal("#F6EFE2");
  });
});

describe("words whose plate has no room beside the picture", () => {
  it("have it as their ground, and can be read on it", async () => {
    const sources = await demoSources();
    const plate: Node = {
      id: "plate",
      kind: "shape",
      role: "plate",
      box: { x: 60, y: 780, width: 900, height: 480 },
      style: { colour: "accent" },
    };
    const arrangement = piece.arrangement.flatMap((node) => {
      if (node.id !== "headline") return [node];
      return [plate, { ...node, on: "plate", style: { ...node.style, colour: "primary" } }];
    });
    const { layout } = makeScene(
      { ...piece, arrangement },
      brand,
      placementById("community-link"),
      sources,
    );
    const ground = layout.placed.find((item) => item.node.id === "plate");
    expect(ground?.box).to.deep.equal({ x: 0, y: 0, width: 1200, height: 630 });
    expect(check(layout).filter((finding) => finding.code === "low-contrast")).to.deep.equal([]);
  });
});
