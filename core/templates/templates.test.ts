import { expect } from "chai";
import { sourcesFor } from "../../tests/support/case-sources";
import { demoBrand, demoPictures } from "../../tests/support/demo";
import type { Brand } from "../brand";
import type { Spread } from "../colour";
import { fitLead, fittedPiece, makeScene } from "../engine";
import { makeBrand } from "../kit";
import { inOrder, offer } from "../offers";
import { isText } from "../piece";
import { catalogue, placementById, type Placement } from "../placements";
import { check } from "../preflight";
import type { Sources } from "../resolve";
import { shippedTemplates } from "../shipped";
import {
  arrangedAs,
  inLook,
  lookAt,
  pieceOf,
  pictureSlots,
  spreadFor,
  type Template,
  whatChanged,
} from "./index";

const PICTURES = demoPictures();

const testBrand = (id: string, colours: [name: string, hex: string, role: string][]): Brand =>
  makeBrand(
    id,
    {
      name: id,
      colours: colours.map(([name, hex, role]) => ({ name, hex, role }) as never),
      headline: { shelf: "vollkorn" },
      text: { shelf: "alegreya-sans" },
    },
    undefined,
  )!;

/** The demo's brands, one in black and white, and one with three loud colours. */
const BRANDS = [
  demoBrand("quillmere"),
  demoBrand("saltlight"),
  testBrand("plain", [
    ["Black", "#000000", "primary"],
    ["White", "#FFFFFF", "paper"],
  ]),
  testBrand("loud", [
    ["Magenta", "#E6007E", "primary"],
    ["Yellow", "#FFE600", "accent"],
    ["Green", "#00A651", "secondary"],
  ]),
];

/** Other words in every slot that a template has: a word or two, or twice as many as the sample. */
function otherWords({ design }: Template, length: "short" | "long"): Record<string, string> {
  return Object.fromEntries(
    Object.entries(design.message).flatMap(([slot, filling]) => {
      if (!isText(filling)) return [];
      const { text } = filling;
      const [first = "Now"] = text.split(/\s+/);
      const long = text.length < 8 ? text : `${text} and ${text.toLowerCase()}`;
      return [[slot, length === "short" ? first : long]];
    }),
  );
}

const piece = (
  template: Template,
  brand: Brand,
  words: Record<string, string> = {},
  pictures = PICTURES,
) =>
  pieceOf(template, brand, {
    id: template.id,
    title: template.name,
    words,
    pictures: pictures.slice(0, pictureSlots(template).length),
  });

/** One placement of each shape; the sample of each template is held against all of them. */
const SHAPES = [
  "story",
  "photo-feed-tall",
  "photo-feed-square",
  "community-link",
  "pinboard-tall",
  "microblog-header",
  "ad-medium-rectangle",
  "ad-leaderboard",
  "ad-wide-skyscraper",
].map(placementById);

/** A profile picture is no place for a message. */
const PLACES = catalogue.placements.filter(({ use }) => use !== "profile");

describe("the templates", () => {
  let sources: Sources;
  before(async () => {
    const entries = BRANDS.flatMap((brand) =>
      shippedTemplates.map((template) => ({ piece: piece(template, brand), brand })),
    );
    sources = await sourcesFor(entries);
  });

  it("are many, for every purpose and look, in every kind", () => {
    expect(shippedTemplates.length).to.be.at.least(36);
    expect(new Set(shippedTemplates.map(({ id }) => id)).size).to.equal(shippedTemplates.length);
    const all = (of: (template: Template) => readonly string[]) =>
      new Set(shippedTemplates.flatMap(of));
    expect(all(({ purposes }) => purposes).size).to.equal(18);
    expect(all(({ looks }) => looks).size).to.equal(12);
    expect([...all(({ design }) => [design.kind])].sort()).to.deep.equal([
      "ad",
      "carousel",
      "post",
      "story",
    ]);
    expect(Math.max(...shippedTemplates.map((one) => pictureSlots(one).length))).to.equal(5);
  });

  function brokenIn(
    template: Template,
    brand: Brand,
    words: Record<string, string>,
    pictures: string[],
    placements: readonly Placement[],
    spread?: Spread,
  ): string[] {
    const plain = piece(template, brand, words, pictures);
    const first = spread ? { ...plain, spread } : plain;
    const lead = placementById(template.design.lead);
    const fitted = fittedPiece(first, brand, lead, sources);
    return [lead, ...placements].flatMap((placement) => {
      const { layout } = makeScene(fitted, brand, placement, sources);
      return check(layout)
        .filter(({ level }) => level === "must-fix")
        .map(({ code, node }) => `${template.id} ${brand.id} ${placement.id} ${code} ${node}`);
    });
  }

  for (const brand of BRANDS.slice(0, 2)) {
    it(`stand in ${brand.id} as they were composed`, () => {
      const found = shippedTemplates.flatMap((template) => {
        const lead = placementById(template.design.lead);
        const { layout } = makeScene(piece(template, brand), brand, lead, sources);
        // Whether words lie on a subject is up to the picture that is put in.
        const broken = check(layout).filter(
          ({ level, code }) => level === "must-fix" && code !== "subject-covered",
        );
        return broken.map(({ code, node }) => `${template.id} ${code} ${node}`);
      });
      expect(found).to.deep.equal([]);
    });
  }

  it("keep what they are in other shapes: a card, a tail, a sun at the foot", () => {
    const shown = (id: string, placement: string) => {
      const template = shippedTemplates.find((one) => one.id === id)!;
      const { layout } = makeScene(
        piece(template, BRANDS[0]!),
        BRANDS[0]!,
        placementById(placement),
        sources,
      );
      return layout.placed;
    };
    for (const place of ["story", "community-link", "photo-feed-tall"]) {
      const asked = shown("one-question", place);
      const plate = asked.find(({ node }) => node.role === "plate")!;
      const words = asked.find(({ node }) => node.role === "headline")!;
      const tip = plate.box.y + plate.box.height;
      expect(plate.box.x, place).to.be.above(0);
      // The tail takes the lowest 18 % of the shape.
      expect(words.box.y + words.box.height).to.be.below(tip - 0.18 * plate.box.height);
      const sun = shown("sunrise", place).find(({ node }) => node.role === "ornament")!;
      expect(sun.box.width / sun.box.height, place).to.be.closeTo(1, 0.001);
      expect(shown("calendar-leaf", place).some(({ node }) => node.role === "badge")).to.equal(
        true,
      );
    }
  });

  /**
   * Each brand has its turn with every template, and with every other place: all of them with all would be eight times as
   * many, and a rule is seldom broken by three things at once that no two of them break.
   */
  const inTurn = (brand: number, template: number) => (_: unknown, place: number) =>
    (template + place) % (2 * BRANDS.length) === 2 * brand;

  BRANDS.forEach((brand, turn) => {
    it(`break no rule in ${brand.id}, in any placement`, () => {
      const found = shippedTemplates.flatMap((template, index) =>
        brokenIn(template, brand, {}, PICTURES, PLACES.filter(inTurn(turn, index))),
      );
      expect(found).to.deep.equal([]);
    });

    it(`break no rule in ${brand.id} with few words or many, with and without pictures`, () => {
      const ways = (["short", "long"] as const).flatMap((length) =>
        [PICTURES, []].map((pictures) => ({ length, pictures })),
      );
      const found = shippedTemplates.flatMap((template, index) =>
        ways.flatMap(({ length, pictures }, way) => {
          const shapes = SHAPES.filter(inTurn(turn, index + way));
          return brokenIn(template, brand, otherWords(template, length), pictures, shapes);
        }),
      );
      expect(found).to.deep.equal([]);
    });
  });

  for (const brand of BRANDS.slice(0, 2)) {
    it(`break no rule in ${brand.id} on a dark ground or a light one`, () => {
      const found = (["dark", "light"] as const).flatMap((mood, turn) =>
        shippedTemplates.flatMap((template, index) => {
          const shapes = SHAPES.filter((_, place) => (index + place) % 4 === turn);
          return brokenIn(template, brand, {}, PICTURES, shapes, spreadFor(brand, mood));
        }),
      );
      expect(found).to.deep.equal([]);
    });
  }

  it("are told apart by what a message has", () => {
    const brand = BRANDS[0]!;
    const first = (words: Record<string, string>, pictures: string[] = []) =>
      inOrder(
        shippedTemplates.map((template) => {
          // As a message has them, also those that a template has no frame for.
          const wanted = { id: template.id, title: template.name, words, pictures };
          const unfitted = pieceOf(template, brand, wanted);
          const made = fitLead(unfitted, brand, placementById(unfitted.lead), sources);
          return { id: template.id, ...offer(template, made, brand, sources) };
        }),
      )
        .slice(0, 3)
        .map(({ id }) => shippedTemplates.find((one) => one.id === id)!);
    const slotsOf = (all: Template[]) => all.map(({ design }) => Object.keys(design.message));
    const one = PICTURES.slice(0, 1);
    const lunch = { headline: "Lunch", price: "€ 12", support: "All week" };
    expect(slotsOf(first(lunch, one)).flat()).to.include("price");
    const list = { headline: "Pack light", list: "- A\n- B\n- C\n- D\n- E" };
    expect(slotsOf(first(list)).filter((slots) => slots.includes("list"))).to.have.length.above(1);
    const quote = { quote: "“I stayed for the autumn.”", author: "Ida" };
    expect(slotsOf(first(quote)).flat()).to.include("quote");
    const figure = { figure: "73 %", headline: "of our guests come back within a year" };
    expect(slotsOf(first(figure)).flat()).to.include("figure");
    const three = first({ headline: "What a summer" }, PICTURES.slice(0, 3));
    expect(three.map((template) => pictureSlots(template).length)).to.include(3);
  });

  it("arrange a piece otherwise and leave its message as it is", () => {
    const brand = BRANDS[0]!;
    const quote = shippedTemplates.find(({ id }) => id === "said-aloud")!;
    const before = piece(
      shippedTemplates.find(({ id }) => id === "half-and-half")!,
      brand,
    );
    const after = arrangedAs(before, quote);
    expect(after.message).to.deep.equal(before.message);
    expect(after.lead).to.equal(quote.design.lead);
    // What the quote's place shows is now the headline.
    expect(after.arrangement.find(({ role }) => role === "quote")?.slot).to.equal("headline");
    const { layout } = makeScene(after, brand, placementById("story"), sources);
    expect(layout.placed.some(({ node }) => node.role === "quote")).to.equal(true);
    expect(after.sizes.map(({ placement }) => placement)).to.include.members(
      before.sizes.map(({ placement }) => placement),
    );
  });

  it("are walked through in other colours and typefaces, and it is said what changed", () => {
    const brand = BRANDS[0]!;
    const before = piece(
      shippedTemplates.find(({ id }) => id === "half-and-half")!,
      brand,
    );
    const seen = new Set<string>();
    for (let round = 0; round < 4; round++)
      shippedTemplates.forEach((template, index) =>
        seen.add(JSON.stringify(lookAt(template, brand, index, round))),
      );
    expect(seen.size).to.equal(4 * shippedTemplates.length);
    const ticket = shippedTemplates.find(({ id }) => id === "ticket")!;
    const look = { template: "ticket", spread: { ...before.spread, backdrop: "sun" } };
    const after = inLook(before, ticket, { ...look, pairing: "capitals" }, brand);
    const headline = after.arrangement.find(({ role }) => role === "headline");
    expect(headline?.style.case).to.equal("upper");
    expect(whatChanged(before, after, brand)).to.deep.equal(["ground Sun", "no picture"]);
    expect(whatChanged(before, before, brand)).to.deep.equal([]);
  });

  it("break no rule in any look that a message is taken through", () => {
    const words = {
      headline: "A winter of small boats",
      support: "Models made by keepers of lighthouses",
      date: "Saturday 5 December, 10:00",
      "call-to-action": "Come and look",
    };
    BRANDS.forEach((brand, turn) => {
      const from = piece(shippedTemplates[0]!, brand, words);
      const broken = [1, 2, 5].flatMap((round) =>
        shippedTemplates.flatMap((template, index) => {
          if (!inTurn(turn, round)(template, index)) return [];
          const look = lookAt(template, brand, index, round);
          const lead = placementById(template.design.lead);
          const { layout } = fitLead(inLook(from, template, look, brand), brand, lead, sources);
          return check(layout)
            .filter(({ level }) => level === "must-fix")
            .map(({ code, node }) => `${JSON.stringify(look)} ${code} ${node}`);
        }),
      );
      expect(broken, brand.id).to.deep.equal([]);
    });
  });

  it("lose no words: what has no place stays in the message", () => {
    const words = { headline: "Open", price: "€ 9", site: "quillmere.example" };
    const template = shippedTemplates.find(({ id }) => id === "half-and-half")!;
    const { message } = piece(template, BRANDS[0]!, words);
    expect(message).to.deep.include({
      price: { text: "€ 9" },
      site: { text: "quillmere.example" },
    });
  });
});
