import { expect } from "chai";
import { z } from "zod";
import { readAs } from "./documents";

describe("documents of the database", () => {
  const Old = z.object({ name: z.string(), sizes: z.array(z.object({ id: z.string() })) });
  const stored = JSON.stringify({ name: "Boats", sizes: [{ id: "story" }] });

  it("are checked once for all who read the same text, and for each schema by itself", () => {
    let checked = 0;
    const counted = Old.transform((document) => ({ ...document, checked: (checked += 1) }));
    expect(readAs(stored, counted)).to.equal(readAs(stored, counted));
    expect(checked).to.equal(1);
    expect(readAs(stored, Old)).to.deep.equal(JSON.parse(stored));
    expect(readAs(stored.replace("Boats", "Ships"), counted).name).to.equal("Ships");
    expect(checked).to.equal(2);
  });

  it("cannot be changed in place by one of them", () => {
    const document = readAs(stored, Old);
    expect(() => document.sizes.push({ id: "post" })).to.throw(TypeError);
    expect(() => (document.sizes[0]!.id = "post")).to.throw(TypeError);
  });

  it("are refused as often as they are read when they are none", () => {
    for (let times = 0; times < 2; times++)
      expect(() => readAs('{"name":1}', Old)).to.throw("expected string");
  });
});
