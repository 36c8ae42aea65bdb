import { expect } from "chai";
import { demoBrand } from "../../../tests/support/demo";
import { photographs } from "../../../tests/support/photographs";
import { drawnFile, strangeSources } from "../../../tests/support/strangers";
import { fittedPiece } from "../../engine";
import { isPicture } from "../../piece";
import { placementById } from "../../placements";
import { shippedTemplates } from "../../shipped";
import { pieceOf } from "../../templates";

const idOf = (name: string) => drawnFile(photographs.find((one) => one.name === name)!.bytes());

async function framed(templateId: string, names: readonly string[]): Promise<string[]> {
  const brand = demoBrand("quillmere");
  const template = shippedTemplates.find(({ id }) => id === templateId)!;
  const pictures = names.map(idOf);
  const wanted = { id: "x", title: "x", words: {}, pictures };
  const first = pieceOf(template, brand, wanted);
  const sources = await strangeSources([{ piece: first, brand }]);
  const { message } = fittedPiece(first, brand, placementById(first.lead), sources);
  return ["picture", "picture-2", "picture-3"].flatMap((slot) => {
    const filling = message[slot];
    return isPicture(filling) ? [names[pictures.indexOf(filling.picture)]!] : [];
  });
}

describe("several pictures in their frames", () => {
  it("stand where they are whole: a wide thing in the wide frame, an upright one in the upright", async () => {
    // The first frame of this template is upright, the other two are wide.
    const given = await framed("three-views", ["multimeter", "cutlery", "coffee"]);
    expect(given).to.deep.equal(["multimeter", "cutlery", "coffee"]);
    const turned = await framed("three-views", ["clipper", "multimeter", "coffee"]);
    expect(turned[0]).to.equal("multimeter");
    expect([...turned].sort()).to.deep.equal(["clipper", "coffee", "multimeter"]);
  });

  it("stay in their order where nothing is won, as before and after do", async () => {
    for (const pair of [
      ["goldfish", "multimeter"],
      ["multimeter", "goldfish"],
    ])
      expect(await framed("then-and-now", pair)).to.deep.equal(pair);
  });
});
