import { expect } from "chai";
import { drawnFile, strangeBrands, strangeSources } from "../../tests/support/strangers";
import { photographs, type Photograph } from "../../tests/support/photographs";
import { change, layoutOf } from "../../tests/support/layouts";
import { begin, makeScene } from "../engine";
import type { Area } from "../files";
import { catalogue, placementById } from "../placements";
import { check } from "../preflight";
import { pieceOf, shippedTemplates } from "../templates";
import type { Layout } from "./layout";
import { isCut, isWhole, seenParts } from "./subjects";

const areasOf = ({ faces }: Photograph): Area[] =>
  faces.map(([x, y, width, height]) => ({ kind: "face", x, y, width, height, weight: 1 }));

async function layouts(photograph: Photograph, templateId: string): Promise<Layout[]> {
  const brand = strangeBrands()[0]!;
  const template = shippedTemplates.find(({ id }) => id === templateId)!;
  const picture = drawnFile(photograph.bytes());
  const first = pieceOf(template, brand, { id: "x", title: "x", words: {}, pictures: [picture] });
  const sources = await strangeSources([{ piece: first, brand }]);
  const known = {
    ...sources,
    pictures: (id: string) => {
      const file = sources.pictures(id);
      return file && id === picture ? { ...file, areas: areasOf(photograph) } : file;
    },
  };
  const { piece } = begin(first, brand, placementById(first.lead), known);
  return catalogue.placements.map((placement) => makeScene(piece, brand, placement, known).layout);
}

describe("people in a picture", () => {
  for (const template of ["half-and-half", "window", "front-page", "price-on-picture"])
    it(`are whole or out in every size, and nothing lies on a face: ${template}`, async () => {
      let [shown, all] = [0, 0];
      for (const photograph of photographs.filter(({ faces }) => faces.length > 0)) {
        for (const layout of await layouts(photograph, template)) {
          const where = `${photograph.name} ${layout.placement.id} ${layout.via}`;
          const seen = layout.placed.flatMap(seenParts);
          all++;
          if (seen.length === 0) continue;
          shown++;
          if (layout.via === "as arranged") continue;
          expect(seen.some(isCut), where).to.equal(false);
          expect(seen.some(isWhole), where).to.equal(true);
          const codes = check(layout).map(({ code }) => code);
          expect(codes, where).not.to.include.members(["subject-covered"]);
        }
      }
      // A picture of people is worth a place: it goes only from strips and the smallest.
      expect(shown / all).to.be.above(0.7);
    }).timeout(60_000);
});

describe("preflight of people", () => {
  const face: Area = { kind: "face", x: 0.4, y: 0.3, width: 0.2, height: 0.3, weight: 1 };

  async function withFace(placement: string, at: Partial<Area> = {}): Promise<Layout> {
    const layout = await layoutOf(placement);
    return change(layout, "photo", (item) => {
      if (item.node.type !== "picture") throw new Error("not a picture");
      const { file } = item.node;
      const { x, y, width, height } = { ...face, ...at };
      const head = {
        x: x * file.width,
        y: y * file.height,
        width: width * file.width,
        height: height * file.height,
      };
      const subject = { box: head, parts: [{ kind: "face" as const, box: head, weight: 1 }] };
      return { ...item, node: { ...item.node, subject } };
    });
  }

  it("names a head that the crop cuts, with how much of it is left", async () => {
    const layout = await withFace("photo-feed-tall");
    const cut = change(layout, "photo", (item) => {
      if (item.node.type !== "picture") throw new Error("not a picture");
      const { x, width } = item.node.subject.box;
      return { ...item, crop: { ...item.crop!, x: x + 0.4 * width } };
    });
    const finding = check(cut).find(({ code }) => code === "subject-cut")!;
    expect(finding).to.include({ level: "must-fix", unit: "percent" });
    expect(finding.measured).to.be.closeTo(60, 5);
  });

  it("names a head under the channel's bars", async () => {
    const layout = await layoutOf("story");
    const photo = layout.placed.find(({ node }) => node.id === "photo")!;
    if (photo.node.type !== "picture") throw new Error("not a picture");
    const { file } = photo.node;
    const y = photo.crop!.y / file.height;
    const codes = check(await withFace("story", { y, height: 0.08 })).map(({ code }) => code);
    expect(codes).to.include("face-under-channel");
    expect(check(layout).map(({ code }) => code)).not.to.include("face-under-channel");
  });
});
