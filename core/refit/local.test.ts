import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import type { LocalChange, Node, Piece } from "../piece";
import { check } from "../preflight";
import { placementById } from "../placements";

const { piece, brand } = demoPieces().find((entry) => entry.piece.id === "opening-announcement")!;

const changed = (placement: string, changes: Record<string, LocalChange>): Piece => ({
  ...piece,
  sizes: piece.sizes.map((size) => (size.placement === placement ? { ...size, changes } : size)),
});

describe("local changes", () => {
  it("place a node on one size and nowhere else, whatever the message says", async () => {
    const sources = await demoSources();
    const { width, height } = placementById("community-link");
    const place = { x: 700 / width, y: 64 / height, width: 240 / width, height: 60 / height };
    const moved = changed("community-link", { logo: { place } });
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

  it("stay where they were put when the placement is corrected", async () => {
    const sources = await demoSources();
    const place = { x: 0.5, y: 0.1, width: 0.25, height: 0.1 };
    const moved = changed("community-link", { logo: { place } });
    const shipped = placementById("community-link");
    for (const by of [1, 2]) {
      const [width, height] = [shipped.width * by, shipped.height * by];
      const { layout } = makeScene(moved, brand, { ...shipped, width, height }, sources);
      const logo = layout.placed.find((item) => item.node.id === "logo")!;
      expect(logo.box.x / width).to.be.closeTo(0.5, 0.001);
      expect(logo.box.y / height).to.be.closeTo(0.1, 0.001);
    }
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
