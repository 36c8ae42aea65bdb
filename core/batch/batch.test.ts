import { expect } from "chai";
import fc from "fast-check";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import {
  applyVariation,
  combine,
  countVariations,
  Namer,
  readTable,
  tableOfAlternatives,
  unequal,
  variationName,
  type Combining,
  type Condition,
  type Variation,
} from "./index";

const piece = demoPiece("quillmere", "opening-announcement");
const demoSpreads = [{ backdrop: "paper" }, { backdrop: "tide" }, { backdrop: "slate" }];
const pictures = [{ id: "a".repeat(64), name: "harbour.jpg" }];

const cell = fc.constantFrom("", "Boats", "Harbour", "Still water");
const combining: fc.Arbitrary<Combining> = fc
  .record({
    rows: fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 6 }),
    ids: fc.uniqueArray(fc.constantFrom("p1", "p2", "p3")),
    spreads: fc.subarray(demoSpreads),
    pairing: fc.constantFrom("in-step" as const, "every-mix" as const, "together" as const),
    groups: fc.constantFrom([], [["headline", "picture"]], [["headline", "spread"], ["support"]]),
    sample: fc.constantFrom("all" as const, "pairs" as const),
    never: fc.array(
      fc.constantFrom<Condition[]>(
        { headline: "Boats", picture: "p1" },
        { spread: "1" },
        { support: "Harbour", spread: "2", picture: "p2" },
        { price: "12" },
      ),
      { maxLength: 2 },
    ),
  })
  .map(({ rows, ids, ...rest }) => ({
    lists: readTable({ columns: ["headline", "support"], rows }, piece, []),
    pictures: ids.length > 0 ? { slot: "picture", ids } : undefined,
    ...rest,
  }));

describe("kept alternatives", () => {
  it("become a table, and every mix of them is made", () => {
    const { message } = piece;
    const kept = (slot: string, alternatives: string[]) => ({
      [slot]: { ...(message[slot] as { text: string }), alternatives },
    });
    const many = {
      ...piece,
      message: {
        ...message,
        ...kept("headline", ["Harbour days", "Still water"]),
        ...kept("support", ["Free for members"]),
      },
    };
    const table = tableOfAlternatives(many);
    expect(table.columns).to.deep.equal(["headline", "support"]);
    expect(table.rows.map(([headline]) => headline)).to.deep.equal([
      "Boats at rest",
      "Harbour days",
      "Still water",
    ]);
    const lists = readTable(table, many, []);
    expect(countVariations({ lists, pictures: undefined, pairing: "every-mix" })).to.equal(3 * 2);
    expect(tableOfAlternatives(piece)).to.deep.equal({ columns: [], rows: [] });
  });
});

describe("combining", () => {
  it("makes as many as it has counted", () => {
    fc.assert(
      fc.property(combining, (request) => {
        expect([...combine(request)]).to.have.lengthOf(countVariations(request));
      }),
    );
  });

  it("makes no mix twice, and none that is never to be", () => {
    const meets = ({ message, spread }: Variation, condition: Condition): boolean =>
      Object.entries(condition).every(([column, key]) => {
        const value = message[column];
        if (column === "spread") return spread === demoSpreads[Number(key) - 1];
        return value && ("text" in value ? value.text : value.picture) === key;
      });
    fc.assert(
      fc.property(combining, (given) => {
        // Spreads are named by their place in what was asked for.
        const request = { ...given, spreads: demoSpreads };
        for (const variation of combine(request))
          expect((request.never ?? []).some((condition) => meets(variation, condition))).to.equal(
            false,
          );
        if (request.pairing === "in-step") return;
        const made = [...combine(request)].map((variation) => JSON.stringify(variation));
        expect(new Set(made).size).to.equal(made.length);
      }),
    );
  });

  it("pairs in step: the first row with the first picture, and round again", () => {
    const lists = readTable({ columns: ["Headline"], rows: [["A"], ["B"], ["C"]] }, piece, []);
    const made = [
      ...combine({ lists, pictures: { slot: "picture", ids: ["p", "q"] }, pairing: "in-step" }),
    ];
    expect(made.map(({ message }) => message.picture)).to.deep.equal([
      { picture: "p" },
      { picture: "q" },
      { picture: "p" },
    ]);
    expect(made.map(({ message }) => message.headline)).to.deep.equal([
      { text: "A" },
      { text: "B" },
      { text: "C" },
    ]);
  });

  it("keeps a headline with its picture and mixes both with every spread", () => {
    const rows = [["A"], ["B"], ["C"]];
    const request: Combining = {
      lists: readTable({ columns: ["headline"], rows }, piece, []),
      pictures: { slot: "picture", ids: ["p", "q"] },
      spreads: demoSpreads.slice(0, 2),
      pairing: "together",
      groups: [["headline", "picture"]],
    };
    const made = [...combine(request)].map(({ message, spread }) =>
      [...Object.values(message).flatMap(Object.values), spread!.backdrop].join(" "),
    );
    expect(made).to.deep.equal(
      ["A p", "B q", "C p"].flatMap((one) => [`${one} paper`, `${one} tide`]),
    );
    // What comes round again is said.
    expect(unequal(request)).to.deep.equal([{ shorter: "picture", has: 2, longer: 3 }]);
    expect(unequal({ ...request, pairing: "every-mix" })).to.deep.equal([]);
  });

  it("samples so that every value stands beside every value of another column", () => {
    const rows = Array.from({ length: 6 }, (_, i) => [`Headline ${i}`]);
    const request: Combining = {
      lists: readTable({ columns: ["headline"], rows }, piece, []),
      pictures: { slot: "picture", ids: ["p", "q", "r", "s"] },
      spreads: demoSpreads,
      pairing: "every-mix",
      sample: "pairs",
    };
    // No fewer than the two longest lists have pairs: 6 × 4 of all 72.
    expect(countVariations(request)).to.equal(24);
    expect([...combine(request)]).to.have.lengthOf(24);
  });

  it("puts a variation's words in place, and keeps the piece's own where a cell is empty", () => {
    const lists = readTable({ columns: ["headline", "support"], rows: [["New", ""]] }, piece, []);
    const [variation] = combine({ lists, pictures: undefined, pairing: "in-step" });
    const { message } = applyVariation(piece, variation!, {
      brand: demoBrand("quillmere"),
      templates: [],
    });
    expect(message.headline).to.deep.equal({ text: "New" });
    expect(message.support).to.deep.equal(piece.message.support);
  });
});

describe("readTable", () => {
  const codes = (columns: string[], rows: string[][]) =>
    readTable({ columns, rows }, piece, pictures).notes.map((note) => note.code);

  it("finds slots whatever the case, spaces and hyphens of the headings", () => {
    const lists = readTable(
      { columns: ["Call To Action", "HEADLINE"], rows: [["Go", "Hi"]] },
      piece,
      [],
    );
    expect(lists.columns).to.deep.equal(["call-to-action", "headline"]);
  });

  it("says what it does not use, and goes on", () => {
    expect(codes(["headline", "colour"], [["A", "red"]])).to.deep.equal(["unknown-column"]);
    expect(codes(["headline", "Headline"], [["A", "B"]])).to.deep.equal(["same-column"]);
    expect(codes(["headline"], [["A", "B"], []])).to.deep.equal(["ragged-row", "ragged-row"]);
    expect(codes(["headline"], [["x".repeat(5000)]])).to.deep.equal(["too-long"]);
    expect(codes(["picture"], [["moon.jpg"]])).to.deep.equal(["unknown-picture"]);
    expect(codes(["picture"], [["Harbour.JPG"]])).to.deep.equal([]);
  });

  it("refuses a table that can make nothing", () => {
    expect(() => codes(["headline"], [])).to.throw("no rows");
    expect(() => codes(["colour"], [["red"]])).to.throw("None of the columns");
  });
});

describe("names", () => {
  const parts = {
    crate: "Boats at Rest",
    piece: "Opening",
    placement: "story",
    variation: "v01",
    width: 1080,
    height: 1920,
  };

  it("follow the pattern and are safe", () => {
    expect(new Namer().name(parts, "png")).to.equal(
      "boats-at-rest_opening_story_v01_1080x1920.png",
    );
    expect(new Namer().name({ ...parts, variation: "" }, "png")).to.equal(
      "boats-at-rest_opening_story_1080x1920.png",
    );
  });

  it("never collide, are legal on every file system and short enough", () => {
    const text = fc.string({ unit: "grapheme", maxLength: 300 });
    fc.assert(
      fc.property(fc.array(fc.tuple(text, text), { minLength: 2, maxLength: 8 }), (titles) => {
        const namer = new Namer("{crate}{piece}");
        const names = titles.map(([crate, title]) =>
          namer.name({ ...parts, crate, piece: title }, "png"),
        );
        expect(new Set(names.map((name) => name.toLowerCase())).size).to.equal(names.length);
        for (const name of names) {
          expect(name).to.match(/^[^\\/:*?"<>|\s\p{C}]+\.png$/u);
          expect(name).not.to.match(/^(\.|con\.|nul\.|aux\.|prn\.)/i);
          expect(new TextEncoder().encode(name).length).to.be.at.most(200);
        }
      }),
    );
  });

  it("take a variation's values, and folders at a slash that no value can make", () => {
    const values = {
      headline: "../Boats / at rest, and a very long tail of words that nobody will want",
    };
    const name = (pattern: string) =>
      new Namer(pattern, ["headline"]).name({ ...parts, values }, "png");
    expect(name("{placement}/{variation}_{headline}")).to.equal(
      "story/v01_boats-at-rest-and-a-very-long-tail-of-word.png",
    );
    expect(name("/{headline}/../{variation}")).to.match(/^boats-[^/]*\/graphic\/v01\.png$/);
    expect(() => new Namer("{headline}")).to.throw("{headline}");
  });

  it("refuse a part that is not known", () => {
    expect(() => new Namer("{crate}_{client}")).to.throw("{client}");
  });

  it("number variations so that they sort as they were made", () => {
    const names = Array.from({ length: 120 }, (_, index) => variationName(index, 120));
    expect([...names].sort()).to.deep.equal(names);
  });
});
