import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { change, codesAt, layoutOf, moved } from "../../tests/support/layouts";
import { makeScene } from "../engine";
import { placementById } from "../placements";
import type { Layout, Placed } from "../refit";
import { check } from "./index";

const at = (layout: Layout, id: string): Placed =>
  layout.placed.find(({ node }) => node.id === id)!;

describe("preflight of what stands together", () => {
  it("finds words across the edge of a picture", async () => {
    const layout = await layoutOf("photo-feed-tall");
    const edge = at(layout, "photo").box.y + at(layout, "photo").box.height;
    const { y, height } = at(layout, "headline").box;
    const across = change(layout, "headline", (item) => moved(item, 0, edge - y - height / 2));
    expect(codesAt(check(across), "headline")).to.include("across-an-edge");
  });

  it("finds a subject at the crop's edge, by how much of it is lost", async () => {
    const layout = await layoutOf("photo-feed-tall");
    const { crop, node } = at(layout, "photo");
    if (node.type !== "picture") throw new Error("not a picture");
    const beside = { ...crop!, x: node.subject.box.x + node.subject.box.width / 2 };
    const cut = change(layout, "photo", (item) => ({ ...item, crop: beside }));
    const finding = check(cut).find(({ code }) => code === "subject-cut")!;
    expect(finding.measured).to.be.closeTo(50, 5);
  });

  it("finds a logo that is too small, crowded, or on a ground that is not for it", async () => {
    const layout = await layoutOf("photo-feed-tall");
    const tiny = change(layout, "logo", (item) => ({
      ...item,
      box: { ...item.box, width: 30, height: 10 },
    }));
    // 30 of 1080 pixels are 11 CSS pixels on a phone 390 wide; the kit asks for 62.
    const small = check(tiny).find(({ code }) => code === "logo-small")!;
    expect(small).to.deep.include({ needed: 62, unit: "css-px" });
    expect(small.measured).to.be.closeTo((30 * 390) / 1080, 1);

    const { box } = at(layout, "logo");
    const kicker = at(layout, "kicker").box;
    const near = change(layout, "logo", (item) =>
      moved(item, kicker.x - box.x, kicker.y - box.y - box.height - 4),
    );
    expect(codesAt(check(near), "logo")).to.include("logo-crowded");

    const other = at(layout, "logo").logo!.logo.ground === "light" ? "dark" : "light";
    const { node } = at(layout, "logo");
    if (node.type !== "logo") throw new Error("not a logo");
    const version = node.versions.find(
      ({ logo }) => logo.ground === other && logo.kind === at(layout, "logo").logo!.logo.kind,
    )!;
    const wrong = change(layout, "logo", (item) => ({ ...item, logo: version }));
    expect(codesAt(check(wrong), "logo")).to.include("logo-ground");
  });

  it("finds text that is louder than what rules", async () => {
    const layout = await layoutOf("photo-feed-tall");
    const loud = change(layout, "support", (item) => ({
      ...item,
      text: { ...item.text!, set: { ...item.text!.set, size: 400 } },
    }));
    const finding = check(loud).find(({ code }) => code === "out-of-order")!;
    expect(finding).to.deep.include({ node: "support", measured: 400, unit: "px" });
  });

  it("tells what is left out, and words that the brand never says", async () => {
    const { piece, brand } = demoPieces().find((one) => one.piece.id === "opening-announcement")!;
    const strict = { ...brand, voice: { ...brand.voice, avoid: ["at rest"] } };
    const sources = await demoSources();
    const findings = check(
      makeScene(piece, strict, placementById("ad-leaderboard"), sources).layout,
    );
    const avoided = findings.find(({ code }) => code === "word-to-avoid")!;
    expect(avoided).to.deep.include({ level: "look-again", node: "headline", about: "at rest" });
    expect(findings.some(({ code }) => code === "left-out")).to.equal(true);
  });
});
