import { expect } from "chai";
import fc from "fast-check";
import { demoBrand, demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import type { Piece } from "../piece";
import { placementById } from "../placements";
import { check } from "../preflight";
import type { Layout } from "../refit";
import type { Sources } from "../resolve";
import { carousels } from "../shipped";
import { slideOf } from "../strip";
import { pieceOf } from "../templates";
import type { SetText } from "../type";
import { classesOf, classOf, compose, layoutAlike } from "./index";

const WORDS =
  "boats rest harbour still water gulls over the slipway morning light and salt nets dry in slow wind until evening tide returns".split(
    " ",
  );

/** Headlines of 8 to 60 letters, all different. */
const HEADLINES = Array.from({ length: 200 }, (_, i) => {
  const wanted = 8 + ((i * 37) % 53);
  const words: string[] = [];
  for (let at = i; words.join(" ").length < wanted; at += 1 + (i % 3))
    words.push(WORDS[at % WORDS.length]!);
  const text = words.join(" ").slice(0, Math.max(8, wanted)).trim();
  return text.charAt(0).toUpperCase() + text.slice(1);
});

const PLACES = [
  "photo-feed-tall",
  "story",
  "photo-feed-square",
  "community-link",
  "ad-medium-rectangle",
  "ad-leaderboard",
];

const textOf = ({ shaped }: SetText["lines"][number]): string => shaped.text.trim();

describe("variations that are laid out alike", () => {
  let sources: Sources;
  before(async () => (sources = await demoSources()));

  for (const id of ["opening-announcement", "late-opening"])
    it(`of ${id} have at most three layouts and three sizes of type on a placement, and hardly one stands by itself`, () => {
      const { piece, brand } = demoPieces().find((one) => one.piece.id === id)!;
      const saying = (text: string): Piece => ({
        ...piece,
        message: { ...piece.message, headline: { text } },
      });
      const messages = HEADLINES.map((text) => saying(text).message);
      const classes = classesOf(messages);
      expect(classes).to.have.lengthOf(3);
      for (const place of PLACES) {
        const placement = placementById(place);
        const compositions = classes.map((one) => compose(piece, one, brand, placement, sources));
        const seen = new Map<string, number>();
        const sizes = new Set<number>();
        const crops = new Set<string>();
        let apart = 0;
        for (const text of HEADLINES) {
          const own = saying(text);
          const at = classes.indexOf(classOf(own.message, classes)!);
          const layout = layoutAlike(own, compositions[at]!, brand, placement, sources);
          if (!layout) {
            apart++;
            continue;
          }
          expect(
            check(layout).filter(({ level }) => level === "must-fix"),
            `${place} ${text}`,
          ).to.deep.equal([]);
          const headline = layout.placed.find(({ node }) => node.slot === "headline")!;
          sizes.add(Math.round(headline.text!.set.size * 10));
          for (const { node, box, crop } of layout.placed)
            if (node.type === "picture") crops.add(JSON.stringify([node.id, box, crop]));
          seen.set(String(at), (seen.get(String(at)) ?? 0) + 1);
        }
        expect(sizes.size, place).to.be.at.most(3);
        expect(seen.size, place).to.be.at.most(3);
        expect(crops.size, place).to.be.at.most(3);
        expect(apart, place).to.be.at.most(0.05 * HEADLINES.length);
      }
    }).timeout(120_000);

  for (const [kind, says] of Object.entries({
    "headlines with a number": (i: number) =>
      `${["Boats at rest", "Still water, early", "What the tide leaves behind", "Harbour light"][i % 4]} ${i}`,
    "German headlines with a price": (i: number) =>
      `${["Frühbucherkarte", "Familientag im Museum", "Abendführung"][i % 3]} ab ${7 + i},50 €`,
  }))
    it(`stand together as ${kind}, on every size of a piece, on as many lines`, () => {
      const { piece, brand } = demoPieces().find(
        ({ piece: { id } }) => id === "opening-announcement",
      )!;
      const pieces = Array.from({ length: 48 }, (_, i): Piece => {
        return { ...piece, message: { ...piece.message, headline: { text: says(i) } } };
      });
      const classes = classesOf(pieces.map(({ message }) => message));
      const torn: string[] = [];
      for (const { placement: place } of piece.sizes) {
        const placement = placementById(place);
        const compositions = classes.map((one) => compose(piece, one, brand, placement, sources));
        const lines = new Map<string, Set<number>>();
        const apart = pieces.filter((own) => {
          const at = classes.indexOf(classOf(own.message, classes)!);
          const layout = layoutAlike(own, compositions[at]!, brand, placement, sources);
          const headline = layout?.placed.find(({ node }) => node.slot === "headline")?.text?.set;
          const wording = `${at} ${headline?.lines
            .map(textOf)
            .join(" ")
            .replace(/[\d,]+/g, "0")}`;
          if (headline)
            lines.set(wording, (lines.get(wording) ?? new Set()).add(headline.lines.length));
          return !layout;
        });
        expect(
          apart.map(({ message }) => message.headline),
          place,
        ).to.have.lengthOf.at.most(2);
        for (const [wording, { size }] of lines) if (size > 1) torn.push(`${place} ${wording}`);
      }
      // Those that differ by a number are broken into as many lines, but where it makes a word too wide for a narrow column.
      const narrow = ["pinboard-tall", "ad-wide-skyscraper"];
      expect(torn.filter((one) => !narrow.some((place) => one.startsWith(place)))).to.deep.equal(
        [],
      );
    }).timeout(60_000);

  it("of a slide keep what runs through the strip where it is, and have their words in one size", () => {
    const brand = demoBrand("saltlight");
    const said = [...HEADLINES.slice(0, 6), ...HEADLINES.slice(40, 43)];
    for (const template of carousels.slice(0, 4)) {
      const strip = pieceOf(template, brand, { id: "strip", title: "A", words: {}, pictures: [] });
      for (const place of ["photo-feed-tall", "story"]) {
        const placement = placementById(place);
        const slide = slideOf(strip, 2);
        const pieces = said.map((text): Piece => {
          return { ...slide, message: { ...slide.message, headline: { text } } };
        });
        const classes = classesOf(pieces.map(({ message }) => message));
        const made = classes.map((one) => compose(slide, one, brand, placement, sources));
        const sizes = new Set<string>();
        for (const piece of pieces) {
          const at = classes.indexOf(classOf(piece.message, classes)!);
          const layout = layoutAlike(piece, made[at]!, brand, placement, sources);
          if (!layout) continue;
          const alone = makeScene(piece, brand, placement, sources).layout;
          expect(runningIn(layout), `${template.id} ${place}`).to.deep.equal(runningIn(alone));
          const headline = layout.placed.find(({ node }) => node.slot === "headline")!;
          sizes.add(headline.text!.set.size.toFixed(1));
        }
        expect(sizes.size, `${template.id} ${place}`).to.be.within(1, classes.length);
      }
    }
  }).timeout(60_000);

  it("are not all small for one that has a long word; that one stands by itself", () => {
    const { piece, brand } = demoPieces().find(
      ({ piece: { id } }) => id === "opening-announcement",
    )!;
    const texts = ["Spring supper at the loft", "Drachenbootrennen vor Ort", "The sleeping boats"];
    const pieces = texts.map((text): Piece => {
      return { ...piece, message: { ...piece.message, headline: { text } } };
    });
    const [own, ...more] = classesOf(pieces.map(({ message }) => message));
    expect(more).to.deep.equal([]);
    const lead = placementById(piece.lead)!;
    const composition = compose(piece, own!, brand, lead, sources);
    const sizes = pieces.map((one) =>
      layoutAlike(one, composition, brand, lead, sources)
        ?.placed.find(({ node }) => node.slot === "headline")!
        .text!.set.size.toFixed(1),
    );
    expect(sizes[1]).to.equal(undefined);
    expect(sizes[0]).to.equal(sizes[2]);
    const alone = makeScene(pieces[1]!, brand, lead, sources).layout;
    const small = alone.placed.find(({ node }) => node.slot === "headline")!.text!.set.size;
    expect(Number(sizes[0])).to.be.greaterThan(1.4 * small);
  });

  it("are of one class where they differ by a number", () => {
    const messages = ["3", "10", "1,200.50"].flatMap((n) =>
      ["Boats at rest", "Low tide, no hurry", "What the tide leaves behind", "Tea"].map(
        (words) => ({
          headline: { text: `${words} ${n}` },
        }),
      ),
    );
    const classes = classesOf(messages);
    expect(classes.length).to.be.greaterThan(1);
    const taken = messages.map((message) => classes.indexOf(classOf(message, classes)!));
    expect(taken.slice(0, 4)).to.deep.equal(taken.slice(4, 8)).and.to.deep.equal(taken.slice(8));
    // The composition has room for the longest of them.
    expect(classes[0]!.longest).to.deep.equal({
      headline: { text: "What the tide leaves behind 1,200.50" },
    });
  });

  it("are grouped by length so that they lose the least to the longest of their group", () => {
    const lengths = fc.array(fc.integer({ min: 1, max: 80 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(lengths, (all) => {
        const classes = classesOf(
          all.map((length) => ({ headline: { text: "n".repeat(length) } })),
        );
        const bounds = classes.map(({ most }) => most);
        expect(bounds).to.deep.equal([...bounds].sort((a, b) => b - a));
        expect(classes.length).to.be.within(1, 3);
        // Against all ways to part them into as many groups, one after another.
        const others = subsets([...new Set(all)], classes.length).filter((ends) =>
          ends.includes(Math.max(...all)),
        );
        const least = Math.min(...others.map((ends) => lossOf(all, ends)));
        expect(lossOf(all, bounds)).to.be.closeTo(least, 1e-9);
      }),
    );
    const of = (...all: number[]) =>
      classesOf(all.map((length) => ({ headline: { text: "n".repeat(length) } }))).map(
        ({ most }) => most,
      );
    expect(of(30, 31, 33, 40)).to.deep.equal([40]);
    // One that is much longer than the others is not the measure of them.
    expect(of(35, 37, 38, 66)).to.deep.equal([66, 38]);
    expect(of(5, 26, 35, 37, 66)).to.deep.equal([66, 37, 5]);
  });
});

/** Where what runs through a strip stands, to a hundredth of a pixel. */
const runningIn = ({ placed }: Layout) =>
  placed.flatMap(({ node, box: { x, y, width, height } }) =>
    node.strip ? [[node.id, ...[x, y, width, height].map((side) => side.toFixed(2))]] : [],
  );

/** What lengths lose to the next longer of `ends`, in logarithms. */
const lossOf = (lengths: readonly number[], ends: readonly number[]): number =>
  lengths.reduce(
    (sum, length) => sum + Math.log(Math.min(...ends.filter((end) => end >= length)) / length),
    0,
  );

function subsets(from: readonly number[], size: number): number[][] {
  if (size === 0) return [[]];
  return from.flatMap((one, at) =>
    subsets(from.slice(at + 1), size - 1).map((rest) => [one, ...rest]),
  );
}
