import { expect } from "chai";
import { demoPiece } from "../../tests/support/demo";
import {
  applyEdit,
  copyPiece,
  Edit,
  Framing,
  freeTitle,
  invertEdit,
  joinEdits,
  Piece,
  onBrand,
  valueNow,
} from "./index";

const piece = demoPiece("quillmere", "opening-announcement");
const picture = valueNow(piece, { kind: "picture", slot: "picture" } as Edit) as {
  picture: string;
};
const other = "a".repeat(64);

const edits: Edit[] = [
  { kind: "text", slot: "headline", to: "Boats", was: "Boats at rest" },
  {
    kind: "picture",
    slot: "picture",
    to: {
      picture: other,
      areas: [{ kind: "thing", x: 0.1, y: 0.2, width: 0.2, height: 0.3, weight: 1 }],
    },
    was: picture,
  },
  {
    kind: "wordings",
    slot: "headline",
    to: { text: "Boats", alternatives: ["Boats at rest", "At rest"] },
    was: { text: "Boats at rest", alternatives: [] },
  },
  {
    kind: "picture-style",
    node: "photo",
    to: { framing: Framing.parse({ zoom: 1.4, panX: 0.2 }), adjust: { warmth: 0.3 } },
    was: {},
  },
  {
    kind: "picture-style",
    node: "photo",
    placement: "story",
    to: { framing: Framing.parse({ zoom: 2 }) },
    was: {},
  },
  { kind: "varies", slot: "headline", to: true, was: false },
  { kind: "title", to: "Opening", was: piece.title },
  {
    kind: "dress",
    to: { brand: "saltlight", spread: { backdrop: "deep" } },
    was: { brand: piece.brand, spread: piece.spread },
  },
  {
    kind: "sizes",
    to: [piece.lead, "poster-a3"].map((placement) => ({ placement, changes: {} })),
    was: piece.sizes,
  },
  {
    kind: "lead",
    to: {
      lead: "story",
      frame: { width: 1080, height: 1920 },
      arrangement: piece.arrangement.slice(1),
      sizes: piece.sizes,
    },
    was: { lead: piece.lead, arrangement: piece.arrangement, sizes: piece.sizes },
  },
  {
    kind: "lead",
    to: { lead: "story", arrangement: [], sizes: piece.sizes, spread: { backdrop: "sun" } },
    was: {
      lead: piece.lead,
      arrangement: piece.arrangement,
      sizes: piece.sizes,
      spread: piece.spread,
    },
  },
  { kind: "without", to: ["logo"], was: [] },
  { kind: "language", to: "de", was: piece.language ?? null },
  {
    kind: "local",
    placement: piece.lead,
    to: { layout: "picture above, stack", changes: { headline: { hidden: true } } },
    was: { changes: {} },
  },
];

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

describe("edits", () => {
  it("are taken back exactly by their inverse, each kind of them", () => {
    for (const edit of edits) {
      const changed = applyEdit(piece, edit);
      expect(plain(valueNow(piece, edit)), edit.kind).to.deep.equal(plain(edit.was));
      expect(plain(valueNow(changed, edit)), edit.kind).to.deep.equal(plain(edit.to));
      expect(plain(applyEdit(changed, invertEdit(edit))), edit.kind).to.deep.equal(plain(piece));
      expect(Piece.safeParse(plain(changed)).success, edit.kind).to.equal(true);
    }
  });

  it("refuse a slot that is not there, and to lose the lead size", () => {
    expect(() => applyEdit(piece, { kind: "text", slot: "price", to: "1", was: "" })).to.throw(
      "no slot “price”",
    );
    const story = { placement: "story", changes: {} };
    expect(() => applyEdit(piece, { kind: "sizes", to: [story], was: [] })).to.throw("lead size");
  });

  it("join while the same words are typed", () => {
    const [a, b]: Edit[] = [
      { kind: "text", slot: "headline", to: "B", was: "" },
      { kind: "text", slot: "headline", to: "Bo", was: "B" },
    ];
    expect(joinEdits(a!, b!)).to.deep.equal({ kind: "text", slot: "headline", to: "Bo", was: "" });
    expect(joinEdits(a!, { ...b!, slot: "support" } as Edit)).to.equal(undefined);
  });
});

describe("a piece", () => {
  const broken = (change: object) => Piece.safeParse({ ...piece, ...change });
  const [first, second] = piece.arrangement;

  it("refuses nodes that sit on themselves, on nothing, or share a name", () => {
    const cycle = [
      { ...first!, on: second!.id },
      { ...second!, on: first!.id },
    ];
    expect(broken({ arrangement: cycle }).error?.message).to.contain("would sit on itself");
    expect(broken({ arrangement: [{ ...first!, on: "moon" }] }).error?.message).to.contain(
      "no node “moon”",
    );
    expect(broken({ arrangement: [first, first] }).error?.message).to.contain("two nodes");
  });

  it("is copied without touching the one it came from", () => {
    const copy = copyPiece(piece, "new", "Copy");
    copy.message.headline = { text: "changed" };
    expect(piece.message.headline).to.deep.equal({ text: "Boats at rest" });
  });

  it("gets a title that is free", () => {
    expect(freeTitle("Opening", [])).to.equal("Opening");
    expect(freeTitle("Opening", ["Opening", "Opening 2"])).to.equal("Opening 3");
    expect(freeTitle("Opening 2", ["Opening", "Opening 2"])).to.equal("Opening 3");
  });

  it("put a raw colour or face on brand everywhere, and back", () => {
    const raw: Piece = {
      ...piece,
      arrangement: piece.arrangement.map((node, i) =>
        i === 0
          ? {
              ...node,
              style: {
                colour: "#C0FFEE",
                type: "anton",
                shadow: { colour: "#c0ffee", x: 0, y: 1, blur: 0, opacity: 1 },
              },
            }
          : node,
      ),
      sizes: [{ placement: piece.lead, changes: { n: { style: { colour: "#C0FFEE" } } } }],
    };
    const was = { arrangement: raw.arrangement, sizes: raw.sizes };
    const edit = { kind: "looks", to: onBrand(was, "#C0FFEE", "primary"), was } as const;
    const after = applyEdit(raw, Edit.parse(edit));
    expect(JSON.stringify(after).toLowerCase()).to.not.contain("c0ffee");
    expect(after.arrangement[0]!.style.shadow!.colour).to.equal("primary");
    expect(after.sizes[0]!.changes.n!.style!.colour).to.equal("primary");
    expect(applyEdit(after, invertEdit(edit))).to.deep.equal(raw);
    expect(onBrand(was, "anton", undefined).arrangement[0]!.style.type).to.equal(undefined);
  });
});
