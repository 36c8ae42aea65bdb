import { expect } from "chai";
import fc from "fast-check";
import { cases } from "../tests/support/arrangements";
import { caseSources } from "../tests/support/case-sources";
import { alternatives, makeScene } from "./engine";
import { contains, inset } from "./geometry";
import {
  isText,
  layoutKey,
  sameLayout,
  type LayoutId,
  type LocalChange,
  type Node,
  type Piece,
} from "./piece";
import { placementById, type Placement } from "./placements";
import { check } from "./preflight";
import type { Sources } from "./resolve";

const entries = cases();
const find = (id: string) => entries.find(({ piece }) => piece.id === id) ?? entries[0]!;
const PLACEMENTS = [
  "story",
  "community-link",
  "photo-feed-square",
  "ad-half-page",
  "ad-leaderboard",
];

describe("the layouts to pick from", () => {
  let sources: Sources;
  before(async () => (sources = await caseSources()));

  const pickedAs = (piece: Piece, placement: string, layout: LayoutId): Piece => ({
    ...piece,
    sizes: [{ placement, layout, changes: {} }],
  });

  it("begin with the one that is chosen by itself, differ, and break no rule", () => {
    let more = 0;
    const APART = 4;
    for (const [turn, { piece, brand }] of entries.entries()) {
      // Each in every fourth placement, and each placement with every fourth one.
      const some = PLACEMENTS.filter((_, index) => (index + turn) % APART === 0);
      for (const id of some.filter((one) => one !== piece.lead)) {
        const placement = placementById(id);
        const found = alternatives(piece, brand, placement, sources);
        const chosen = makeScene(piece, brand, placement, sources).layout;
        const what = `${piece.id} ${id}`;
        expect(found[0]?.layoutId, what).to.deep.equal(chosen.layoutId);
        expect(new Set(found.map(({ layoutId }) => layoutKey(layoutId))).size, what).to.equal(
          found.length,
        );
        expect(found.length, what).to.be.at.most(3);
        const others = found.slice(1).flatMap(check);
        expect(
          others.filter(({ level }) => level === "must-fix"),
          what,
        ).to.deep.equal([]);
        more += found.length - 1;
      }
    }
    expect(more / entries.length / (PLACEMENTS.length / APART)).to.be.greaterThan(1);
  });

  it("hold when picked, whatever the words are; where one cannot be had, that is said", () => {
    const { piece, brand } = entries[0]!;
    const placement = placementById("story");
    const second = alternatives(piece, brand, placement, sources)[1]!.layoutId;
    const picked = pickedAs(piece, "story", second);
    for (const words of ["Boats", "Boats at rest in the harbour", "Seven boats that nobody owns"]) {
      const message = { ...picked.message };
      for (const [slot, filling] of Object.entries(message))
        if (isText(filling)) message[slot] = { text: words };
      const { layout } = makeScene({ ...picked, message }, brand, placement, sources);
      expect(layout.layoutId).to.deep.equal(second);
    }
    const gone = makeScene(
      pickedAs(piece, "story", { kind: "words-left", words: "lines-beside" }),
      brand,
      placement,
      sources,
    );
    expect(check(gone.layout).map(({ code }) => code)).to.include("layout-gone");
    expect(gone.layout.placed.length).to.be.greaterThan(2);
  });

  it("keep their place against one that is hardly better, so that a key does not turn a size over", () => {
    const letters = "Harbour photographs of boats at rest and the people who mend them".split("");
    let turns = { seen: 0, unseen: 0 };
    for (const { piece, brand } of entries.slice(0, 3)) {
      const slot = piece.arrangement.find(({ role }) => role === "headline")?.slot;
      if (!slot) continue;
      for (const id of PLACEMENTS) {
        const placement = placementById(id);
        const laidOut = (text: string, shown: Piece["shown"]) =>
          makeScene(
            { ...piece, message: { ...piece.message, [slot]: { text } }, shown },
            brand,
            placement,
            sources,
          ).layout.layoutId;
        let last: LayoutId | undefined;
        let lastSeen: LayoutId | undefined;
        for (let typed = 6; typed <= letters.length; typed += 4) {
          const text = letters.slice(0, typed).join("");
          const next = laidOut(text, undefined);
          const nextSeen = laidOut(text, lastSeen ? { [id]: lastSeen } : undefined);
          if (last && !sameLayout(next, last)) turns = { ...turns, unseen: turns.unseen + 1 };
          if (lastSeen && !sameLayout(nextSeen, lastSeen))
            turns = { ...turns, seen: turns.seen + 1 };
          [last, lastSeen] = [next, nextSeen];
        }
      }
    }
    expect(turns.unseen).to.be.greaterThan(10);
    expect(turns.seen).to.be.lessThan(0.8 * turns.unseen);
  });
});

describe("a local change", () => {
  it("holds through other words, another spread and another arrangement, and is given back", async () => {
    const sources = await caseSources();
    const { piece, brand } = find("opening-announcement");
    const movable = piece.arrangement.filter(({ kind, role }) => kind === "text" && role !== "cta");
    const share = fc.double({ min: 0.05, max: 0.6, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...movable),
        fc.constantFrom(...PLACEMENTS.slice(0, 4)),
        fc.record({ x: share, y: share }),
        fc.constantFrom("Boats", "Boats at rest", "Tied up and waiting for spring"),
        fc.boolean(),
        (node, id, at, words, turned) => {
          const placement = placementById(id);
          const { width, height } = placement;
          const box = {
            x: at.x * width,
            y: at.y * height,
            width: 0.4 * width,
            height: 0.3 * height,
          };
          const message = { ...piece.message, headline: { text: words } };
          const arrangement = turned ? [...piece.arrangement].reverse() : piece.arrangement;
          const later = { ...piece, message, arrangement };
          const of = (changes: Record<string, LocalChange>) =>
            makeScene(
              { ...later, sizes: [{ placement: id, changes }] },
              brand,
              placement,
              sources,
            ).layout.placed.find((item) => item.node.id === node.id);
          const moved = of({ [node.id]: { place: { ...at, width: 0.4, height: 0.3 } } });
          // Letters hang below the baseline that stands on the box.
          expect(contains(inset(box, -0.06 * height), moved!.box)).to.equal(true);
          expect(of({})).to.deep.equal(
            makeScene(later, brand, placement, sources).layout.placed.find(
              (item) => item.node.id === node.id,
            ),
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("what nobody should ask for", () => {
  let sources: Sources;
  before(async () => (sources = await caseSources()));

  const odd = (width: number, height: number, more: Partial<Placement> = {}): Placement => ({
    ...placementById("photo-feed-square"),
    id: `odd-${width}x${height}`,
    width,
    height,
    viewWidth: Math.min(width, 390),
    margin: Math.round(0.05 * Math.min(width, height)),
    ...more,
  });
  const whole = { x: 0, y: 0, width: 1080, height: 1080, by: "everything" };

  const strange: [string, Placement][] = [
    ["one pixel", odd(1, 1)],
    ["a thread", odd(50, 2000)],
    ["a ribbon", odd(10_000, 50)],
    ["margins larger than the frame", odd(1080, 1080, { margin: 700 })],
    ["covered all over", odd(1080, 1080, { covered: [whole] })],
    ["seen from far away", odd(1080, 1080, { viewWidth: 4 })],
  ];
  for (const [name, placement] of strange) {
    it(`comes out, or is said to have no room: ${name}`, () => {
      for (const { piece, brand } of entries) {
        const { layout, scene } = makeScene(piece, brand, placement, sources);
        expect([scene.width, scene.height]).to.deep.equal([placement.width, placement.height]);
        const words = layout.placed.filter(({ text }) => text);
        const found = check(layout).map(({ code }) => code);
        if (words.length === 0 && piece.arrangement.some(({ kind }) => kind === "text"))
          expect(
            found.some((code) => /nothing-fits|left-out/.test(code)),
            piece.id,
          ).to.equal(true);
        for (const { box } of layout.placed)
          expect([box.x, box.y, box.width, box.height].every(Number.isFinite)).to.equal(true);
      }
    });
  }

  const { piece, brand } = find("opening-announcement");
  const withNodes = (nodes: Node[]): Piece => ({ ...piece, arrangement: nodes });

  it("says which node has no size, and shows the rest", () => {
    const nodes = piece.arrangement.map((node) =>
      node.role === "support" ? { ...node, box: { ...node.box, width: 0 } } : node,
    );
    const { layout } = makeScene(withNodes(nodes), brand, placementById("story"), sources);
    const found = check(layout).find(({ code }) => code === "no-area");
    expect(found?.role).to.equal("support");
    expect(layout.placed.length).to.be.greaterThan(3);
  });

  it("takes nodes far off the frame, and two hundred of them", () => {
    const away = piece.arrangement.map((node) => ({
      ...node,
      box: { ...node.box, x: node.box.x + 9000, y: -5000 },
    }));
    const many = Array.from({ length: 200 }, (_, i): Node => {
      const node = piece.arrangement[i % piece.arrangement.length]!;
      const box = { ...node.box, y: (i * 37) % 1300, x: (i * 53) % 1000 };
      const { on: _on, ...rest } = node;
      return { ...rest, id: `n${i}`, box };
    });
    for (const nodes of [away, many]) {
      for (const id of ["story", "ad-phone-banner", "poster-a3"]) {
        const { layout } = makeScene(withNodes(nodes), brand, placementById(id), sources);
        const found = new Set([
          ...layout.placed.map(({ node }) => node.id),
          ...layout.leftOut.map((node) => node.id),
          ...layout.resolved.absent.map((node) => node.id),
        ]);
        expect(nodes.filter((node) => !found.has(node.id) && node.role !== "backdrop")) //
          .to.deep.equal([]);
      }
    }
  });

  it("breaks a word of 300 letters rather than leave it out, and an address only at its signs", () => {
    const show = (text: string) => {
      const message = { ...piece.message, headline: { text } };
      const { layout } = makeScene({ ...piece, message }, brand, placementById("story"), sources);
      const { text: set } = layout.placed.find(({ node }) => node.role === "headline")!;
      return set!.set.lines.map(({ shaped }) => shaped.text);
    };
    const lines = show("n".repeat(300));
    expect(lines.length).to.be.above(3);
    expect(lines.join("").replace(/[^n]/g, "")).to.have.lengthOf(300);
    expect(
      show("Donaudampfschifffahrtsgesellschaft")
        .slice(0, -1)
        .every((line) => line.endsWith("-")),
    )
      .to //
      .equal(true);
    const address = show("a-very-long-name.of-a-house.example/and/its/longest/path/of/all");
    expect(address.some((line) => line.endsWith("-") && !line.includes("a-"))).to.equal(false);
  });
});
