import { expect } from "chai";
import { demoBrand, demoSources } from "../../tests/support/demo";
import { fitLead } from "../engine";
import { placementById } from "../placements";
import type { Sources } from "../resolve";
import { carousels } from "../shipped";
import { readOutline, slideCount, slideOf } from "../strip";
import { pieceOf } from "../templates";
import { inOrder, offerStrip } from "./index";

const LEAD = placementById("photo-feed-tall");
const NAMES = { nameOf: (id: string) => id, idOf: () => undefined };

const SAID = `# What our guests say
support: Three stays, three voices
---
> I came for a weekend and stayed for a month.
author: Marta
---
> The kitchen alone is worth the train ride.
author: Jonas
---
> Quiet in the right places.
# Come and see
call-to-action: Book a room`;

const COUNTED = `# The year in numbers
---
figure: 73 %
headline: of our members came back
---
figure: 12 400
headline: loaves baked
Most of them on Saturdays.
---
figure: 9
headline: new recipes
# Join us in spring
call-to-action: Become a member`;

const TOLD = `# Five mistakes with sourdough
# Too little patience
Dough needs time. Twelve hours in the fridge beat two by the radiator.
# The wrong flour
Strong flour carries the bubbles.
# A cold oven
Heat it for an hour, stone and all.
# Your turn
call-to-action: Show us your loaf`;

describe("carousel sets that are offered for an outline", () => {
  let sources: Sources;
  before(async () => (sources = await demoSources()));

  const offered = (text: string, brandId = "quillmere"): string[] => {
    const brand = demoBrand(brandId);
    const about = {
      title: "Told",
      words: {},
      outline: readOutline(text),
      names: NAMES,
      pictures: [],
    };
    const offers = carousels.map((template) => {
      const strip = pieceOf(template, brand, { ...about, id: template.id });
      const slides = Array.from({ length: slideCount(strip) }, (_, at) =>
        fitLead(slideOf(strip, at), brand, LEAD, sources),
      );
      return { id: template.id, ...offerStrip(template, strip, slides, brand) };
    });
    return inOrder(offers).map(({ id }) => id);
  };

  it("begin with one that is drawn for what it says, in any brand", () => {
    for (const brand of ["quillmere", "saltlight"]) {
      expect(offered(SAID, brand)[0], brand).to.equal("slides-voices");
      expect(offered(COUNTED, brand)[0], brand).to.equal("slides-figures");
      expect(["slides-steps", "slides-countdown"], brand).to.include(offered(TOLD, brand)[0]);
    }
  });

  it("end with those that are half empty without a picture", () => {
    const last = offered(TOLD).slice(-3);
    expect(last).to.have.members(["slides-panorama", "slides-pictures", "slides-recipe"]);
  });

  it("are whole pieces, each slide as it was fitted", () => {
    const brand = demoBrand("quillmere");
    const [template] = carousels;
    const about = {
      title: "Told",
      words: {},
      outline: readOutline(TOLD),
      names: NAMES,
      pictures: [],
    };
    const strip = pieceOf(template!, brand, { ...about, id: "told" });
    const slides = Array.from({ length: slideCount(strip) }, (_, at) =>
      fitLead(slideOf(strip, at), brand, LEAD, sources),
    );
    const { piece } = offerStrip(template!, strip, slides, brand);
    expect(slideCount(piece)).to.equal(5);
    for (const [at, slide] of slides.entries())
      expect(slideOf(piece, at).arrangement).to.deep.equal(slide.piece.arrangement);
  });
});
