import type { Area } from "../files";
import { expect } from "chai";
import { demoBrand, demoPiece, demoSources } from "../../tests/support/demo";
import type { Node, Piece } from "../piece";
import { resolve } from "./index";

const brand = demoBrand("quillmere");
const piece = demoPiece("quillmere", "opening-announcement");
const box = { x: 0, y: 0, width: 100, height: 40 };
const node = (part: Partial<Node>): Node => ({
  id: "n",
  kind: "text",
  role: "support",
  box,
  style: {},
  ...part,
});

async function one(part: Partial<Node>, change: Partial<Piece> = {}) {
  const arranged = { ...piece, ...change, arrangement: [node(part)] };
  const resolved = resolve(arranged, brand, "story", await demoSources());
  // The message's other words are completed around it.
  const found = resolved.nodes.find(({ id }) => id === "n");
  const absent = resolved.absent.find(({ id }) => id === "n");
  return { node: found, absent: absent?.why, raw: resolved.raw };
}

describe("resolve", () => {
  it("sets a role in its usual way, the brand's way, and the node's own, in rising order", async () => {
    const kicker = (await one({ role: "kicker", slot: "kicker" })).node;
    expect(kicker?.type === "text" && kicker.paragraph.style).to.deep.include({
      case: "upper",
      tracking: 0.1,
    });
    const headline = (await one({ role: "headline", slot: "headline" })).node;
    expect(headline?.type === "text" && headline.paragraph.style).to.deep.include({
      tracking: -0.02,
      leading: 0.85,
    });
    const own = (
      await one({ role: "headline", slot: "headline", style: { tracking: 0.3, leading: 1.2 } })
    ).node;
    expect(own?.type === "text" && own.paragraph.style).to.deep.include({
      tracking: 0.3,
      leading: 1.2,
    });
  });

  it("takes the face nearest in weight", async () => {
    const face = async (weight: number) => {
      const resolved = (await one({ slot: "support", style: { weight } })).node;
      return resolved?.type === "text" ? resolved.paragraph.style.chain[0] : undefined;
    };
    expect(await face(380)).to.equal(await face(400));
    expect(await face(800)).to.equal(await face(700));
    expect(await face(400)).not.to.equal(await face(700));
  });

  it("fills handle and site from the brand's voice", async () => {
    const handle = (await one({ role: "handle" })).node;
    expect(handle?.type === "text" && handle.text).to.equal("@quillmere");
  });

  it("says why a node has nothing to show", async () => {
    expect(
      (await one({ slot: "support" }, { message: { support: { text: "  " } } })).absent,
    ).to.equal("empty");
    expect((await one({ slot: "support", hidden: true })).absent).to.equal("hidden");
    expect((await one({ kind: "chart", role: "figure" })).absent).to.equal("not-painted-yet");
    const lost = { picture: { picture: "0".repeat(64) } };
    expect(
      (await one({ kind: "picture", role: "photo", slot: "picture" }, { message: lost })).absent,
    ).to.equal("file-missing");
  });

  it("marks raw colours", async () => {
    expect((await one({ slot: "support", style: { colour: "#ABCDEF" } })).raw).to.deep.equal([
      { node: "n", what: "colour", value: "#ABCDEF" },
    ]);
    expect((await one({ slot: "support", style: { colour: "accent" } })).raw).to.deep.equal([]);
  });

  it("knows a picture's subject by what a person said, and its middle where nothing is known", async () => {
    const { picture } = piece.message.picture as { picture: string };
    const subjectOf = async (areas: Area[]) => {
      const message = { picture: { picture, areas } };
      const { node } = await one({ kind: "picture", role: "photo", slot: "picture" }, { message });
      if (node?.type !== "picture") throw new Error("no picture");
      return { ...node.subject, file: node.file };
    };
    const face: Area = { kind: "face", x: 0.4, y: 0.2, width: 0.1, height: 0.2, weight: 1 };
    const { box, parts, file } = await subjectOf([face]);
    expect(parts).to.have.lengthOf(1);
    // A head is larger than its face: hair above, chin below.
    expect(box.y).to.be.below(0.2 * file.height);
    expect(box.y + box.height).to.be.above(0.4 * file.height);
    const passer = { ...face, x: 0.8, width: 0.02, height: 0.04 };
    expect((await subjectOf([face, passer])).parts).to.have.lengthOf(1);
    const aside = await subjectOf([{ ...face, look: 0.8 }]);
    expect(aside.look).to.equal(0.8);
    expect(aside.parts).to.deep.equal(parts);
    expect(aside.box.x).to.be.closeTo(box.x, 1e-9);
    expect(aside.box.width).to.be.above(box.width);
    // Frontal faces stray a little.
    expect((await subjectOf([{ ...face, look: 0.1 }])).box).to.deep.equal(box);
    const off = await subjectOf([{ ...face, weight: 0 }]);
    expect(off.parts).to.deep.equal([]);
    expect(off.box.x + off.box.width / 2).to.be.closeTo(file.width / 2, 1e-6);
  });
});
