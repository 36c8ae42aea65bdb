import { expect } from "chai";
import { sourcesFor } from "../../tests/support/case-sources";
import { demoBrand, demoPictures } from "../../tests/support/demo";
import { applyVariation } from "../batch";
import type { Brand } from "../brand";
import { shownSlots, wordSlots } from "../completion";
import { fittedPiece, makeScene } from "../engine";
import { isPicture, isText, type Piece } from "../piece";
import { placementById } from "../placements";
import { check } from "../preflight";
import type { Sources } from "../resolve";
import {
  readOutline,
  slideCount,
  slideOf,
  stripRoles,
  withSlide,
  withSlideMoved,
  type OutlineSlide,
} from "../strip";
import { carousels } from "../shipped";
import {
  designOf,
  inSet,
  inSpread,
  moodOf,
  pictureSlots,
  pieceOf,
  spreadFor,
  Template,
} from "./index";

const PICTURES = demoPictures();
const BRANDS = [demoBrand("quillmere"), demoBrand("saltlight")];
const NAMES = { nameOf: (id: string) => id, idOf: (name: string) => PICTURES[Number(name)] };
const LEAD = placementById("photo-feed-tall");

/** Nothing that any set was drawn with: German, long words, two pictures, a quotation, more slides than most have. */
const OUTLINE = readOutline(`# Fünf Fehler beim Brotbacken
kicker: Backstube
support: Und wie man sie vermeidet

# Zu wenig Geduld
Teig braucht Zeit. Zwölf Stunden im Kühlschrank sind besser als zwei neben der Heizung.

# Das falsche Mehl
- Type 550 für Weißbrot
- Type 1150 für Roggenbrot
- Vollkorn nur frisch gemahlen

![Ein Boot](0)
# Kalter Ofen

# Feuchtigkeitsschwankungen
Ein nasses Tuch hilft.
![Ein Haus](1)

---
figure: 80 %
headline: Wasser sind zu viel für den Anfang

---
> Erst als ich den Ofen eine Stunde vorheizte, ging das Brot auf.
author: Eine Leserin

# Zu früh angeschnitten

# Jetzt du
call-to-action: Schreib uns
site: brot.example
`);

const begun = (template: Template, brand: Brand, outline: OutlineSlide[] = []): Piece =>
  pieceOf(template, brand, {
    id: template.id,
    title: template.name,
    words: {},
    outline,
    names: NAMES,
    pictures: outline.length > 0 ? [] : PICTURES.slice(0, pictureSlots(template).length),
  });

const slidesOf = (strip: Piece): Piece[] =>
  Array.from({ length: slideCount(strip) }, (_, index) => slideOf(strip, index));

const textsOf = ({ message }: Pick<Piece, "message">): string[] =>
  Object.values(message).flatMap((filling) => (isText(filling) ? [filling.text] : []));

describe("carousels to begin with", () => {
  let sources: Sources;
  before(async () => {
    sources = await sourcesFor(
      BRANDS.flatMap((brand) =>
        carousels.flatMap((template) =>
          [begun(template, brand), begun(template, brand, OUTLINE)].flatMap((strip) =>
            slidesOf(strip).map((piece) => ({ piece, brand })),
          ),
        ),
      ),
    );
  });

  const fitted = (strip: Piece, brand: Brand): Piece =>
    slidesOf(strip).reduce(
      (done, slide, index) => withSlide(done, index, fittedPiece(slide, brand, LEAD, sources)),
      strip,
    );

  it("are ten and more, each with slides for several roles, running items and a last slide", () => {
    expect(carousels.length).to.be.at.least(10);
    expect(new Set(carousels.map(({ id }) => id)).size).to.equal(carousels.length);
    for (const { id, design } of carousels) {
      const roles = (design.slides ?? []).map(({ role }) => role);
      expect(new Set(roles).size, id).to.be.at.least(2);
      expect(roles.length, id).to.be.within(4, 7);
      expect(roles.at(-1), id).to.equal("ask");
      expect(design.running?.length, id).to.be.at.least(1);
    }
  });

  for (const brand of BRANDS)
    it(`stand in ${brand.id} as they were drawn`, () => {
      const broken = carousels.flatMap((template) =>
        slidesOf(begun(template, brand)).flatMap((slide, index) => {
          const { layout } = makeScene(slide, brand, LEAD, sources);
          if (layout.layoutId.kind !== "as-arranged") return [`${template.id} ${index + 1} anew`];
          return check(layout)
            .filter(({ level, code }) => level === "must-fix" && code !== "subject-covered")
            .map(({ code, node }) => `${template.id} ${index + 1} ${code} ${node}`);
        }),
      );
      expect(broken).to.deep.equal([]);
    });

  BRANDS.forEach((brand, turn) => {
    it(`show every word of an outline in ${brand.id}, break no rule, and no slide is like all others`, () => {
      const places = ["photo-feed-tall", turn === 0 ? "story" : "photo-feed-square"];
      for (const template of carousels) {
        const strip = fitted(begun(template, brand, OUTLINE), brand);
        expect(slideCount(strip)).to.equal(OUTLINE.length);
        expect(strip.slides!.map(textsOf)).to.deep.equal(
          OUTLINE.slice(1).map(({ words }) => words.map(([, text]) => text)),
        );
        for (const [index, slide] of slidesOf(strip).entries())
          for (const place of places) {
            const what = `${template.id} ${index + 1} ${place}`;
            const { layout } = makeScene(slide, brand, placementById(place), sources);
            const broken = check(layout).filter(({ level }) => level === "must-fix");
            expect(
              broken.map(({ code, node }) => `${code} ${node}`),
              what,
            ).to.deep.equal([]);
            const placed = new Set(layout.placed.map(({ node }) => node.id));
            const seen = shownSlots(layout.resolved.piece, (id) => placed.has(id));
            const missing = wordSlots(slide).filter((slot) => !seen.includes(slot));
            expect(missing, what).to.deep.equal([]);
          }
        const kinds = new Set(strip.slides!.map(({ arrangement }) => JSON.stringify(arrangement)));
        expect(kinds.size, template.id).to.be.at.least(4);
      }
    });
  });

  it("are read as one set: between the first slide and the last, headlines are equally large", () => {
    const brand = BRANDS[1]!;
    let equal = 0;
    for (const template of carousels) {
      const strip = fitted(begun(template, brand, OUTLINE), brand);
      for (const place of ["story", "photo-feed-square"]) {
        const sizes = new Map<"with more" | "alone" | "last", number[]>();
        slidesOf(strip).forEach((slide, index, all) => {
          if (index === 0 || slide.message.quote || slide.message.figure) return;
          const { layout } = makeScene(slide, brand, placementById(place), sources);
          const size = layout.placed.find(({ node }) => node.slot === "headline")?.text?.set.size;
          if (size === undefined) return;
          const { headline: _, ...rest } = (strip.slides ?? [])[index - 1]!.message;
          const kind =
            index === all.length - 1
              ? "last"
              : Object.keys(rest).length > 0
                ? "with more"
                : "alone";
          sizes.set(kind, [...(sizes.get(kind) ?? []), size]);
        });
        const what = `${template.id} ${place}`;
        const among = sizes.get("with more")!;
        const most = Math.max(...among);
        const least = Math.min(...among);
        if (least > 0.99 * most) equal++;
        // Where a number or a line of its own takes room on one, that is set by itself.
        else expect(least, what).to.be.at.least(0.75 * most);
        for (const kind of ["alone", "last"] as const)
          for (const size of sizes.get(kind) ?? []) expect(size, what).to.be.at.most(1.61 * most);
      }
    }
    expect(equal / (2 * carousels.length)).to.be.at.least(0.75);
  });

  it("take another spread as a whole: what stood on the opposite ground stands on the other one's", () => {
    const brand = BRANDS[0]!;
    const template = carousels.find(({ design }) => design.slides!.at(-1)!.turned)!;
    const strip = begun(template, brand, OUTLINE);
    const own = { ...strip.slides![1]!, spread: { backdrop: "paper" } };
    const styled = { ...strip, slides: strip.slides!.with(1, own) };
    const light = spreadFor(brand, moodOf(brand, strip.spread) === "light" ? "dark" : "light");
    const other = inSpread(styled, light, brand);
    expect(other.spread).to.deep.equal(light);
    const last = slidesOf(other).at(-1)!.spread;
    expect(moodOf(brand, last)).to.equal(moodOf(brand, strip.spread));
    expect(last).to.not.deep.equal(slidesOf(strip).at(-1)!.spread);
    // A person's own colours stay.
    expect(slidesOf(other)[2]!.spread).to.deep.equal({ backdrop: "paper" });
    const made = applyVariation(styled, { message: {}, spread: light }, { brand, templates: [] });
    expect(made).to.deep.equal(other);
  });

  it("count their numbers anew when slides change places, up and down", () => {
    const numbers = (strip: Piece) =>
      slidesOf(strip).map(({ message }) => {
        const counted = message["running-number"] ?? message["running-countdown"];
        return isText(counted) ? counted.text : "";
      });
    const of = (id: string) =>
      begun(
        carousels.find((one) => one.id === id)!,
        BRANDS[0]!,
      );
    const steps = of("slides-steps");
    expect(numbers(steps)).to.deep.equal(["", "1", "2", "", "3", "", ""]);
    expect(numbers(withSlideMoved(steps, 4, 1))).to.deep.equal(["", "1", "2", "3", "", "", ""]);
    expect(numbers(of("slides-countdown"))).to.deep.equal(["", "4", "3", "2", "1", ""]);
    // What is counted is never stored.
    const slide = slideOf(steps, 1);
    expect(withSlide(steps, 1, slide)).to.deep.equal(steps);
  });

  it("leave out slides that are made for pictures where a brand has none to show", () => {
    for (const template of carousels) {
      const bare = pieceOf(template, BRANDS[0]!, {
        id: template.id,
        title: template.name,
        words: {},
        pictures: [],
      });
      const framed = bare.slides!.filter(({ arrangement }) =>
        arrangement.some(({ kind, role }) => kind === "picture" && role !== "logo"),
      );
      expect(framed, template.id).to.deep.equal([]);
      expect(bare.slides!.length, template.id).to.be.at.least(3);
    }
  });

  it("carry a panorama and drawings over any number of slides, up to those that they leave free", () => {
    const of = (id: string) => carousels.find((one) => one.id === id)!;
    const count = OUTLINE.length;
    const { across = [] } = pieceOf(of("slides-panorama"), BRANDS[0]!, {
      id: "wide",
      title: "Wide",
      words: {},
      outline: OUTLINE,
      pictures: PICTURES.slice(0, 2),
    });
    expect(across.map(({ picture }) => picture)).to.deep.equal(PICTURES.slice(0, 2));
    expect(across[1]!.at.x).to.equal(across[0]!.at.x + across[0]!.at.width);
    expect(across[1]!.at.x + across[1]!.at.width).to.equal(count - 1);
    const [line] = begun(of("slides-one-line"), BRANDS[0]!, OUTLINE).across!;
    expect(line!.at.width).to.equal(count);
  });

  it("take over from one another: words, other wordings and what is known of pictures stay", () => {
    const brand = BRANDS[0]!;
    const from = begun(carousels[0]!, brand, OUTLINE);
    const headline = { text: "Zu wenig Geduld", alternatives: ["Ungeduld"], varies: true };
    const area = { kind: "face", x: 0.1, y: 0.1, width: 0.2, height: 0.2 } as const;
    const at = { x: 0.5, y: 0.1, width: 1, height: 0.1 };
    const line = { id: "line", kind: "text", text: "Across the fold", at, style: {} } as const;
    const strip: Piece = {
      ...from,
      across: [...(from.across ?? []), line],
      slides: from.slides!.map((slide, index) => {
        if (index === 0)
          return { ...slide, role: "proof", message: { ...slide.message, headline } };
        const message = Object.entries(slide.message).map(([slot, filling]) => [
          slot,
          isPicture(filling) ? { ...filling, areas: [area] } : filling,
        ]);
        return { ...slide, message: Object.fromEntries(message) as Piece["message"] };
      }),
    };
    for (const template of carousels) {
      const to = inSet(strip, template, brand);
      expect(to.slides![0], template.id).to.deep.include({ role: "proof", id: "slide-2" });
      expect(to.slides![0]!.message.headline, template.id).to.deep.equal(headline);
      expect(to.slides!.map(textsOf)).to.deep.equal(strip.slides!.map(textsOf));
      expect(
        (to.across ?? []).filter(({ kind }) => kind === "text").map(({ text }) => text),
        template.id,
      ).to.deep.equal(["Across the fold"]);
      const kept = to.slides!.flatMap(({ message }) => Object.values(message)).filter(isPicture);
      expect(
        kept.map(({ areas }) => areas),
        template.id,
      ).to.deep.equal([[area], [area]]);
    }
  });

  it("are made of a strip of the house, which opens as a new one in another brand and length", () => {
    const [brand, other] = BRANDS as [Brand, Brand];
    const strip = begun(carousels[0]!, brand, OUTLINE);
    const template = Template.parse({
      ...carousels[0]!,
      id: "ours",
      name: "Ours",
      design: designOf(strip),
    });
    const again = begun(template, brand);
    expect(slidesOf(again).map(textsOf)).to.deep.equal(slidesOf(strip).map(textsOf));
    expect(again.running).to.deep.equal(strip.running);
    const short = begun(template, other, OUTLINE.slice(0, 3));
    expect(slideCount(short)).to.equal(3);
    expect(stripRoles(short)[0]).to.equal("title");
    // Colours of a slide's own are the other brand's.
    const named = new Set(other.colours.map(({ id }) => id));
    for (const { spread } of begun(template, other).slides!)
      for (const token of Object.values(spread ?? {}))
        expect(named.has(token.split("/")[0]!) || token.includes(":"), token).to.equal(true);
  });
});
