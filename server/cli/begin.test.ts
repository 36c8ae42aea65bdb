import { mkdtemp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";
import { demoFolder, fontFolder } from "../../tests/support/demo";
import { begin } from "./begin";
import { make } from "./make";
import { readCommand, type BeginOptions, type Options, type SheetOptions } from "./options";
import { sheet } from "./sheet";

const shipped = { demo: demoFolder, fonts: fontFolder };
const kit = join(demoFolder, "saltlight/brand.json");

describe("zest begin and zest sheet", () => {
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), "zest-begin-"))));
  after(() => rm(folder, { recursive: true, force: true }));

  const message = async (text: string) => {
    const path = join(folder, "message.txt");
    await writeFile(path, text);
    return path;
  };
  const run = async (text: string, ...more: string[]) => {
    const argv = ["begin", await message(text), "--brand", kit, ...more];
    return begin(readCommand(argv).options as BeginOptions, shipped);
  };
  const failure = (promise: Promise<unknown>) =>
    promise.then(
      () => "",
      (error: Error) => error.message,
    );

  it("begins a typed message, best first, ready for zest make and for one page", async () => {
    const out = join(folder, "out");
    const pictures = join(demoFolder, "quillmere/pictures");
    const text = "Late strings\nFriday 14 November, 21:30\nat Weir Lane station\n€ 4, cash only";
    const { names } = await run(text, "--best", "2", "--pictures", pictures, "--out", out);
    expect(names).to.have.lengthOf(2);
    expect(names[0]).to.match(/^01_.+\.json$/);
    const piece = JSON.parse(await readFile(join(out, names[0]!), "utf8"));
    expect(piece.message).to.deep.include({
      headline: { text: "Late strings" },
      date: { text: "Friday 14 November, 21:30" },
      place: { text: "at Weir Lane station" },
      price: { text: "€ 4, cash only" },
    });
    const made = join(folder, "made");
    const placements = "photo-feed-tall,story,microblog-wide,ad-leaderboard";
    const piecePath = join(out, names[0]!);
    const argv = ["make", piecePath, "--placements", placements, "--layout-only", "--out", made];
    await make(readCommand(argv).options as Options, shipped);
    const reports = (await readdir(made)).filter((name) => name.endsWith(".layout.json"));
    for (const name of reports) {
      const { slots, shown } = JSON.parse(await readFile(join(made, name), "utf8"));
      expect(slots).to.have.members(["headline", "date", "place", "price"]);
      expect(shown, name).to.have.members(slots);
    }
    for (const file of ["all.png", "all.pdf"]) {
      const path = join(folder, file);
      const asked = ["sheet", piecePath, "--placements", "story,ad-leaderboard", "--out", path];
      expect(await sheet(readCommand(asked).options as SheetOptions, shipped, "today")).to.equal(2);
    }
    const { width } = await sharp(join(folder, "all.png")).metadata();
    expect(width).to.be.above(1400);
    expect((await readFile(join(folder, "all.pdf"))).subarray(0, 5).toString()).to.equal("%PDF-");
  });

  it("begins a carousel with an outline, and says which of its pictures are not there", async () => {
    const out = join(folder, "strip");
    const pictures = join(demoFolder, "quillmere/pictures");
    const text = [
      "# Boats at rest",
      "![](harbour-boats)",
      "# Why",
      "![](no-such-picture)",
      "Low water.",
      "# Come",
    ].join("\n\n");
    const of = ["--template", "slides-pictures", "--pictures", pictures, "--out", out];
    const { names, unknown } = await run(text, ...of);
    expect(unknown).to.deep.equal(["no-such-picture"]);
    const piece = JSON.parse(await readFile(join(out, names[0]!), "utf8"));
    expect(piece.slides).to.have.lengthOf(2);
    expect(JSON.stringify(piece)).to.include(
      "d0a39f90b23d7139e9634d6767dd26de39a38e3cb68885971addc530149498f0",
    );
  });

  it("says what is wrong", async () => {
    const out = join(folder, "none");
    expect(await failure(run("  \n ", "--out", out))).to.contain("says nothing");
    expect(await failure(run("Tea", "--template", "moon", "--out", out))).to.contain("“moon”");
    expect(await failure(run("Tea", "--best", "0", "--out", out))).to.contain("--best");
    expect(() => readCommand(["begin", "a.txt", "--out", out])).to.throw("--brand");
    expect(() => readCommand(["sheet", "a.json", "--out", "a.gif"])).to.throw("--out");
  });
});
