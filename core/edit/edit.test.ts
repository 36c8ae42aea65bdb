import { expect } from "chai";
import { demoPiece, demoPieces } from "../../tests/support/demo";
import { otherwise } from "../../tests/support/random-piece";
import { randomFrom } from "../../tests/support/torture";
import { isPicture, onBrand, type Node, type Piece } from "../piece";
import { same } from "../same";
import {
  Address,
  applied,
  applyEdit,
  conflictsIn,
  Edit,
  editTo,
  fromOlderEdit,
  invertEdit,
  joinEdits,
  rebased,
  setting,
} from "./index";
import { nameOf } from "../wording/edits";

const piece = demoPiece("quillmere", "opening-announcement");
const headline: Address = ["message", "headline", "text"];

/** As it goes over the wire and into the database; the order of slots, nodes and sizes counts, that of fields does not. */
const plain = (value: Piece) => {
  const { message, ...rest } = JSON.parse(JSON.stringify(value)) as Piece;
  return { ...rest, message: Object.entries(message) };
};

describe("edits", () => {
  it("lead from any piece to any other, and back, in changes that each can be said", () => {
    const random = randomFrom(16);
    for (const { piece: start } of demoPieces())
      for (let round = 0; round < 250; round++) {
        let wanted = start;
        for (let more = 0; more < 4; more++) wanted = otherwise(wanted, random);
        const edit = editTo(start, wanted);
        if (!edit) expect(plain(wanted)).to.deep.equal(plain(start));
        else {
          const said = Edit.parse(JSON.parse(JSON.stringify(edit)));
          const after = applied(start, said);
          expect(plain(after)).to.deep.equal(plain(wanted));
          expect(plain(applyEdit(after, invertEdit(said)))).to.deep.equal(plain(start));
          expect(conflictsIn(start, said)).to.deep.equal([]);
        }
      }
  });

  it("are taken back one after another to the beginning, and made again to the end: 1 000 of them", () => {
    const random = randomFrom(1000);
    const done: Edit[] = [];
    let now = piece;
    while (done.length < 1000) {
      const edit = editTo(now, otherwise(now, random));
      if (!edit) continue;
      done.push(edit);
      now = applyEdit(now, edit);
    }
    const last = plain(now);
    for (const edit of done.toReversed()) now = applyEdit(now, invertEdit(edit));
    expect(plain(now)).to.deep.equal(plain(piece));
    for (const edit of done) now = applyEdit(now, edit);
    expect(plain(now)).to.deep.equal(last);
  });

  it("are as few and as small as what was done", () => {
    const typed = { ...piece, message: { ...piece.message, headline: { text: "Boats" } } };
    expect(editTo(piece, typed)!.changes).to.deep.equal([
      { at: headline, to: "Boats", was: "Boats at rest" },
    ]);
    const [first, ...others] = piece.arrangement;
    const moved = { ...piece, arrangement: [...others, first!] };
    expect(editTo(piece, moved)!.changes).to.have.lengthOf(1);
    const dressed = { ...piece, brand: "saltlight", spread: { backdrop: "deep" } };
    expect(editTo(piece, dressed)!.changes.map(({ at }) => at)).to.deep.equal([
      ["brand"],
      ["spread"],
    ]);
    expect(editTo(piece, piece)).to.equal(undefined);
  });

  it("leave alone what another has changed meanwhile, and say where both changed the same", () => {
    const mine = setting(piece, headline, "Boats");
    const theirs = setting(piece, ["arrangement", piece.arrangement[0]!.id, "hidden"], true);
    const both = applyEdit(applyEdit(piece, theirs), mine);
    expect(conflictsIn(applyEdit(piece, theirs), mine)).to.deep.equal([]);
    expect(both.arrangement[0]!.hidden).to.equal(true);
    const other = applyEdit(piece, setting(piece, headline, "Ships"));
    expect(conflictsIn(other, mine)).to.have.lengthOf(1);
    expect(rebased(other, mine).changes[0]!.was).to.equal("Ships");
    // An order is no such thing: what it followed may be gone.
    const [a, b] = [editTo(piece, otherOrder(0))!, editTo(piece, otherOrder(1))!];
    expect(conflictsIn(applyEdit(piece, a), b)).to.deep.equal([]);
  });

  const otherOrder = (index: number): Piece => ({
    ...piece,
    arrangement: [...piece.arrangement.toSpliced(index, 1), piece.arrangement[index] as Node],
  });

  it("of one gesture are one step", () => {
    const typed = (to: string, was: string, gesture = "a"): Edit => ({
      changes: [{ at: headline, to, was }],
      gesture,
    });
    expect(joinEdits(typed("B", ""), typed("Bo", "B"))).to.deep.equal(typed("Bo", ""));
    expect(joinEdits(typed("B", ""), typed("Bo", "B", "b"))).to.equal(undefined);
    const loose = { changes: typed("B", "").changes };
    expect(joinEdits(loose, loose)).to.equal(undefined);
    // A drag moves a thing and another with it, again and again.
    const drag = (x: number): Edit => {
      const at = (id: string): Address => ["arrangement", id, "box"];
      const box = { x, y: 0, width: 10, height: 10 };
      const changes = ["a", "b"].map((id) => ({ at: at(id), to: box, was: { ...box, x: x - 1 } }));
      return { changes, gesture: "drag" };
    };
    const joined = [2, 3, 4].map(drag).reduce((one, next) => joinEdits(one, next)!, drag(1));
    expect(joined.changes).to.have.lengthOf(2);
    expect(joined.changes[1]).to.deep.include({
      was: drag(1).changes[1]!.was,
      to: drag(4).changes[1]!.to,
    });
  });

  it("refuse what is not there, what is no piece, and to lose the lead size", () => {
    const refused = (at: Address, to: unknown, why: RegExp) =>
      expect(() => applied(piece, { changes: [{ at, to: to as never, was: null }] })).to.throw(why);
    refused(["message", "price", "text"], "1", /no slot “price”/);
    refused(
      ["message", "picture", "text"],
      "words for a picture",
      /no slot “picture” of that kind/,
    );
    refused(["arrangement", "moon", "hidden"], true, /no node “moon”/);
    refused(["sizes", "moon", "layout"], { kind: "card" }, /no size “moon”/);
    refused(["sizes", piece.lead], null, /lead size/);
    refused(headline, 7, /^message\.headline/);
    refused(["arrangement", piece.arrangement[0]!.id, "on"], "moon", /no node “moon”/);
    refused(["title"], null, /title/);
    for (const at of [
      ["id"],
      ["message", "a", "picture", "x"],
      ["arrangement", "a", "style", "moon"],
    ])
      expect(Address.safeParse(at).success, at.join()).to.equal(false);
  });

  it("are called by what they are about", () => {
    expect(nameOf(setting(piece, headline, "x"))).to.equal("headline");
    expect(nameOf(setting(piece, ["spread"], {}))).to.equal("other colours");
    expect(nameOf({ ...setting(piece, ["lead"], "story"), name: "arrangement" })).to.equal(
      "another look",
    );
  });
});

describe("edits of before", () => {
  const filled = (slot: string, filling: object): Piece => ({
    ...piece,
    message: { ...piece.message, [slot]: filling as Piece["message"][string] },
  });
  const [first] = piece.arrangement;
  const photo = piece.arrangement.find(({ id }) => id === "photo")!;
  const framing = { zoom: 1.4 };
  const picture = Object.values(piece.message).find(isPicture)!;
  const bare = { picture: picture.picture, areas: picture.areas, alt: picture.alt };
  const looks = { arrangement: piece.arrangement, sizes: piece.sizes };
  const sizes = [piece.lead, "poster-a3"].map((placement) => ({ placement, changes: {} }));
  const card = { kind: "card", words: "stack" } as const;
  const local = { layout: card, changes: { headline: { hidden: true } } };
  const cases: [old: object, after: Piece][] = [
    [
      { kind: "text", slot: "headline", to: "Boats", was: "Boats at rest" },
      filled("headline", { text: "Boats" }),
    ],
    [
      { kind: "picture", slot: "picture", to: { picture: "a".repeat(64) }, was: bare },
      filled("picture", { picture: "a".repeat(64) }),
    ],
    [
      {
        kind: "wordings",
        slot: "headline",
        to: { text: "Boats", alternatives: ["At rest"] },
        was: { text: "Boats at rest", alternatives: [] },
      },
      filled("headline", { text: "Boats", alternatives: ["At rest"] }),
    ],
    [
      { kind: "varies", slot: "picture", to: true, was: false },
      filled("picture", { ...picture, varies: true }),
    ],
    [{ kind: "slot", slot: "note", to: { text: "x" }, was: null }, filled("note", { text: "x" })],
    [
      { kind: "picture-style", node: "photo", to: { framing }, was: {} },
      {
        ...piece,
        arrangement: piece.arrangement.map((node) =>
          node === photo ? ({ ...node, style: { ...node.style, framing } } as Node) : node,
        ),
      },
    ],
    [
      { kind: "picture-style", node: "photo", placement: piece.lead, to: { framing }, was: {} },
      onLead({ changes: { photo: { style: { framing } as never } } }),
    ],
    [
      { kind: "title", to: "Opening", was: piece.title },
      { ...piece, title: "Opening" },
    ],
    [
      {
        kind: "dress",
        to: { brand: "saltlight", spread: { backdrop: "deep" } },
        was: { brand: piece.brand, spread: piece.spread },
      },
      { ...piece, brand: "saltlight", spread: { backdrop: "deep" } },
    ],
    [
      { kind: "sizes", to: sizes, was: piece.sizes },
      { ...piece, sizes },
    ],
    [
      {
        kind: "lead",
        to: { ...looks, arrangement: piece.arrangement.slice(1), lead: "story" },
        was: { ...looks, lead: piece.lead },
      },
      { ...piece, arrangement: piece.arrangement.slice(1), lead: "story" },
    ],
    [
      { kind: "looks", to: { ...looks, arrangement: [first] }, was: looks },
      { ...piece, arrangement: [first!] },
    ],
    [
      {
        kind: "local",
        placement: piece.lead,
        to: { ...local, layout: "card, stack" },
        was: { changes: {} },
      },
      onLead(local),
    ],
    [
      { kind: "without", to: ["logo"], was: [] },
      { ...piece, without: ["logo"] },
    ],
    [
      { kind: "language", to: "de", was: piece.language ?? null },
      { ...piece, language: "de" },
    ],
  ];

  function onLead(change: object): Piece {
    const changed = piece.sizes.map((size) =>
      size.placement === piece.lead ? { ...size, ...change } : size,
    );
    return { ...piece, sizes: changed };
  }

  it("come out as they did, and are taken back as they were", () => {
    for (const [old, after] of cases) {
      const what = (old as { kind: string }).kind;
      const edit = Edit.parse(JSON.parse(JSON.stringify(fromOlderEdit(old))));
      const made = applyEdit(piece, edit);
      expect(same(made, after), what).to.equal(true);
      expect(same(applyEdit(made, invertEdit(edit)), piece), what).to.equal(true);
      expect(fromOlderEdit(edit), what).to.deep.equal(edit);
    }
    expect(fromOlderEdit({ kind: "title", to: "A", was: "A" })).to.equal(undefined);
  });
});

describe("what is not the brand's", () => {
  it("is put on brand everywhere, and back", () => {
    const shadow = { colour: "#c0ffee", x: 0, y: 1, blur: 0, opacity: 1 };
    const style = { colour: "#C0FFEE", type: "anton", shadow };
    const raw: Piece = {
      ...piece,
      arrangement: piece.arrangement.with(0, { ...piece.arrangement[0]!, style } as Node),
      sizes: [{ placement: piece.lead, changes: { n: { style: { colour: "#C0FFEE" } } } }],
    };
    const edit = editTo(raw, { ...raw, ...onBrand(raw, "#C0FFEE", "primary") }, "mend")!;
    const after = applyEdit(raw, edit);
    expect(JSON.stringify(after).toLowerCase()).to.not.contain("c0ffee");
    expect(after.arrangement[0]!.style.shadow!.colour).to.equal("primary");
    expect(after.sizes[0]!.changes.n!.style!.colour).to.equal("primary");
    expect(applyEdit(after, invertEdit(edit))).to.deep.equal(raw);
    expect(onBrand(raw, "anton", undefined).arrangement[0]!.style.type).to.equal(undefined);
  });
});
