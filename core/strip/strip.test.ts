import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { OUTLINE } from "../../tests/support/outline";
import { applyEdit, editTo, invertEdit } from "../edit";
import { makeScene } from "../engine";
import { rebrand } from "../kit";
import { bottom, overlaps, right } from "../geometry";
import { messagePictures, Piece, piecePictureIds, type Running } from "../piece";
import { placementById } from "../placements";
import {
  isStrip,
  outlineOf,
  readOutline,
  RUNNING,
  slideCount,
  slideName,
  slideOf,
  slidesFor,
  emptySlides,
  tooManyFor,
  asStrip,
  withEachSlide,
  withModel,
  withNewSlide,
  withOutline,
  withoutSlide,
  withSlide,
  withSlideMoved,
  type PictureNames,
} from "./index";

const { piece: post, brand } = demoPieces().find(
  ({ piece }) => piece.id === "opening-announcement",
)!;
const file = messagePictures(post.message)[0]!;
const names: PictureNames = {
  nameOf: (id) => (id === file ? "harbour-boats" : id),
  idOf: (name) => (name === "harbour-boats" ? file : undefined),
};

const running: Running[] = (["handle", "page-mark", "swipe-cue"] as const).map((kind) => ({
  kind,
  ...RUNNING[kind].usual,
}));
const strip = (): Piece => {
  const carousel: Piece = { ...post, kind: "carousel", running };
  return withOutline(carousel, readOutline(OUTLINE), names).piece;
};

describe("an outline", () => {
  it("becomes a strip and is the same again, and says which pictures it does not know", () => {
    const made = strip();
    expect(Piece.safeParse(JSON.parse(JSON.stringify(made))).success).to.equal(true);
    expect(slideCount(made)).to.equal(4);
    expect(outlineOf(made, names)).to.deep.equal(readOutline(OUTLINE));
    const { unknown } = withOutline(made, readOutline("# One\n\n![x](no-such)"), names);
    expect(unknown).to.deep.equal(["no-such"]);
  });

  it("keeps what was done to a slide when its words change, and takes away what is too many", () => {
    const made = strip();
    const id = made.slides![0]!.id;
    const styled = withSlide(made, 1, { ...slideOf(made, 1), spread: { backdrop: "paper" } });
    const shorter = withOutline(styled, readOutline("# One\n\n# Two, otherwise"), names).piece;
    expect(slideCount(shorter)).to.equal(2);
    expect(shorter.slides![0]).to.deep.include({ id, spread: { backdrop: "paper" } });
    expect(slideOf(shorter, 1).message.headline).to.deep.equal({ text: "Two, otherwise" });
  });
});

describe("slides", () => {
  it("are worked on as pieces, and nothing of the others changes", () => {
    const made = strip();
    expect(isStrip(post)).to.equal(false);
    for (let index = 0; index < 4; index++) {
      const own = slideOf(made, index);
      expect(withSlide(made, index, own)).to.deep.equal(made);
      const message = { ...own.message, headline: { text: "Otherwise" } };
      const after = withSlide(made, index, { ...own, message, title: "New name" });
      expect(after.title).to.equal("New name");
      for (let other = 0; other < 4; other++) {
        const said = slideOf(after, other).message.headline;
        const was = slideOf(made, other).message.headline;
        expect(said).to.deep.equal(other === index ? { text: "Otherwise" } : was);
      }
      const edit = editTo(made, after)!;
      expect(applyEdit(made, edit)).to.deep.equal(after);
      expect(applyEdit(after, invertEdit(edit))).to.deep.equal(made);
    }
  });

  it("know the headlines that theirs are as large as, which no document keeps", () => {
    const slide = (id: string, words: Record<string, string>) => ({
      id,
      message: Object.fromEntries(Object.entries(words).map(([slot, text]) => [slot, { text }])),
      arrangement: [],
      sizes: [],
    });
    const told: Piece = {
      ...strip(),
      slides: [
        slide("a", { headline: "One", body: "With more." }),
        slide("b", { headline: "Alone" }),
        slide("c", { headline: "Two", body: "With more." }),
        slide("d", { headline: "Last", "call-to-action": "Come" }),
      ],
    };
    expect([0, 1, 2, 3, 4].map((index) => slideOf(told, index).headlines)).to.deep.equal([
      undefined,
      ...Array<string[]>(4).fill(["One", "Two"]),
    ]);
    for (const index of [1, 2, 4]) {
      expect(withSlide(told, index, slideOf(told, index))).to.not.have.property("headlines");
      expect(Piece.parse(slideOf(told, index))).to.not.have.property("headlines");
    }
  });

  it("are added, copied, put in another order and taken out, and all undone", () => {
    const made = strip();
    const heads = (of: Piece) =>
      Array.from({ length: slideCount(of) }, (_, at) => {
        const filling = slideOf(of, at).message.headline;
        return filling && "text" in filling ? filling.text : "";
      });
    const [a, b, c, d] = heads(made) as [string, string, string, string];
    const steps: [Piece, string[]][] = [
      [withNewSlide(made, 2, false), [a, b, c, "", d]],
      [withNewSlide(made, 1, true), [a, b, b, c, d]],
      [withNewSlide(made, 0, true), [a, a, b, c, d]],
      [withSlideMoved(made, 3, 1), [a, d, b, c]],
      [withSlideMoved(made, 0, 2), [b, c, a, d]],
      [withSlideMoved(made, 2, 0), [c, a, b, d]],
      [withoutSlide(made, 0), [b, c, d]],
      [withoutSlide(made, 2), [a, b, d]],
    ];
    for (const [after, wanted] of steps) {
      expect(heads(after)).to.deep.equal(wanted);
      expect(Piece.safeParse(JSON.parse(JSON.stringify(after))).success).to.equal(true);
      const edit = editTo(made, after)!;
      expect(applyEdit(after, invertEdit(edit))).to.deep.equal(made);
    }
    expect(withoutSlide({ ...post, slides: [] }, 0)).to.deep.equal({ ...post, slides: [] });
  });

  it("take over how another one is arranged and coloured, and keep their words", () => {
    const made = strip();
    const styled = withSlide(made, 2, {
      ...slideOf(made, 2),
      spread: { backdrop: "paper" },
      arrangement: [
        ...slideOf(made, 2).arrangement,
        {
          id: "star",
          kind: "shape",
          role: "ornament",
          box: { x: 10, y: 10, width: 90, height: 90 },
          style: { shape: "star" },
          pin: {},
        },
      ],
    });
    const alike = withModel(styled, 2);
    for (const index of [1, 2, 3]) {
      const own = slideOf(alike, index);
      expect(own.arrangement.some(({ id }) => id === "star")).to.equal(true);
      expect(own.spread).to.deep.equal({ backdrop: "paper" });
      expect(own.message.headline).to.deep.equal(slideOf(made, index).message.headline);
    }
    expect(slideOf(alike, 0)).to.deep.equal(slideOf(styled, 0));
    expect(withModel(made, 0)).to.equal(made);
  });

  it("go to channels that show a row of them, those that say nothing left out, and not too many", () => {
    const made = withNewSlide(strip(), 1, false);
    const tall = placementById("photo-feed-tall");
    expect(slidesFor(made, tall)).to.deep.equal([0, 1, 3, 4]);
    expect(emptySlides(made)).to.deep.equal([2]);
    expect(emptySlides(post)).to.deep.equal([]);
    expect(slidesFor(made, placementById("story"))).to.deep.equal([0, 1, 3, 4]);
    expect(slidesFor(made, placementById("community-link"))).to.deep.equal([0]);
    expect(slidesFor(post, tall)).to.deep.equal([0]);
    expect(tooManyFor(made, tall)).to.equal(undefined);
    let many = made;
    for (let more = 0; more < 8; more++) many = withNewSlide(many, 1, true);
    expect(tooManyFor(many, tall)).to.equal(10);
    expect([slideName(0, 1), slideName(0, 4), slideName(9, 12)]).to.deep.equal(["", "01", "10"]);
  });

  it("take another brand together, each with its own styles and colours", () => {
    const made = strip();
    const other = demoPieces().find(({ brand: own }) => own.id !== brand.id)!.brand;
    const own = brand.colours.at(-1)!.id;
    const styled = withSlide(made, 2, {
      ...slideOf(made, 2),
      arrangement: slideOf(made, 2).arrangement.map((node) =>
        node.role === "backdrop" ? { ...node, style: { ...node.style, colour: own } } : node,
      ),
    });
    const { piece } = rebrand(styled, brand, other);
    expect(piece.brand).to.equal(other.id);
    expect(JSON.stringify(piece.slides)).not.to.contain(`"colour":"${own}"`);
    for (const slide of piece.slides!) expect(slide).not.to.have.property("spread");
    for (let index = 0; index < 4; index++) {
      expect(slideOf(piece, index).spread).to.deep.equal(piece.spread);
      expect(slideOf(piece, index).message).to.deep.equal(slideOf(styled, index).message);
    }
  });

  it("name every picture that they show, also across their folds", () => {
    const across = {
      id: "a",
      kind: "picture",
      picture: "b".repeat(64),
      at: { x: 0, y: 0, width: 2, height: 1 },
      style: {},
    } as const;
    const made: Piece = { ...strip(), across: [across] };
    const other = "c".repeat(64);
    const shown = withSlide(made, 2, {
      ...slideOf(made, 2),
      message: { ...slideOf(made, 2).message, picture: { picture: other } },
    });
    expect(piecePictureIds(shown)).to.have.members([file, other, across.picture]);
    // What runs across is no slot of a slide's own.
    expect(Object.keys(shown.slides![1]!.message)).not.to.include("across-a");
  });

  it("have what runs through them at the same spot to the pixel, and every word beside it", async () => {
    const sources = await demoSources();
    const made = strip();
    for (const id of ["photo-feed-tall", "photo-feed-square", "story"]) {
      const spots = new Map<string, Set<string>>();
      for (let index = 0; index < 4; index++) {
        const own = slideOf(made, index);
        const { layout } = makeScene(own, brand, placementById(id), sources);
        const words = Object.keys(own.message).filter((slot) => "text" in own.message[slot]!);
        const shown = layout.placed.flatMap(({ node }) => node.slot ?? []);
        expect(shown, `${id} ${index}`).to.include.members(words);
        const runs = layout.placed.filter(({ node }) => node.strip === "running");
        const others = layout.placed.filter(({ node, text }) => text && !node.strip);
        for (const { node, box: at } of runs) {
          const edge = node.pin?.h === "right" ? right(at) : at.x;
          const line = node.pin?.v === "top" ? at.y : bottom(at);
          const known = spots.get(node.id) ?? new Set();
          spots.set(node.id, known.add(`${edge.toFixed(3)} ${line.toFixed(3)}`));
          for (const other of others)
            expect(overlaps(at, other.box), `${id} ${index}`).to.equal(false);
        }
        const kinds = runs.map(({ node }) => node.role).sort();
        expect(kinds, `${id} ${index}`).to.deep.equal(
          index === 0
            ? ["handle", "swipe-cue"]
            : index === 3
              ? ["handle", "page-mark"]
              : ["handle", "page-mark", "swipe-cue"],
        );
      }
      for (const [kind, found] of spots) expect([...found], `${id} ${kind}`).to.have.lengthOf(1);
    }
  });

  it("keeps for each slide by itself what a person called fine there", () => {
    const { piece } = withOutline(asStrip(post), readOutline(OUTLINE), names);
    const second = { ...slideOf(piece, 1), fine: ["story low-resolution picture"] };
    const strip = withSlide(piece, 1, second);
    expect(slideOf(strip, 1).fine).to.deep.equal(second.fine);
    expect(slideOf(strip, 2).fine).to.equal(undefined);
    expect(strip.fine).to.deep.equal(post.fine);
    expect(slideOf(withSlideMoved(strip, 1, 0), 0).fine).to.deep.equal(second.fine);
    expect(
      slideOf(
        withEachSlide(strip, (slide) => ({ ...slide, fine: [] })),
        2,
      ).fine,
    ).to.deep.equal([]);
  });
});
