import { expect } from "chai";
import { bestOf, worthOf, type Found } from "./match";

const go = (): void => undefined;
const boats: Found = { kind: "Piece", name: "Opening announcement", about: "Boats at Rest", go };
const crate: Found = { kind: "Crate", name: "Boats at Rest", go };
const cafe: Found = { kind: "Brand kit", name: "Café Nüßlein", go };
const tall: Found = { kind: "Placement", name: "Photo feed, tall", about: "1080 × 1350", go };

describe("finding", () => {
  it("takes the beginnings of words, whatever their order, case and accents", () => {
    expect(worthOf(cafe, "cafe nus")).to.equal(0);
    expect(worthOf(cafe, "CAFE")).to.be.greaterThan(0);
    expect(worthOf(boats, "rest open")).to.be.greaterThan(0);
    expect(worthOf(boats, "pening")).to.equal(0);
    expect(worthOf(tall, "1350")).to.be.greaterThan(0);
    expect(worthOf(boats, "boats piece")).to.be.greaterThan(0);
  });

  it("puts what is called so before what only belongs to it", () => {
    expect(bestOf([boats, crate], "boats at", 5)).to.deep.equal([crate, boats]);
    expect(bestOf([boats, crate, cafe], "", 2)).to.deep.equal([boats, crate]);
    expect(bestOf([boats, crate], "harbour", 5)).to.deep.equal([]);
  });
});
