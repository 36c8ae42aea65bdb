import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import { box, contains, overlaps } from "../geometry";
import { composedFrame, messagePictures, Piece } from "../piece";
import { frameOf, placementById } from "../placements";
import { check } from "../preflight";
import {
  ADDED_SHAPES,
  READY_MADE,
  withBadge,
  withCode,
  withIcon,
  withPictures,
  withReadyMade,
  withShape,
  withWords,
  type Added,
  type AddedShape,
  type ReadyMade,
} from "./index";

const demos = demoPieces();
const leadOf = (of: Piece) => placementById(of.lead);
const added = ({ piece, ids }: Added) => piece.arrangement.filter(({ id }) => ids.includes(id));
const [{ piece }] = demos as [(typeof demos)[0]];
const file = messagePictures(
  demos.find((one) => messagePictures(one.piece.message)[0])!.piece.message,
)[0]!;

describe("what is added by hand", () => {
  type Way = [string, (to: Piece) => Added | undefined];
  const ways: Way[] = [
    ...Object.keys(ADDED_SHAPES).map((kind): Way => [
      kind,
      (to) => withShape(to, leadOf(to), kind as AddedShape),
    ]),
    ...Object.keys(READY_MADE).map((kind): Way => [
      kind,
      (to) => withReadyMade(to, leadOf(to), kind as ReadyMade),
    ]),
    ["words", (to) => withWords(to, leadOf(to), "Bring a friend")],
    ["an icon", (to) => withIcon(to, leadOf(to), "anchor")],
    ["a code", (to) => withCode(to, leadOf(to), "https://quillmere.example/sunday")],
    ["pictures", (to) => withPictures(to, leadOf(to), [file, file, file])],
    ["a badge", (to) => withBadge(to, leadOf(to))],
  ];

  it("is whole in the frame, has names of its own, and leaves all that is there", () => {
    for (const { piece: demo } of demos)
      for (const [name, way] of ways) {
        const first = way(demo);
        if (!first) continue;
        const second = way(first.piece);
        const { piece: after } = second ?? first;
        expect(Piece.safeParse(after).success, `${name} on ${demo.id}`).to.equal(true);
        const frame = composedFrame(demo)!;
        const whole = box(0, 0, frame.width, frame.height);
        for (const { box: at } of [...added(first), ...(second ? added(second) : [])])
          expect(contains(whole, at) && at.width * at.height > 0, `${name} on ${demo.id}`).to.equal(
            true,
          );
        for (const node of demo.arrangement) expect(after.arrangement).to.deep.include(node);
      }
  });

  it("comes out as what it is on the lead, readable and in the brand's colours", async () => {
    const sources = await demoSources();
    for (const { piece: demo, brand } of demos)
      for (const [name, way] of ways) {
        const made = way(demo);
        if (!made) continue;
        const { layout } = makeScene(made.piece, brand, placementById(demo.lead), sources);
        const there = layout.placed.filter(({ node }) => made.ids.includes(node.id));
        expect(there.length, `${name} on ${demo.id}`).to.equal(made.ids.length);
        const codes = check(layout).filter(({ node }) => node && made.ids.includes(node));
        const bad = codes.filter(({ code }) =>
          ["raw-colour", "raw-face", "outside-safe-area", "low-contrast"].includes(code),
        );
        expect(
          bad.map(({ code, measured, node }) => `${node} ${code} ${measured}`),
          `${name} on ${demo.id}`,
        ).to.deep.equal([]);
      }
  });

  it("is said and shown on the other sizes too", async () => {
    const sources = await demoSources();
    const { piece: demo, brand } = demos.find((one) => one.piece.id === "opening-announcement")!;
    for (const kind of ["headline-and-line", "quotation", "label"] as const) {
      const made = withReadyMade(demo, leadOf(demo), kind);
      for (const id of ["story", "photo-feed-square"]) {
        const { layout } = makeScene(made.piece, brand, placementById(id), sources);
        for (const own of made.ids)
          expect(
            layout.placed.some(({ node }) => node.id === own),
            `${kind} ${id}`,
          ).to.equal(true);
      }
    }
  });

  it("takes a free place where there is one", () => {
    const bare: Piece = {
      ...piece,
      message: {},
      arrangement: piece.arrangement.filter(({ role }) => role === "backdrop"),
    };
    let now = bare;
    for (const kind of ["star", "burst", "ellipse", "rectangle"] as const)
      now = withShape(now, leadOf(now), kind).piece;
    const own = now.arrangement.filter(({ role }) => role === "ornament");
    for (const [index, a] of own.entries())
      for (const b of own.slice(index + 1)) expect(overlaps(a.box, b.box)).to.equal(false);
  });

  it("takes the room beside words that are shorter than they were composed for", async () => {
    const sources = await demoSources();
    const { piece: demo, brand } = demos.find((one) => one.piece.id === "opening-announcement")!;
    const said = { headline: { text: "Boats" }, date: { text: "Now" } };
    const short: Piece = { ...demo, message: said };
    const { layout } = makeScene(short, brand, leadOf(short), sources);
    const shown = layout.placed.filter(({ node }) => node.role !== "backdrop");
    const seen = shown.map(({ box: at }) => at);
    const sideOf = (made: Added) => Math.min(...added(made).map(({ box: { width } }) => width));
    const wider = withShape(short, { ...leadOf(short), seen }, "ellipse");
    expect(sideOf(wider)).to.be.above(1.3 * sideOf(withShape(short, leadOf(short), "ellipse")));
    for (const at of seen) expect(overlaps(at, added(wider)[0]!.box)).to.equal(false);
  });

  it("of two to six pictures fills one area, with equal gaps and nothing over its edge", () => {
    const { piece: demo } = demos.find((one) => one.piece.id === "opening-announcement")!;
    for (const count of [2, 3, 4, 5, 6]) {
      const files = Array.from({ length: count }, () => file);
      const made = withPictures(demo, leadOf(demo), files);
      expect(made.ids).to.have.lengthOf(count);
      const own = added(made);
      const whole = frameOf(placementById(demo.lead));
      for (const [index, { box: a }] of own.entries()) {
        expect(contains(whole, a)).to.equal(true);
        for (const { box: b } of own.slice(index + 1)) expect(overlaps(a, b)).to.equal(false);
      }
    }
  });

  it("shows its words once, also where words of that kind had a place and none were said", () => {
    const { support: _unsaid, ...message } = piece.message;
    const unsaid: Piece = { ...piece, message };
    expect(unsaid.arrangement.some(({ slot }) => slot === "support")).to.equal(true);
    const made = withReadyMade(unsaid, leadOf(unsaid), "headline-and-line");
    for (const { slot } of added(made))
      expect(made.piece.arrangement.filter((node) => node.slot === slot)).to.have.lengthOf(1);
  });

  it("says a second headline smaller where something rules already", () => {
    const { piece: demo } = demos.find((one) => one.piece.id === "opening-announcement")!;
    const [headline] = added(withReadyMade(demo, leadOf(demo), "headline-and-line"));
    expect(headline!.role).to.equal("support");
    const first = demo.arrangement.find(({ role }) => role === "headline")!;
    expect(headline!.style.size).to.be.below(first.style.size!);
  });

  it("is a badge no larger than the room that is free, as long as it can be read", () => {
    const { width, height } = composedFrame(piece)!;
    const sideIn = (free: number) => {
      const seen = [box(0, 0, width, height - free), box(0, height - free, width - free, free)];
      const made = withBadge(piece, { ...leadOf(piece), width, height, seen })!;
      return added(made)[0]!.box.width / Math.min(width, height);
    };
    expect(sideIn(0.9 * height)).to.be.closeTo(0.26, 0.001);
    expect(sideIn(0.35 * width)).to.be.within(0.16, 0.25);
    expect(sideIn(0.2 * width)).to.be.closeTo(0.16, 0.001);
  });

  it("is the badge that a place is kept for, as soon as it says something", () => {
    const { piece: kept, ids } = withBadge(piece, leadOf(piece))!;
    const { badge, ...message } = kept.message;
    const again = withBadge({ ...kept, message }, leadOf(piece))!;
    expect(again.ids).to.have.members(ids);
    expect(again.piece.message.badge).to.deep.equal(badge);
    expect(again.piece.arrangement).to.deep.equal(kept.arrangement);
  });

  it("is one badge at the most", () => {
    const once = withBadge(piece, leadOf(piece));
    if (once) expect(withBadge(once.piece, leadOf(piece))).to.equal(undefined);
  });
});
