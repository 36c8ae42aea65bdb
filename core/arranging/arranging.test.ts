import { expect } from "chai";
import { demoPiece } from "../../tests/support/demo";
import { applyEdit, editTo, invertEdit, type Edit } from "../edit";
import { box, centre, hullOf, right, type Box } from "../geometry";
import { composedFrame, Piece, type Stroke } from "../piece";
import { shippedPlacement, type Placement } from "../placements";
import {
  aligned,
  changed,
  changedIn,
  Clip,
  clipOf,
  distancesOf,
  distributed,
  duplicated,
  equalled,
  fittedInto,
  givenBack,
  grouped,
  layered,
  ordered,
  leadBox,
  pasted,
  placedAt,
  readSum,
  removed,
  renamedGroup,
  resized,
  snapped,
  styleFor,
  textSized,
  turnedBy,
  ungrouped,
  withMembers,
  type Side,
  type Toward,
} from "./index";

const piece = demoPiece("quillmere", "opening-announcement");
const at = (id: string): Placement => shippedPlacement(id)!;
const lead = at(piece.lead);
const node = (of: Piece, id: string) => of.arrangement.find((one) => one.id === id)!;
const boxes = (...all: Box[]) => new Map(all.map((one, index) => [String(index), one]));

describe("arranging by hand", () => {
  it("puts a node of the lead exactly where it is put, for all sizes", () => {
    const to = box(111, 222, 333, 444);
    const after = placedAt(piece, lead, new Map([["headline", to]]));
    expect(leadBox(after, lead, node(after, "headline"))).to.deep.equal(to);
    expect(after.sizes).to.deep.equal(piece.sizes);
  });

  it("puts a node of another size there alone, and gives it back", () => {
    const story = at("story");
    const to = box(108, 192, 540, 960);
    const after = placedAt(piece, story, new Map([["headline", to]]));
    expect(after.arrangement).to.deep.equal(piece.arrangement);
    const { changes } = after.sizes.find(({ placement }) => placement === "story")!;
    expect(changes.headline!.place).to.deep.equal(box(0.1, 0.1, 0.5, 0.5));
    expect(changedIn(after, "story")).to.deep.equal(["headline"]);
    expect(givenBack(after, ["headline"], "story")).to.deep.equal(piece);
  });

  it("sets words so large as they are typed, in the pixels of the size", () => {
    const after = textSized(piece, lead, new Map([["headline", 123]]));
    expect(node(after, "headline").style.size).to.be.closeTo(123, 1e-9);
    const story = at("story");
    const local = textSized(piece, story, new Map([["headline", 120]]));
    const own = local.sizes.find(({ placement }) => placement === "story")!.changes.headline!;
    const scale = Math.sqrt((story.width * story.height) / (lead.width * lead.height));
    expect(own.style!.size! * scale).to.be.closeTo(120, 1e-9);
  });

  it("changes one size without the others, and keeps what it had of its own", () => {
    const moved = placedAt(piece, at("story"), new Map([["headline", box(0, 0, 108, 192)]]));
    const after = changed(moved, ["headline"], { style: { opacity: 0.5 } }, "story");
    const { headline } = after.sizes.find(({ placement }) => placement === "story")!.changes;
    expect(headline).to.deep.equal({ place: box(0, 0, 0.1, 0.1), style: { opacity: 0.5 } });
  });

  it("takes out a node with the words that only it shows, and nothing that names it is left", () => {
    const local = changed(piece, ["headline"], { hidden: true }, "story");
    const after = Piece.parse(removed(local, ["headline"]));
    expect(after.message).not.to.have.property("headline");
    expect(JSON.stringify(after.arrangement)).not.to.contain('"headline"');
    expect(changedIn(after, "story")).to.deep.equal([]);
    const { piece: twice, ids } = duplicated(piece, ["headline"], 10);
    expect(removed(twice, ids).message).to.deep.equal(piece.message);
  });

  it("brings nodes nearer to the front and back again, in their own order", () => {
    const ids = piece.arrangement.map(({ id }) => id);
    const order = (of: Piece) => of.arrangement.map(({ id }) => id);
    const pair = [ids[1]!, ids[3]!];
    expect(order(layered(piece, pair, "front")).slice(-2)).to.deep.equal(pair);
    expect(order(layered(piece, pair, "back")).slice(0, 2)).to.deep.equal(pair);
    const forward = layered(piece, [ids[0]!], "forward");
    expect(order(forward).slice(0, 2)).to.deep.equal([ids[1], ids[0]]);
    expect(order(layered(forward, [ids[0]!], "backward"))).to.deep.equal(ids);
    expect(order(layered(piece, [ids.at(-1)!], "forward"))).to.deep.equal(ids);
  });
});

describe("a style that is taken away", () => {
  it("is gone, on the lead and from what one size has of its own", () => {
    const stroke: Stroke = { colour: "action", width: 4, dash: [], cap: "butt" };
    const lined = changed(piece, ["headline"], { style: { stroke } });
    expect(node(lined, "headline").style.stroke).to.deep.equal(stroke);
    expect(changed(lined, ["headline"], { style: { stroke: undefined } })).to.deep.equal(piece);
    const local = changed(piece, ["headline"], { style: { stroke } }, "story");
    const back = changed(local, ["headline"], { style: { stroke: undefined } }, "story");
    const story = back.sizes.find(({ placement }) => placement === "story")!;
    expect(story.changes.headline?.style?.stroke).to.equal(undefined);
  });
});

describe("the order from back to front", () => {
  it("is changed for one node by the one that it lies on", () => {
    const ids = piece.arrangement.map(({ id }) => id);
    const order = (of: Piece) => of.arrangement.map(({ id }) => id);
    const [first, second, third] = ids as [string, string, string];
    expect(order(ordered(piece, first, third)).slice(0, 3)).to.deep.equal([second, third, first]);
    expect(order(ordered(piece, third, undefined))[0]).to.equal(third);
    expect(ordered(piece, "nobody", first)).to.equal(piece);
    expect(ordered(piece, first, first)).to.equal(piece);
  });
});

describe("groups", () => {
  const pair = grouped(piece, ["headline", "kicker"]);
  const names = (of: Piece) =>
    Object.fromEntries(of.arrangement.flatMap(({ id, group }) => (group ? [[id, group]] : [])));

  it("are made, called otherwise, taken as one and parted", () => {
    expect(names(pair)).to.deep.equal({ headline: "Group", kicker: "Group" });
    expect(withMembers(pair, ["kicker"]).sort()).to.deep.equal(["headline", "kicker"]);
    expect(withMembers(pair, ["cta"])).to.deep.equal(["cta"]);
    const called = renamedGroup(pair, "Group", "Title");
    expect(names(called).headline).to.equal("Title");
    expect(names(grouped(called, ["cta", "support"])).cta).to.equal("Group");
    expect(ungrouped(pair, ["kicker"])).to.deep.equal(piece);
    expect(grouped(piece, ["cta"])).to.equal(piece);
  });

  it("of which one is left are none", () => {
    expect(names(removed(pair, ["kicker"]))).to.deep.equal({});
    const moved = grouped(pair, ["kicker", "cta"]);
    expect(names(moved)).to.deep.equal({ kicker: "Group 2", cta: "Group 2" });
  });

  it("are copied as groups of their own, and go along to another piece", () => {
    const twice = duplicated(pair, ["headline", "kicker"], 10);
    const copies = twice.ids.map((id) => node(twice.piece, id).group);
    expect(copies).to.deep.equal(["Group copy", "Group copy"]);
    const alone = duplicated(pair, ["headline"], 10);
    expect(node(alone.piece, alone.ids[0]!).group).to.equal(undefined);
    const clip = Clip.parse(clipOf(pair, ["headline", "kicker"]));
    const again = pasted(pair, clip, 10);
    expect(again.ids.map((id) => node(again.piece, id).group)).to.deep.equal([
      "Group 2",
      "Group 2",
    ]);
  });
});

describe("what is copied", () => {
  it("comes with its words, as large in another frame, and nothing is shared with where it came from", () => {
    const clip = clipOf(piece, ["headline", "cta"])!;
    expect(Object.keys(clip.message).sort()).to.deep.equal(["call-to-action", "headline"]);
    const story = demoPiece("saltlight", "float-before-lunch");
    const { piece: after, ids } = pasted(story, Clip.parse(clip), 0);
    expect(Piece.safeParse(after).success).to.equal(true);
    expect(ids).to.have.lengthOf(2);
    const copy = node(after, ids[0]!);
    expect(copy.slot).to.equal("headline-2");
    expect(after.message["headline-2"]).to.deep.equal(piece.message.headline);
    expect(after.message.headline).to.deep.equal(story.message.headline);
    const own = composedFrame(story)!;
    const by = Math.min(own.width / 1080, own.height / 1350);
    expect(copy.box.width).to.be.closeTo(530 * by, 1e-6);
    expect(clipOf(piece, ["nobody"])).to.equal(undefined);
  });

  it("gives words the look of other words, and a shape only what fits it", () => {
    const from = { kind: "text", style: { size: 40, colour: "accent", tracking: 0.1 } } as const;
    expect(styleFor(from, { kind: "text" })).to.deep.equal(from.style);
    expect(styleFor(from, { kind: "shape" })).to.deep.equal({ colour: "accent" });
  });
});

describe("lines that a hand snaps to", () => {
  const frame = box(0, 0, 1000, 1000);
  const targets = { frame, margin: box(50, 50, 900, 900), safe: frame, others: [] as Box[] };

  it("are the frame’s middle, the margins and other boxes, to the exact pixel", () => {
    const near = snapped(box(396, 47, 200, 100), targets, 6);
    expect(near.by).to.deep.equal({ x: 4, y: 3 });
    expect(near.guides.map(({ axis, at: where }) => [axis, where])).to.deep.equal([
      ["x", 500],
      ["y", 50],
    ]);
    const other = { ...targets, others: [box(200, 300, 150, 50)] };
    expect(snapped(box(353, 600, 80, 40), other, 6).by.x).to.equal(-3);
    expect(snapped(box(367, 600, 80, 40), other, 6).by.x).to.equal(0);
  });

  it("leave equal gaps beside and between others", () => {
    const row = { ...targets, others: [box(100, 400, 100, 60), box(230, 400, 100, 60)] };
    expect(snapped(box(363, 410, 70, 33), row, 6).by.x).to.equal(-3);
    const apart = { ...targets, others: [box(100, 400, 100, 60), box(413, 400, 100, 60)] };
    // 213 pixels lie between them: 63 wide, it stands 75 from each.
    expect(snapped(box(271, 410, 63, 33), apart, 6).by.x).to.equal(4);
  });

  it("say the gaps that became equal, and how far the neighbours are", () => {
    const row = { ...targets, others: [box(100, 400, 100, 60), box(230, 400, 100, 60)] };
    const [guide] = snapped(box(363, 410, 70, 33), row, 6).guides;
    expect(guide!.gaps).to.deep.equal([
      { from: 200, to: 230, across: 426.5 },
      { from: 330, to: 360, across: 426.5 },
    ]);
    const far = distancesOf(box(360, 410, 70, 33), row);
    expect(far.map(({ axis, from, to }) => [axis, from, to])).to.deep.equal([
      ["x", 330, 360],
      ["x", 430, row.frame.width],
      ["y", 0, 410],
      ["y", 443, row.frame.height],
    ]);
  });

  it("are baselines of other words too", () => {
    const lines = { ...targets, others: [], baselines: [612] };
    const { by, guides } = snapped(box(300, 560, 41, 27), lines, 6, {}, 608);
    expect(by.y).to.equal(4);
    expect(guides).to.deep.include({ axis: "y", at: 612, from: 0, to: lines.frame.width });
    expect(snapped(box(300, 560, 41, 27), lines, 6).by.y).to.equal(0);
  });

  it("hold the edge that is pulled and leave the others alone", () => {
    const pulled = snapped(box(40, 300, 455, 77), targets, 8, { x: "end", y: "none" });
    expect(pulled.by).to.deep.equal({ x: 5, y: 0 });
  });
});

describe("boxes that are put in order", () => {
  const three = boxes(box(10, 10, 30, 20), box(70, 50, 10, 40), box(100, 5, 50, 10));

  it("stand on one line", () => {
    const sides: [Side, (b: Box) => number, number][] = [
      ["left", ({ x }) => x, 10],
      ["right", right, 150],
      ["centre", (b) => centre(b).x, 80],
      ["top", ({ y }) => y, 5],
      ["bottom", ({ y, height }) => y + height, 90],
      ["middle", (b) => centre(b).y, 47.5],
    ];
    for (const [side, line, where] of sides)
      for (const b of aligned(three, side).values()) expect(line(b), side).to.equal(where);
  });

  it("have equal gaps, and the outermost stay", () => {
    const spread = [...distributed(three, "x").values()].sort((a, b) => a.x - b.x);
    expect(spread.map(({ x }) => x)).to.deep.equal([10, 65, 100]);
  });

  it("are as wide as the widest, about their middles", () => {
    const wide = equalled(three, "width");
    expect([...wide.values()].map(({ width }) => width)).to.deep.equal([50, 50, 50]);
    expect(centre(wide.get("1")!).x).to.equal(75);
  });

  it("keep their places in a hull that is pulled", () => {
    const hull = hullOf([...three.values()]);
    const twice = { ...hull, width: 2 * hull.width, height: 2 * hull.height };
    expect(hullOf([...fittedInto(three, hull, twice).values()])).to.deep.equal(twice);
  });
});

describe("handles", () => {
  const from = box(100, 100, 200, 100);

  it("move their edges and leave the ones across", () => {
    expect(resized(from, { x: 1, y: 1 }, { x: 20, y: 10 })).to.deep.equal(box(100, 100, 220, 110));
    expect(resized(from, { x: -1, y: 0 }, { x: 20, y: 10 })).to.deep.equal(box(120, 100, 180, 100));
    expect(resized(from, { x: -1, y: 0 }, { x: 900, y: 0 })).to.deep.equal(box(299, 100, 1, 100));
  });

  it("keep the proportion, or the middle, when asked", () => {
    const kept = resized(from, { x: 1, y: 1 }, { x: 100, y: 0 }, { proportional: true });
    expect(kept).to.deep.equal(box(100, 100, 300, 150));
    const about = resized(from, { x: 1, y: 0 }, { x: 10, y: 0 }, { fromCentre: true });
    expect(about).to.deep.equal(box(90, 100, 220, 100));
  });

  it("turn to steps of fifteen degrees when near, and stay within half a circle", () => {
    const turn = (to: number, start = 0) => {
      const way = (to * Math.PI) / 180;
      const pointer = { x: Math.cos(way), y: Math.sin(way) };
      return turnedBy({ x: 0, y: 0 }, { x: 1, y: 0 }, pointer, start, 15);
    };
    expect(turn(43)).to.be.closeTo(45, 1e-9);
    expect(turn(37.5)).to.be.closeTo(37.5, 1e-9);
    expect(turn(90, 150)).to.be.closeTo(-120, 1e-9);
  });
});

describe("lengths that are typed", () => {
  it("are numbers and sums", () => {
    const all = ["1080/3", "12", "2*(3+4)", "100 − 12.5", "-4", "1,5 px", "1080÷4×3"].map(readSum);
    expect(all).to.deep.equal([360, 12, 14, 87.5, -4, 1.5, 810]);
    expect(["", "x", "3+", "(2", "2)", "1/0", "1..2"].map(readSum)).to.deep.equal(
      Array(7).fill(undefined),
    );
  });
});

describe("a long session by hand", () => {
  it("of 1 000 edits is taken back to the exact document, and done again to the exact result", () => {
    let seed = 20261127;
    const random = (most: number): number => {
      seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
      return seed % most;
    };
    const one = <T>(list: readonly T[]): T => list[random(list.length)]!;
    const sides: Side[] = ["left", "centre", "right", "top", "middle", "bottom"];
    const ways: Toward[] = ["front", "forward", "backward", "back"];
    const sizes = piece.sizes.map(({ placement }) => placement);

    const step = (now: Piece): Piece => {
      const id = one(now.arrangement).id;
      const place = box(random(900), random(900), 1 + random(500), 1 + random(500));
      const on = one(sizes);
      const where = at(on === piece.lead ? "story" : on);
      switch (random(11)) {
        case 9:
          return grouped(now, [id, one(now.arrangement).id]);
        case 10:
          return ordered(now, id, one(now.arrangement).id);
        case 0:
          return placedAt(now, lead, new Map([[id, place]]));
        case 1:
          return placedAt(now, where, new Map([[id, place]]));
        case 2:
          return changed(now, [id], { style: { opacity: (1 + random(100)) / 101 } });
        case 3:
          return changed(now, [id], { hidden: random(2) === 0 }, where.id);
        case 4:
          return layered(now, [id], one(ways));
        case 5:
          return now.arrangement.length < 30 ? duplicated(now, [id], random(50)).piece : now;
        case 6:
          return now.arrangement.length > 5 ? removed(now, [id]) : now;
        case 7:
          return givenBack(now, changedIn(now, where.id), where.id);
        default: {
          const some = now.arrangement.slice(0, 4).map((n) => [n.id, n.box] as const);
          return placedAt(now, lead, aligned(new Map(some), one(sides)));
        }
      }
    };

    const history: Edit[] = [];
    let now = piece;
    while (history.length < 1000) {
      const after = step(now);
      const edit = editTo(now, after);
      if (!edit) continue;
      now = applyEdit(now, edit);
      expect(now).to.deep.equal(after);
      history.push(edit);
    }
    expect(Piece.safeParse(now).success).to.equal(true);
    const back = history.reduceRight((of, edit) => applyEdit(of, invertEdit(edit)), now);
    expect(back).to.deep.equal(piece);
    const again = history.reduce(applyEdit, back);
    expect(again).to.deep.equal(now);
  });
});
