import { layoutKey } from "../../piece";
import { expect } from "chai";
import { drawnFile, strangeBrands, strangeSources } from "../../../tests/support/strangers";
import { photographs, type Photograph } from "../../../tests/support/photographs";
import { change, layoutOf } from "../../../tests/support/layouts";
import { fitLead, makeScene } from "../../engine";
import { box, contains, inset } from "../../geometry";
import type { Area } from "../../files";
import { catalogue, placementById } from "../../placements";
import { check } from "../../preflight";
import { compose } from "../../scene";
import { shippedTemplates } from "../../shipped";
import { pieceOf } from "../../templates";
import type { Layout } from "../layout";
import { holdsSubject, isCut, isWhole, seenParts } from "./subjects";

const areasOf = ({ faces }: Photograph, look: number): Area[] =>
  faces.map(([x, y, width, height]) => ({ kind: "face", x, y, width, height, weight: 1, look }));

async function layouts(
  photograph: Photograph,
  templateId: string,
  { look = 0, placements = catalogue.placements } = {},
): Promise<Layout[]> {
  const brand = strangeBrands()[0]!;
  const template = shippedTemplates.find(({ id }) => id === templateId)!;
  const picture = drawnFile(photograph.bytes());
  const first = pieceOf(template, brand, { id: "x", title: "x", words: {}, pictures: [picture] });
  const sources = await strangeSources([{ piece: first, brand }]);
  const known = {
    ...sources,
    pictures: (id: string) => {
      const file = sources.pictures(id);
      const said = photograph.faces.length > 0 ? { areas: areasOf(photograph, look) } : {};
      return file && id === picture ? { ...file, ...said } : file;
    },
  };
  const { piece } = fitLead(first, brand, placementById(first.lead), known);
  return placements.map((placement) => makeScene(piece, brand, placement, known).layout);
}

const TEMPLATES = ["half-and-half", "window", "front-page", "price-on-picture"];

describe("people in a picture", () => {
  for (const [turn, template] of TEMPLATES.entries())
    it(`are whole or out in every size, and nothing lies on a face: ${template}`, async () => {
      let [shown, all] = [0, 0];
      // Each in every other size, and each size with every other one.
      const placements = catalogue.placements.filter((_, index) => (index + turn) % 2 === 0);
      for (const photograph of photographs.filter(({ faces }) => faces.length > 2)) {
        for (const layout of await layouts(photograph, template, { placements })) {
          const where = `${photograph.name} ${layout.placement.id} ${layoutKey(layout.layoutId)}`;
          const seen = layout.placed.flatMap(seenParts);
          all++;
          if (seen.length === 0) continue;
          shown++;
          if (layout.layoutId.kind === "as-arranged") continue;
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

describe("somebody who looks aside", () => {
  it("looks towards the words beside, whichever side that is", async () => {
    const man = photographs.find(({ name }) => name === "man-at-camera")!;
    for (const look of [-0.9, 0.9]) {
      const inwards = { in: 0, out: 0 };
      for (const layout of await layouts(man, "half-and-half", { look })) {
        const photo = layout.placed.find(({ node }) => node.type === "picture");
        const headline = layout.placed.find(({ node }) => node.role === "headline");
        if (!photo || !headline) continue;
        const isRight = headline.box.x >= photo.box.x + photo.box.width;
        if (!isRight && headline.box.x + headline.box.width > photo.box.x) continue;
        inwards[isRight === look > 0 ? "in" : "out"]++;
      }
      expect(inwards.in, `${look}`).to.be.above(3 * inwards.out);
    }
  });
});

describe("a thing on a flat ground", () => {
  for (const template of ["half-and-half", "window", "price-on-picture"])
    it(`is whole in every size, on a ground that goes on: ${template}`, async () => {
      const all = await layouts(
        photographs.find(({ name }) => name === "teacup")!,
        template,
      );
      let beyond = 0;
      for (const layout of all) {
        const photo = layout.placed.find(({ node }) => node.type === "picture");
        if (photo?.node.type !== "picture") continue;
        const where = `${layout.placement.id} ${layoutKey(layout.layoutId)}`;
        expect(holdsSubject(photo), where).to.equal(true);
        if (contains(box(0, 0, photo.node.file.width, photo.node.file.height), photo.crop!))
          continue;
        beyond++;
        expect(photo.ground, where).to.equal(photo.node.file.ground);
        const painted = compose(layout).items.filter(({ node }) => node === photo.node.id);
        expect(
          painted.map(({ kind }) => kind),
          where,
        ).to.deep.equal(["path", "picture"]);
      }
      expect(beyond).to.be.above(5);
    });
});

describe("a picture that no crop of its area can hold", () => {
  it("stands whole there, unstretched, and not as a stamp", async () => {
    const all = await layouts(
      photographs.find(({ name }) => name === "screenshot")!,
      "half-and-half",
    );
    let whole = 0;
    for (const { placed, placement } of all) {
      const photo = placed.find(({ node }) => node.type === "picture");
      if (photo?.node.type !== "picture") continue;
      expect(holdsSubject(photo), placement.id).to.equal(true);
      const { width, height } = photo.node.file;
      if (photo.crop!.width < width - 1 || photo.crop!.height < height - 1) continue;
      whole++;
      expect(photo.box.width / photo.box.height, placement.id).to.be.closeTo(width / height, 0.01);
      expect(photo.box.width / placement.width, placement.id).to.be.above(0.1);
    }
    expect(whole).to.be.above(5);
  });

  it("stands in the corner of the frame where its template lets pictures bleed, and on the margin where it frames them", async () => {
    for (const [template, bleeds] of [
      ["half-and-half", true],
      ["front-page", false],
    ] as const) {
      const all = await layouts(
        photographs.find(({ name }) => name === "coffee")!,
        template,
      );
      const whole = all.flatMap(({ placed, placement, safe }) => {
        const photo = placed.find(({ node }) => node.type === "picture");
        if (photo?.node.type !== "picture" || photo.crop!.height < photo.node.file.height - 1)
          return [];
        const { x, y, width, height } = photo.box;
        const edges = [x, y, placement.width - x - width, placement.height - y - height];
        const touched = edges.filter((gap) => Math.abs(gap) < 1).length;
        return [{ touched, inside: contains(inset(safe, -1), photo.box) }];
      });
      expect(whole.length, template).to.be.above(5);
      if (bleeds) expect(whole.every(({ touched }) => touched >= 2)).to.equal(true);
      else expect(whole.every(({ inside }) => inside)).to.equal(true);
    }
  });
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
      const subject = {
        box: head,
        parts: [{ kind: "face" as const, box: head, weight: 1, certain: true }],
      };
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
