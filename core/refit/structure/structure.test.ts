import { expect } from "chai";
import { strangeBrands, strangeSources } from "../../../tests/support/strangers";
import { sortMessage, wordsOf } from "../../message";
import { placementById } from "../../placements";
import { resolve, type ResolvedNode } from "../../resolve";
import { shippedTemplates } from "../../shipped";
import { pieceOf } from "../../templates";
import { droppable, groupOf, listsOf, unbadged, without } from "./dropping";
import { baselineStep, groupGap, headGap } from "./gaps";
import { allNodes, hasMedia, nodesOf, type Item, type Parts } from "./parts";
import { partsOf } from "./read-parts";
import { Stage } from "./stage";

const brand = strangeBrands().find(({ id }) => id === "tollgate")!;

async function resolved(typed: string, templateId: string) {
  const template = shippedTemplates.find(({ id }) => id === templateId)!;
  const words = wordsOf(sortMessage(typed));
  const piece = pieceOf(template, brand, { id: "x", title: "x", words, pictures: [] });
  const sources = await strangeSources([{ piece, brand }]);
  return { piece, read: resolve(piece, brand, piece.lead, sources) };
}

async function read(typed: string, templateId = "beams"): Promise<Parts> {
  return partsOf((await resolved(typed, templateId)).read, "all");
}

const slots = (items: readonly Item[]): (string | undefined)[] =>
  items.map((item) => nodesOf(item)[0]!.slot);
const idsOf = (groups: readonly ResolvedNode[][]) => groups.map((group) => group.map((n) => n.id));

const EVENT = [
  "Market day",
  "Everything that grew within ten miles, on one green",
  "Saturday 9 May, 8 am",
  "Town Hall, 4 Mill Street",
  "Bring a basket",
  "@lower.weir",
].join("\n");

describe("the parts of a composition", () => {
  it("are every node that is there to be placed, each once", async () => {
    for (const template of shippedTemplates.slice(0, 20)) {
      const { read: piece } = await resolved(EVENT, template.id);
      const parts = partsOf(piece, "all");
      const ids = allNodes(parts).map(({ id }) => id);
      expect(new Set(ids).size, template.id).to.equal(ids.length);
      const words = piece.nodes.filter(({ type, strip }) => type === "text" && strip === undefined);
      expect(ids, template.id).to.include.members(words.map(({ id }) => id));
    }
  });

  it("have one text that rules, and the facts in the order in which they are read", async () => {
    const parts = await read(EVENT);
    expect(parts.headline?.text).to.equal("Market day");
    const details = slots(parts.details).filter((slot) => slot !== undefined);
    expect(details.indexOf("support")).to.be.lessThan(details.indexOf("date"));
    expect(details.indexOf("date")).to.be.lessThan(details.indexOf("place"));
    expect(parts.sender.map(({ slot }) => slot)).to.include("handle");
    expect(parts.cta?.text).to.equal("Bring a basket");
  });

  it("keep what is said before a figure with it, also where it lost a place of its own", async () => {
    const { read: whole } = await resolved("Flea market\nTable fee 5 €\nBook a table", "ticket");
    const lost = (node: ResolvedNode): ResolvedNode =>
      node.part === "before" ? { ...node, unplaced: true } : node;
    const parts = partsOf({ ...whole, nodes: whole.nodes.map(lost) }, "all");
    const words = allNodes(parts).map((node) => (node.type === "text" ? node.text : ""));
    expect(words).to.include("Table fee").and.to.include("5 €");
  });

  it("hold a price together, with what stands before and after its figure", async () => {
    const parts = await read("Winter boots\nNow €89.90\nUntil Sunday");
    const prices = parts.details.filter((item) => item.type === "price");
    const inBadge = parts.badge?.inside.filter(({ role }) => role === "price") ?? [];
    // It is one item among the words, or it stands in the badge.
    expect(prices.length > 0 || inBadge.length > 0).to.equal(true);
    for (const price of prices) {
      const read = nodesOf(price).map((node) => (node.type === "text" ? node.text : ""));
      expect(read.join("")).to.contain("89");
    }
    const back = unbadged(parts);
    expect(back.badge).to.equal(undefined);
    expect(allNodes(back).map(({ id }) => id)).to.have.members(allNodes(parts).map(({ id }) => id));
  });

  it("are read once for all sizes of a piece", async () => {
    const { read: piece } = await resolved(EVENT, "beams");
    expect(partsOf(piece, "all")).to.equal(partsOf(piece, "all"));
  });

  it("know whether there is something to look at", async () => {
    const parts = await read(EVENT, "beams");
    const { photos: _photos, ornament: _ornament, ...words } = parts;
    expect(hasMedia({ ...words, photos: [] })).to.equal(false);
  });
});

describe("what is left out where there is no room", () => {
  const equal = () => 1;

  it("is what is missed least, and of equals what is read last; never what is to be kept", async () => {
    const parts = await read(EVENT);
    const groups = droppable(parts, (node) => (node.slot === "support" ? 0 : 1));
    expect(groups[0]!.map(({ slot }) => slot)).to.deep.equal(["support"]);
    const facts = droppable(parts, equal)
      .flat()
      .flatMap(({ slot }) => slot ?? []);
    expect(facts.indexOf("place")).to.be.lessThan(facts.indexOf("date"));
    const kept: Parts = {
      ...parts,
      details: parts.details.map((item) =>
        item.type === "text" ? { ...item, always: true } : item,
      ),
    };
    const going = droppable(kept, equal)
      .flat()
      .map(({ slot }) => slot);
    expect(going).not.to.include.members(["date"]);
  });

  it("is a list as a whole, since half of one would say something else; a fact by itself", async () => {
    const parts = await read(EVENT);
    const [first] = parts.details.filter((item) => item.type === "text");
    const point = (at: number): Item => ({
      ...first!,
      id: `body-${at}`,
      role: "body",
      slot: "body",
    });
    const points = [1, 2, 3].map(point);
    expect(idsOf(listsOf(points))).to.deep.equal([["body-1", "body-2", "body-3"]]);
    expect(idsOf(listsOf(points.slice(0, 2)))).to.deep.equal([["body-1"], ["body-2"]]);
    const facts = parts.details.filter((item) => groupOf(item) === "facts");
    expect(facts).to.have.length.of.at.least(2);
    for (const group of listsOf(facts)) expect(group).to.have.length.of.at.most(3);
  });

  it("is gone from the parts, and everything else is as it was", async () => {
    const parts = await read(EVENT);
    const gone = parts.details.flatMap(nodesOf).find(({ slot }) => slot === "support")!;
    const rest = without(parts, new Set([gone.id]));
    const before = allNodes(parts).map(({ id }) => id);
    expect(allNodes(rest).map(({ id }) => id)).to.deep.equal(before.filter((id) => id !== gone.id));
    expect(without(parts, new Set())).to.deep.equal(parts);
    const headless = without(parts, new Set([parts.headline!.id, parts.cta!.id]));
    expect(headless).not.to.have.any.keys("headline", "cta");
  });
});

describe("the gaps of a composition", () => {
  it("come from one scale: inside a group at most half of what is between groups", async () => {
    const { read: piece } = await resolved(EVENT, "beams");
    for (const id of ["story", "photo-feed-square", "photo-feed-tall", "pinboard-tall"]) {
      const stage = new Stage(piece, placementById(id));
      const room = { stage, size: 30 };
      // From baseline to baseline counts the line itself; what is left is the gap.
      const inside = baselineStep(room) - room.size;
      expect(inside, id).to.be.at.most(groupGap(room) / 2 + 1e-9);
      expect(headGap(room), id).to.be.at.least(groupGap(room) - 1e-9);
    }
  });

  it("grow with the text", async () => {
    const { read: piece } = await resolved(EVENT, "beams");
    const stage = new Stage(piece, placementById("story"));
    for (const gap of [groupGap, headGap, baselineStep])
      expect(gap({ stage, size: 60 })).to.be.closeTo(2 * gap({ stage, size: 30 }), 1e-9);
  });
});
