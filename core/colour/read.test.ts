import { expect } from "chai";
import { probablyMeant, readColour } from "./index";

describe("colours as they are typed", () => {
  it("are read in every usual form", () => {
    for (const text of [
      "#123A3F",
      "123a3f",
      " #123a3f ",
      "rgb(18, 58, 63)",
      "rgb(18 58 63)",
      "#123a3f;",
    ]) {
      expect(readColour(text), text).to.equal("#123A3F");
    }
    // CSS Color 4: named colours, three-digit hex, hsl().
    expect(readColour("rebeccapurple")).to.equal("#663399");
    expect(readColour("#f80")).to.equal("#FF8800");
    expect(readColour("hsl(120, 100%, 25%)")).to.equal("#008000");
    expect(readColour("oklch(0.628 0.2577 29.23)")).to.equal("#FF0000");
  });

  it("are brought into sRGB when they lie outside", () => {
    expect(readColour("oklch(0.9 0.4 150)")).to.match(/^#[0-9A-F]{6}$/);
  });

  it("are not guessed silently, but what was meant is offered", () => {
    for (const text of ["", "#12", "tide", "#12345G", "none"])
      expect(readColour(text), text).to.equal(undefined);
    expect(probablyMeant("#I23A3F")).to.equal("#123A3F");
    expect(probablyMeant("#123A3FF0O")).to.equal("#123A3F");
    expect(probablyMeant("blau")).to.equal(undefined);
  });
});
