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

  it("keeps a picture's focus inside it, a point standing for the area around it", async () => {
    const at = async (x: number, y: number) => {
      const picture = piece.message.picture as { picture: string };
      const message = { picture: { picture: picture.picture, focus: { x, y } } };
      const resolved = (await one({ kind: "picture", role: "photo", slot: "picture" }, { message }))
        .node;
      if (resolved?.type !== "picture") throw new Error("no picture");
      return { focus: resolved.focus, file: resolved.file };
    };
    const { focus, file } = await at(1, 0);
    expect(focus.x + focus.width).to.be.at.most(file.width + 1e-9);
    expect(focus.y).to.equal(0);
    const middle = (await at(0.5, 0.5)).focus;
    expect(middle.x + middle.width / 2).to.be.closeTo(file.width / 2, 1e-6);
  });
});
