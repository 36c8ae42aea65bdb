import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import { change, codesAt as codes, layoutOf, moved } from "../../tests/support/layouts";
import type { Placed } from "../refit";
import { check, findingCodes } from "./index";
import { wordingOf } from "../wording/findings";
import { placementById } from "../placements";

describe("preflight", () => {
  it("finds nothing that must be fixed in a layout that is right", async () => {
    expect(check(await layoutOf("photo-feed-tall"))).to.deep.equal([]);
  });

  it("measures how far something leaves the safe area", async () => {
    const layout = change(await layoutOf("photo-feed-tall"), "headline", (item) =>
      moved(item, -40, 0),
    );
    const [finding] = check(layout);
    expect(finding).to.deep.include({
      code: "outside-safe-area",
      level: "must-fix",
      node: "headline",
    });
    expect(finding?.measured).to.be.closeTo(40, 1);
  });

  it("tells a crop from the safe area", async () => {
    // The profile grid cuts a tall post at y = 135, the margin lies at 100.
    const layout = change(await layoutOf("photo-feed-tall"), "logo", (item) =>
      moved(item, 0, 110 - item.box.y),
    );
    expect(codes(check(layout), "logo")).to.deep.equal(["outside-crop"]);
  });

  it("finds an edge that is missed by a little, and none that is missed on purpose", async () => {
    const layout = await layoutOf("photo-feed-square");
    const off = (by: number) =>
      codes(check(change(layout, "kicker", (item) => moved(item, by, 0))), "kicker");
    expect(off(0)).to.not.include("nearly-aligned");
    expect(off(9)).to.include("nearly-aligned");
    expect(off(60)).to.not.include("nearly-aligned");
  });

  it("finds words on words", async () => {
    const layout = change(await layoutOf("photo-feed-tall"), "date", (item) =>
      moved(item, -360, 0),
    );
    expect(codes(check(layout), "date")).to.include("overlap");
  });

  it("measures contrast against the ground, and against the tones of a picture", async () => {
    const base = await layoutOf("photo-feed-tall");
    const { backdrop } = base.resolved.palette;
    const same = change(base, "headline", (item) => ({
      ...item,
      node: { ...item.node, colour: backdrop } as Placed["node"],
    }));
    const finding = check(same).find((candidate) => candidate.code === "low-contrast");
    expect(finding?.measured).to.be.closeTo(1, 1e-6);
    const onPhoto = change(base, "support", (item) => moved(item, 0, -420));
    expect(codes(check(onPhoto), "support")).to.include("low-contrast");
  });

  it("finds text below the floor and a picture with too few pixels", async () => {
    const small = change(await layoutOf("photo-feed-tall"), "support", (item) => ({
      ...item,
      text: { ...item.text!, set: { ...item.text!.set, size: 20 } },
    }));
    expect(codes(check(small), "support")).to.include("below-floor");
    const soft = change(await layoutOf("photo-feed-tall"), "photo", (item) => ({
      ...item,
      crop: { x: 0, y: 0, width: 400, height: 283 },
    }));
    expect(codes(check(soft), "photo")).to.include("low-resolution");
  });

  it("marks a colour that is written in, and a character that no face has", async () => {
    const { piece, brand } = demoPieces().find(
      (entry) => entry.piece.id === "opening-announcement",
    )!;
    const arrangement = piece.arrangement.map((node) =>
      node.id === "headline"
        ? { ...node, style: { ...node.style, colour: "#F7F0E0", type: "figtree" } }
        : node,
    );
    const message = { ...piece.message, support: { text: "漢 boats" } };
    const changed = { ...piece, arrangement, message };
    const findings = check(
      makeScene(changed, brand, placementById(piece.lead), await demoSources()).layout,
    );
    expect(findings.map((finding) => finding.code)).to.include.members([
      "raw-colour",
      "no-such-character",
      "raw-face",
    ]);
    const colour = findings.find(({ code }) => code === "raw-colour")!;
    expect(colour.mend).to.deep.equal({ from: "#F7F0E0", to: "paper", name: "Paper" });
    expect(colour.measured).to.be.within(0.1, 2);
    expect(wordingOf(colour).text).to.contain("Paper");
  });

  it("has words for every finding", () => {
    expect(findingCodes).to.have.lengthOf.at.least(10);
    for (const code of findingCodes) {
      const { title, text } = wordingOf({ code, level: "note", role: "headline", about: "x" });
      expect(title.length * text.length, code).to.be.greaterThan(0);
    }
  });
});
