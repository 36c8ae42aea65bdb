import { expect } from "chai";
import type { PictureFile } from "../../core/files";
import { area, box, intersect } from "../../core/geometry";
import { photographs, type Photograph } from "../../tests/support/photographs";
import { inspectPicture } from "./inspect";

const known = new Map<string, Promise<PictureFile>>();

function looked({ bytes, name }: Photograph): Promise<PictureFile> {
  if (!known.has(name)) known.set(name, inspectPicture(bytes(), name));
  return known.get(name)!;
}

const of = (...kinds: Photograph["kind"][]): Photograph[] =>
  photographs.filter(({ kind }) => kinds.includes(kind));

describe("what a picture shows", () => {
  it("is boxed about as a person does it, in things and animals", async () => {
    const overlaps: number[] = [];
    for (const one of of("thing")) {
      const [found] = (await looked(one)).areas ?? [];
      const [x, y, width, height] = one.things[0]!;
      const [a, b] = [
        box(x, y, width, height),
        found ? box(found.x, found.y, found.width, found.height) : box(0, 0, 0, 0),
      ];
      const shared = area(intersect(a, b));
      overlaps.push(shared / (area(a) + area(b) - shared));
    }
    const mean = overlaps.reduce((sum, value) => sum + value, 0) / overlaps.length;
    // Half is what a detection has to reach in the usual comparisons of detectors.
    expect(mean).to.be.above(0.5);
    expect(overlaps.filter((value) => value > 0.3).length / overlaps.length).to.be.above(0.8);
  });

  it("may be cropped anywhere in a pattern: nothing of it is whole or out", async () => {
    const firm: string[] = [];
    for (const one of of("pattern"))
      if ((await looked(one)).areas?.some(({ weight }) => weight >= 0.5)) firm.push(one.name);
    // Bricks are straight and of few greys, like a page; poppies on one side of a print are as good as a thing.
    expect(firm.filter((name) => !["bricks", "print-poppies"].includes(name))).to.deep.equal([]);
  });

  it("is all of it in a screenshot, and what is drawn in a drawing", async () => {
    for (const name of ["screenshot", "horse"]) {
      const [found] = (await looked(photographs.find((one) => one.name === name)!)).areas!;
      expect(found!.width * found!.height, name).to.be.above(0.9);
      expect(found!.weight, name).to.equal(1);
    }
  });

  it("is the print on a photographed page", async () => {
    const page = photographs.find(({ name }) => name === "page")!;
    const print = (await looked(page)).areas!.at(-1)!;
    const [x, y, width, height] = page.things[0]!;
    const shared = area(
      intersect(box(print.x, print.y, print.width, print.height), box(x, y, width, height)),
    );
    expect(shared / (width * height)).to.be.above(0.85);
    for (const one of photographs.filter(({ kind }) => kind !== "page"))
      expect((await looked(one)).areas?.length ?? 0, one.name).to.be.at.most(1);
  });

  it("stands on a flat ground where it does, and on none elsewhere", async () => {
    const grounds: string[] = [];
    for (const one of photographs) if ((await looked(one)).ground) grounds.push(one.name);
    expect(grounds.sort()).to.deep.equal(["cutlery", "horse", "tape", "teacup"]);
  });
});
