import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import { bottom, right, type Box } from "../geometry";
import { isText, type Piece } from "../piece";
import { catalogue, placementById } from "../placements";
import { check } from "../preflight";
import { resolve } from "../resolve";
import { refit } from "./index";

/** The placements that a piece must come out right in, whatever else the catalogue holds. */
const PROMISED = [
  "photo-feed-square",
  "photo-feed-tall",
  "photo-feed-wide",
  "story",
  "community-link",
  "microblog-wide",
  "pinboard-tall",
  "video-thumbnail",
  "community-event-cover",
  "professional-post-square",
  "ad-medium-rectangle",
  "ad-leaderboard",
  "ad-wide-skyscraper",
  "ad-phone-banner",
];

const withText = (piece: Piece, slot: string, text: string): Piece => ({
  ...piece,
  message: { ...piece.message, [slot]: { text } },
});

async function mustFix(piece: Piece, placements: string[]): Promise<string[]> {
  const sources = await demoSources();
  const brand = demoPieces().find((entry) => entry.piece.id === piece.id)!.brand;
  return placements.flatMap((id) => {
    const { layout } = makeScene(piece, brand, placementById(id), sources);
    return check(layout)
      .filter((finding) => finding.level === "must-fix")
      .map((finding) => `${id}: ${finding.code} ${finding.node ?? ""}`);
  });
}

describe("refit", () => {
  for (const { piece } of demoPieces()) {
    it(`keeps ${piece.id} safe, apart and readable in every promised placement`, async () => {
      expect(await mustFix(piece, PROMISED)).to.deep.equal([]);
    });

    it(`keeps ${piece.id} right with a short, a long and a very long headline`, async () => {
      for (const text of [
        "Now",
        "Harbour photographs by the people who lived there",
        "word ".repeat(24),
      ]) {
        expect(await mustFix(withText(piece, "headline", text), PROMISED), text).to.deep.equal([]);
      }
    });
  }

  it("sets no text below the legibility floor, anywhere in the catalogue", async () => {
    const sources = await demoSources();
    for (const { piece, brand } of demoPieces()) {
      for (const placement of catalogue.placements) {
        const { id } = placement;
        const { layout } = makeScene(piece, brand, placement, sources);
        for (const { text, node } of layout.placed) {
          if (text) expect(text.set.size, `${id} ${node.id}`).to.be.at.least(layout.floor * 0.99);
        }
      }
    }
  });

  it("shows each node once, or says why it is left out", async () => {
    const sources = await demoSources();
    for (const { piece, brand } of demoPieces()) {
      for (const id of PROMISED) {
        const { layout } = makeScene(piece, brand, placementById(id), sources);
        const found = [
          ...layout.placed.map((item) => item.node.id),
          ...layout.leftOut.map((o) => o.id),
        ];
        const all = piece.arrangement.map((node) => node.id);
        expect([...found].sort(), `${piece.id} ${id}`).to.deep.equal([...all].sort());
      }
    }
  });

  it("keeps the headline larger than any text beside it", async () => {
    const sources = await demoSources();
    for (const { piece, brand } of demoPieces()) {
      for (const id of PROMISED) {
        const { layout } = makeScene(piece, brand, placementById(id), sources);
        const size = (role: string) =>
          layout.placed
            .filter((item) => item.node.role === role)
            .map((item) => item.text?.set.size ?? 0);
        const rest = [...size("support"), ...size("body"), ...size("cta"), ...size("kicker")];
        expect(Math.max(...size("headline")), `${piece.id} ${id}`).to.be.greaterThan(
          Math.max(...rest),
        );
      }
    }
  });

  it("is deterministic", async () => {
    const sources = await demoSources();
    const [{ piece, brand }] = demoPieces() as [ReturnType<typeof demoPieces>[number]];
    const once = () => makeScene(piece, brand, placementById("story"), sources).scene;
    expect(once()).to.deep.equal(once());
  });

  it("uses the arrangement as composed at the lead size", async () => {
    const sources = await demoSources();
    for (const { piece, brand } of demoPieces()) {
      expect(
        makeScene(piece, brand, placementById(piece.lead), sources).layout.layoutId.kind,
      ).to.equal("as-arranged");
    }
  });

  it("answers impossible frames with a finding, not with an error", async () => {
    const sources = await demoSources();
    const [{ piece, brand }] = demoPieces() as [ReturnType<typeof demoPieces>[number]];
    for (const [width, height] of [
      [1, 1],
      [50, 2000],
      [10_000, 50],
    ] as const) {
      const placement = { ...placementById("story"), width, height, covered: [], margin: 60 };
      const layout = refit(resolve(piece, brand, placement.id, sources), placement);
      expect(check(layout).some((finding) => finding.level === "must-fix")).to.equal(true);
    }
  });

  it("holds with no picture, and with words that are empty", async () => {
    const sources = await demoSources();
    for (const { piece, brand } of demoPieces()) {
      const words = Object.entries(piece.message).filter(([, filling]) => isText(filling));
      const bare = { ...piece, message: Object.fromEntries(words) };
      const onlyHeadline = { ...piece, message: { headline: piece.message.headline! } };
      for (const id of PROMISED) {
        for (const candidate of [bare, onlyHeadline]) {
          const findings = check(makeScene(candidate, brand, placementById(id), sources).layout);
          expect(
            findings.filter((f) => f.level === "must-fix"),
            `${piece.id} ${id}`,
          ).to.deep.equal([]);
        }
      }
    }
  });

  it("lets a headline run across above what stands beside the lines, larger than in their column", async () => {
    const { piece, brand } = demoPieces().find((entry) => entry.piece.id === "late-opening")!;
    const sources = await demoSources();
    const { layout } = makeScene(piece, brand, placementById("photo-feed-square"), sources);
    expect(layout.layoutId).to.include({ kind: "words-left", place: "headline-across" });
    const boxOf = (wanted: string): Box =>
      layout.placed.find(({ node }) => node.id === wanted)!.box;
    const [headline, photo] = [boxOf("headline"), boxOf("photo")];
    expect(bottom(headline)).to.be.below(photo.y);
    expect(right(headline)).to.be.above(photo.x);
    // The whole of the flower, on the lower edge.
    expect([right(photo), bottom(photo)]).to.deep.equal([1080, 1080]);
    for (const beside of ["date", "cta", "logo"]) {
      expect(boxOf(beside).y, beside).to.be.above(bottom(headline));
      expect(right(boxOf(beside)), beside).to.be.below(photo.x);
    }
    expect(check(layout).filter(({ level }) => level === "must-fix")).to.deep.equal([]);
  });
});
