import { expect } from "chai";
import { sourcesFor } from "../../tests/support/case-sources";
import { demoBrand, demoPiece, demoPictures } from "../../tests/support/demo";
import { makeScene } from "../engine";
import { overlaps, right } from "../geometry";
import { messagePictures, type Running, type RunningKind } from "../piece";
import { placementById } from "../placements";
import { faceBox } from "../refit";
import { scenePictures } from "../scene";
import { asStrip, running, slideOf, withOutline, withRunning } from "./index";

const [face] = demoPictures();
const brand = { ...demoBrand("quillmere"), portrait: face! };
const names = { nameOf: (id: string) => id, idOf: () => undefined };
const outline = ["One", "Two", "Three"].map((word) => ({
  words: [["headline", `Slide ${word}`]] as [string, string][],
  pictures: [],
}));

function strip(change: Partial<Running> = {}) {
  const post = { ...demoPiece("quillmere", "opening-announcement"), slides: [] };
  const { piece } = withOutline(asStrip(post), outline, names);
  return { ...piece, running: [{ ...running("portrait"), ...change }] };
}

describe("a profile picture that runs through the slides", () => {
  const piece = strip();
  const sizes = ["photo-feed-tall", "photo-feed-square", "story"].map(placementById);
  const made = async (of = piece, kit: typeof brand = brand) => {
    const slides = [0, 1, 2].map((index) => slideOf(of, index));
    const sources = await sourcesFor(slides.map((slide) => ({ piece: slide, brand: kit })));
    return (index: number, size = sizes[0]!) => makeScene(slides[index]!, kit, size, sources);
  };

  it("stands with name and handle at the same spot on every slide, in a circle", async () => {
    const scene = await made();
    for (const size of sizes) {
      const spots = [0, 1, 2].map((index) => {
        const { layout, scene: drawn } = scene(index, size);
        const item = layout.placed.find(({ node }) => node.role === "portrait")!;
        expect(item.node).to.include({ text: `${brand.name}\n${brand.voice.handle}` });
        const picture = scenePictures(drawn).find(({ file, box }) => {
          return file === face && box.width < 0.2 * size.width;
        })!;
        expect(picture.box).to.deep.equal(faceBox(item.text!));
        // Beside the words and never under them, and round.
        expect(right(picture.box)).to.be.below(item.text!.ink.x);
        expect(picture.frame!.match(/C/g)).to.have.lengthOf(4);
        for (const other of layout.placed)
          if (other !== item && other.text)
            expect(overlaps(other.box, item.box), `${size.id} ${other.node.id}`).to.equal(false);
        return JSON.stringify([item.box, picture.box]);
      });
      expect(new Set(spots).size, size.id).to.equal(1);
    }
  });

  it("takes another name, and goes without a picture or a handle that the kit does not have", async () => {
    const textOf = (scene: Awaited<ReturnType<typeof made>>): string =>
      (
        scene(1).layout.placed.find(({ node }) => node.role === "portrait")!.node as {
          text: string;
        }
      ).text;
    expect(textOf(await made(strip({ text: "Ana, who hangs them" })))).to.equal(
      `Ana, who hangs them\n${brand.voice.handle}`,
    );
    const voice = { ...brand.voice, handle: "" };
    const bare = await made(piece, { ...brand, voice, portrait: undefined as never });
    expect(textOf(bare)).to.equal(brand.name);
    const shown = scenePictures(bare(1).scene).map(({ file }) => file);
    expect(shown).to.not.include.members(
      [face!].filter((id) => !messagePictures(piece.message).includes(id)),
    );
  });

  it("is left out of one slide, and of the last, where that is said", async () => {
    const scene = await made(strip({ last: false, without: ["first"] }));
    const has = (index: number) =>
      scene(index).layout.placed.some(({ node }) => node.role === "portrait");
    expect([0, 1, 2].map(has)).to.deep.equal([false, true, false]);
  });
});

describe("a page mark", () => {
  const marked = (form: "number" | "dots" | "bar", v: "top" | "bottom" = "bottom") => ({
    ...strip(),
    running: [{ ...running("page-mark"), form, first: true, pin: { v, h: "centre" as const } }],
  });
  const wordsOn = (of: ReturnType<typeof marked>, index: number) =>
    (slideOf(of, index).message["running-page-mark"] as { text: string } | undefined)?.text;

  it("counts in numbers or by a dot for each slide, and in numbers where those would be too many", () => {
    expect([0, 1, 2].map((at) => wordsOn(marked("number"), at))).to.deep.equal([
      "1/3",
      "2/3",
      "3/3",
    ]);
    expect([0, 1, 2].map((at) => wordsOn(marked("dots"), at))).to.deep.equal([
      "● ○ ○",
      "○ ● ○",
      "○ ○ ●",
    ]);
    const slides = Array.from({ length: 15 }, (_, at) => ({
      ...strip().slides![0]!,
      id: `s${at}`,
    }));
    expect(wordsOn({ ...marked("dots"), slides }, 0)).to.equal("1/16");
  });

  it("grows along its edge as a bar, whatever the size, and is whole at the end", async () => {
    for (const v of ["top", "bottom"] as const) {
      const piece = marked("bar", v);
      const slides = [0, 1, 2].map((index) => slideOf(piece, index));
      const sources = await sourcesFor(slides.map((slide) => ({ piece: slide, brand })));
      for (const size of ["photo-feed-tall", "story"].map(placementById)) {
        const bars = slides.map((slide) => {
          const { layout } = makeScene(slide, brand, size, sources);
          return layout.placed.find(({ node }) => node.id === "running-page-mark")!.box;
        });
        bars.forEach(({ x, width }, index) => {
          expect(x).to.equal(0);
          expect(width).to.be.closeTo(((index + 1) * size.width) / 3, 1e-6);
        });
        const edge = v === "top" ? bars[0]!.y : bars[0]!.y + bars[0]!.height;
        expect(edge).to.be.closeTo(v === "top" ? 0 : size.height, 1e-6);
      }
      // Where one slide stands alone there is nothing to count.
      const { layout } = makeScene(slides[0]!, brand, placementById("community-link"), sources);
      expect(layout.placed.some(({ node }) => node.id === "running-page-mark")).to.equal(false);
    }
  });
});

describe("what comes to run through the slides", () => {
  it("stands where it usually does, or where it meets nothing that runs already", () => {
    const spots = (items: Running[]) => items.map(({ kind, pin }) => `${kind} ${pin.v} ${pin.h}`);
    const at = (kind: RunningKind, v: "top" | "bottom", h: "left" | "centre" | "right") => ({
      ...running(kind),
      pin: { v, h },
    });
    expect(spots(withRunning([], "portrait"))).to.deep.equal(["portrait bottom left"]);
    // A mark in the middle of the foot leaves a wide name no room there.
    const marked = [at("page-mark", "bottom", "centre")];
    expect(spots(withRunning(marked, "portrait"))[1]).to.equal("portrait top left");
    const cued = [...marked, at("swipe-cue", "bottom", "right"), at("logo", "top", "left")];
    expect(spots(withRunning(cued, "portrait")).at(-1)).to.equal("portrait top right");
    // What is short stands beside another in the same row.
    expect(spots(withRunning([at("handle", "bottom", "left")], "swipe-cue")).at(-1)).to.equal(
      "swipe-cue bottom right",
    );
  });
});

describe("a slide that stands alone where no row of slides is shown", () => {
  it("has nothing that runs through the others or leads to them, and the brand's logo again", async () => {
    const piece = slideOf(
      { ...strip(), running: (["portrait", "page-mark", "swipe-cue"] as const).map(running) },
      0,
    );
    const sources = await sourcesFor([{ piece, brand }]);
    for (const id of ["community-link", "ad-leaderboard", "photo-feed-tall"]) {
      const { layout } = makeScene(piece, brand, placementById(id), sources);
      const roles = layout.placed.map(({ node }) => node.role);
      const isAlone = id !== "photo-feed-tall";
      // A banner has not always room for it.
      if (id !== "ad-leaderboard") expect(roles.includes("logo"), id).to.equal(isAlone);
      expect(roles.includes("portrait"), id).to.equal(!isAlone);
      expect(roles.includes("swipe-cue"), id).to.equal(!isAlone);
      const words = layout.placed.flatMap(({ node }) => ("text" in node ? [node.text] : []));
      expect(
        words.some((text) => text.includes("Swipe")),
        id,
      ).to.equal(!isAlone);
    }
  });
});
