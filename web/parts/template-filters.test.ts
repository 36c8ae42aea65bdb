import { expect } from "chai";
import { Format, formatOf, LookName, Purpose, shippedTemplates } from "../../core/templates";
import { picturesFor } from "./previews";
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

  it("show chosen pictures first, and each begins with another of the shelf", () => {
    const shelf = ["a", "b", "c"];
    const none = { words: {}, pictures: [], shelf };
    expect([0, 1, 2, 3].map((i) => picturesFor(i, none)[0])).to.deep.equal(["a", "b", "c", "a"]);
    expect(picturesFor(1, { ...none, pictures: ["c"] })).to.deep.equal(["c", "b", "a"]);
    expect(picturesFor(5, { ...none, shelf: [] })).to.deep.equal([]);
  });
});
