import { mkdtemp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";
import { Piece } from "../../core/piece";
import { demoFolder, fontFolder } from "../../tests/support/demo";
import { begin } from "./begin";
import { make } from "./make";
import {
  readCommand,
  type BeginOptions,
  type Options,
  type SetOptions,
  type SheetOptions,
} from "./options";
import { set } from "./set";
import { sheet } from "./sheet";

const shipped = { demo: demoFolder, fonts: fontFolder };
const kit = join(demoFolder, "saltlight/brand.json");

describe("zest begin, zest set and zest sheet", () => {
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

  it("lays pieces out as a set, as make then shows them", async () => {
    const out = join(folder, "set");
    const { names } = await run(
      "Boats at rest\n14 March",
      "--best",
      "2",
      "--out",
      join(folder, "two"),
    );
    const paths = names.map((name) => join(folder, "two", name));
    expect(
      await set(readCommand(["set", ...paths, "--out", out]).options as SetOptions),
    ).to.deep.equal(names);
    const [first, second] = await Promise.all(
      names.map(async (name) => Piece.parse(JSON.parse(await readFile(join(out, name), "utf8")))),
    );
    expect(second!.arrangement).to.deep.equal(first!.arrangement);
    expect(second!.siblings!.set).to.equal(first!.id);
    const shown = join(folder, "shown");
    const about = ["--brand", kit, "--placements", "story", "--layout-only", "--out", shown];
    await make(readCommand(["make", join(out, names[1]!), ...about]).options as Options, shipped);
    const [report] = await readdir(shown);
    expect(JSON.parse(await readFile(join(shown, report!), "utf8")).set).to.equal("stands");
    const strip = join(demoFolder, "quillmere/carousels/along-the-quay.json");
    const laid = (...pieces: string[]) =>
      failure(set(readCommand(["set", ...pieces, "--out", out]).options as SetOptions));
    expect(await laid(strip, ...paths)).to.contain("cannot be the model of a set");
    expect(await laid(paths[0]!)).to.contain("two pieces or more");
    expect(await laid(paths[0]!, join(out, names[0]!))).to.contain("two pieces have this name");
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
