import { expect } from "chai";
import { strangeBrands, strangeSources } from "../../../tests/support/strangers";
import { fitLead, makeScene } from "../../engine";
import { sortMessage, wordsOf } from "../../message";
import { catalogue, placementById, roomOf } from "../../placements";
import { shippedTemplates } from "../../shipped";
import { pieceOf } from "../../templates";
import type { Layout } from "../layout";

const FRAMES = catalogue.placements.filter(({ use }) => use !== "profile");

async function layouts(typed: string, templateId: string, brandId: string, places = FRAMES) {
  const brand = strangeBrands().find(({ id }) => id === brandId)!;
  const template = shippedTemplates.find(({ id }) => id === templateId)!;
  const words = wordsOf(sortMessage(typed));
  const first = pieceOf(template, brand, { id: "x", title: "x", words, pictures: [] });
  const sources = await strangeSources([{ piece: first, brand }]);
  const { piece } = fitLead(first, brand, placementById(first.lead), sources);
  return places.map((placement) => makeScene(piece, brand, placement, sources).layout);
}

const sizeOf = (layout: Layout, role: string): number =>
  layout.placed.find(({ node }) => node.role === role)?.text?.set.size ?? 0;

describe("words that rule", () => {
  const FIGURE = "87 %\nof our bread is gone by noon\nCounted every day in May\nCome early";

  for (const template of ["beams", "rings", "slope"])
    it(`are a figure, over its headline and far larger, also where none was drawn: ${template}`, async () => {
      const at = ["story", "photo-feed-square", "community-link", "pinboard-tall"];
      for (const layout of await layouts(FIGURE, template, "tollgate", at.map(placementById))) {
        const figure = layout.placed.find(({ node }) => node.role === "figure")!;
        const headline = layout.placed.find(({ node }) => node.role === "headline")!;
        const { id } = layout.placement;
        expect(sizeOf(layout, "figure") / sizeOf(layout, "headline"), id).to.be.above(1.6);
        const over = figure.box.y < headline.box.y || figure.box.x < headline.box.x;
        expect(over, id).to.equal(true);
      }
    });

  const SENTENCE =
    "When the river rose for the third time in a single winter, the people of Lower Weir carried every book of the little library up the hill by hand, in a line of two hundred neighbours that lasted until dawn";

  it("are set as text where they are a sentence, and leave room for the appeal and the sign", async () => {
    expect(SENTENCE.length).to.be.above(190);
    for (const brand of ["tollgate", "nologo", "night"])
      for (const layout of await layouts(
        `${SENTENCE}\nRead the story\n@lower.weir`,
        "rings",
        brand,
        FRAMES.filter((one) => roomOf(one) === "all" && one.use !== "cover"),
      )) {
        const roles = layout.placed.map(({ node }) => node.role);
        expect(roles, `${brand} ${layout.placement.id}`).to.include.members(["headline", "cta"]);
        const headline = layout.placed.find(({ node }) => node.role === "headline")!;
        expect(headline.text!.set.lines.length).to.be.at.most(16);
        expect(headline.text!.set.size).to.be.above(layout.floor);
      }
  });

  it("leave every fact its place on covers and on small squares", async () => {
    const event =
      "Slow yoga at seven\nFor stiff backs\nEvery Tuesday, 7:00\nat Studio Nine\n€ 12 a class\nReserve a mat";
    const at = ["community-page-cover", "microblog-header", "newsletter-header", "pinboard-square"];
    for (const brand of strangeBrands())
      for (const layout of await layouts(event, "rings", brand.id, at.map(placementById))) {
        const slots = layout.placed.map(({ node }) => node.slot);
        const where = `${brand.id} ${layout.placement.id}`;
        expect(slots, where).to.include.members(["date", "place", "price", "call-to-action"]);
      }
  });
});

describe("a profile picture", () => {
  it("has a word mark over the piece's ornament, and a compact mark alone", async () => {
    const avatar = [placementById("photo-feed-avatar")];
    const rolesOf = async (brand: string, template = "rings") =>
      (await layouts("Late strings", template, brand, avatar))[0]!.placed.map(
        ({ node }) => node.role,
      );
    expect(await rolesOf("longword")).to.include.members(["logo", "ornament"]);
    expect(await rolesOf("night")).not.to.include("ornament");
    // A slim mark stands on the round of the piece, as its words do elsewhere.
    expect(await rolesOf("pale", "price-plate")).to.deep.equal(["backdrop", "ornament", "logo"]);
  });
});
