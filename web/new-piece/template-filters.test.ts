import { expect } from "chai";
import { shippedTemplates } from "../../core/shipped";
import { Format, formatOf, LookName, Purpose } from "../../core/templates";
import { picturesFor } from "../common/previews";
import { isFound, NO_FILTERS, type Filters } from "./template-filters";

const found = (filters: Partial<Filters>) =>
  shippedTemplates.filter((template) => isFound(template, { ...NO_FILTERS, ...filters }));

describe("templates that are looked for", () => {
  it("are all there without a filter, and some for every purpose, look and format", () => {
    expect(found({})).to.have.lengthOf(shippedTemplates.length);
    for (const purpose of Purpose.options) expect(found({ purpose }), purpose).to.not.be.empty;
    for (const look of LookName.options) expect(found({ look }), look).to.not.be.empty;
    for (const format of Format.options) expect(found({ format }), format).to.not.be.empty;
  });

  it("are those that everything holds for", () => {
    const ids = found({ format: "story", pictures: "0", purpose: "list" }).map(({ id }) => id);
    expect(ids).to.deep.equal(["story-list"]);
    expect(found({ find: "  TICK " }).map(({ id }) => id)).to.deep.equal(["ticket"]);
    expect(
      found({ occasion: "harvest" }).every(({ occasions }) => occasions.includes("harvest")),
    ).to.equal(true);
    expect(formatOf(shippedTemplates.find(({ id }) => id === "pin-list")!)).to.equal("pin");
  });

  it("show what they were drawn for with pictures of the shelf, as long as nothing is said or chosen", () => {
    const template = shippedTemplates.find(({ id }) => id === "three-views")!;
    const shelf = ["a", "b", "c", "d"];
    const none = { words: {}, pictures: [], shelf };
    const first = [0, 1, 2, 3, 4].map((i) => picturesFor(template, i, none)[0]);
    expect(first).to.deep.equal(["a", "b", "c", "d", "a"]);
    expect(picturesFor(template, 1, none)).to.deep.equal(["b", "c", "d"]);
    expect(picturesFor(template, 1, { ...none, pictures: ["c"] })).to.deep.equal(["c"]);
    expect(picturesFor(template, 1, { ...none, words: { headline: "Tea" } })).to.deep.equal([]);
    expect(picturesFor(template, 5, { ...none, shelf: [] })).to.deep.equal([]);
  });
});
