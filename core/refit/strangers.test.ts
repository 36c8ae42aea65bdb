import { expect } from "chai";
import { messages, strangeBrands, strangeSources } from "../../tests/support/strangers";
import type { Brand } from "../brand";
import { fitLead, makeScene } from "../engine";
import { isFact, sortMessage, wordsOf } from "../message";
import { catalogue, placementById, roomOf } from "../placements";
import { check, reportOf, type LayoutReport } from "../preflight";
import { shippedTemplates } from "../shipped";
import { pieceOf, type Template } from "../templates";

/** Templates of unlike kinds: words alone, a badge, a pattern, a card, a picture that is not given. */
const TEMPLATES = ["big-words", "price-plate", "slope", "one-question", "half-and-half"].map((id) =>
  shippedTemplates.find((one) => one.id === id)!,
);
const PLACES = catalogue.placements.filter(({ use }) => use !== "profile");
const ROOMY = PLACES.filter((placement) => roomOf(placement) === "all");

async function reports(
  typed: string,
  brand: Brand,
  template: Template,
  places = PLACES,
): Promise<LayoutReport[]> {
  const words = wordsOf(sortMessage(typed));
  const first = pieceOf(template, brand, { id: "x", title: "x", words, pictures: [] });
  const sources = await strangeSources([{ piece: first, brand }]);
  const { piece } = fitLead(first, brand, placementById(first.lead), sources);
  return places.map((placement) => reportOf(makeScene(piece, brand, placement, sources).layout));
}

describe("messages and brands that no template knows", () => {
  it("come out with every word, every fact and the brand's sign wherever there is room for a message", async () => {
    let [large, whole, facts, signed] = [0, 0, 0, 0];
    const brands = strangeBrands();
    expect(messages.length).to.be.at.least(30);
    for (const [i, { typed }] of messages.entries()) {
      const [brand, template] = [brands[i % brands.length]!, TEMPLATES[i % TEMPLATES.length]!];
      // Each message on every other of the sizes with room for all, and each of these with every other message.
      const places = ROOMY.filter((_, index) => (index + i) % 2 === 0);
      for (const { slots, shown, nodes } of await reports(typed, brand, template, places)) {
        const missing = slots.filter((slot) => !shown.includes(slot));
        large++;
        if (missing.length === 0) whole++;
        if (!missing.some(isFact)) facts++;
        if (nodes.some(({ role }) => role === "logo")) signed++;
      }
    }
    expect(whole / large).to.be.at.least(0.96);
    expect(facts / large).to.be.at.least(0.99);
    expect(signed / large).to.be.at.least(0.95);
  }).timeout(120_000);

  const odd: Record<string, string> = {
    "one character": "?",
    "five thousand characters": "word and ".repeat(555),
    "sixty lines": Array.from({ length: 60 }, (_, i) => `Line ${i}`).join("\n"),
    "emoji alone": "🍲🥣🎈",
    "a line of 300 letters": "n".repeat(300),
    "both directions": "ورشة الخط Calligraphy עם קפה\nSaturday 12 April",
  };
  for (const [name, typed] of Object.entries(odd))
    it(`come out as something with findings, and never empty: ${name}`, async () => {
      for (const brand of strangeBrands().slice(1, 4)) {
        for (const { placement, nodes } of await reports(
          typed.slice(0, 2000),
          brand,
          TEMPLATES[0]!,
        ))
          if (roomOf(placementById(placement)) === "all") {
            const words = nodes.filter(
              ({ role, fontSize }) => fontSize !== undefined || role === "logo",
            );
            expect(words, `${brand.id} ${placement}`).not.to.be.empty;
          }
      }
    });

  it("have a logo that is seen, whatever its shape and whatever the ground", async () => {
    for (const brand of strangeBrands()) {
      const words = { headline: "Late strings", date: "Friday 14 November" };
      for (const { backdrop } of brand.colours.map(({ id }) => ({ backdrop: id }))) {
        const first = pieceOf(TEMPLATES[0]!, brand, { id: "x", title: "x", words, pictures: [] });
        const piece = { ...first, spread: { ...first.spread, backdrop } };
        const sources = await strangeSources([{ piece, brand }]);
        const { layout } = makeScene(piece, brand, placementById("photo-feed-tall"), sources);
        const logo = layout.placed.find(({ node }) => node.role === "logo");
        expect(logo, `${brand.id} ${backdrop}`).not.to.equal(undefined);
        const codes = check(layout).map(({ code }) => code);
        expect(codes, `${brand.id} ${backdrop}`).not.to.include("logo-ground");
      }
    }
  });
});
