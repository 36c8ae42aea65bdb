import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";
import { demoFolder, demoPiece, fontFolder } from "../../tests/support/demo";
import type { Manifest } from "../../core/api";
import type { LayoutReport } from "../../core/preflight";
import { fileId } from "../files/hash";
import { make } from "./make";
import { readOptions } from "./options";

describe("zest make", () => {
  let folder: string;
  before(async () => {
    // What lies in the folder over a piece is looked through too, and the system's own is large and never still.
    folder = join(await mkdtemp(join(tmpdir(), "zest-cli-")), "pieces");
    await mkdir(folder);
  });
  after(() => rm(dirname(folder), { recursive: true, force: true }));

  const piece = join(demoFolder, "saltlight/pieces/float-before-lunch.json");
  const run = (...args: string[]) =>
    make(readOptions(["make", ...args, "--out", join(folder, "out")]), {
      demo: demoFolder,
      fonts: fontFolder,
    });
  const json = async (path: string) =>
    JSON.parse(await readFile(join(folder, "out", path), "utf8"));

  beforeEach(() => rm(join(folder, "out"), { recursive: true, force: true }));

  it("writes the slides of an outline in order, and the first alone where no row of them is shown", async () => {
    const outline = join(folder, "talk.md");
    await writeFile(
      outline,
      "# One\n\nFirst words\n\n---\n\n# Two\n\n![x](nobody)\n\n# Three\n\n- a\n- b\n",
    );
    const places = ["--placements", "photo-feed-tall,ad-leaderboard", "--scale", "0.25"];
    const outcome = await run(piece, "--outline", outline, ...places);
    expect(outcome).to.deep.include({ files: 4, unknown: ["nobody"] });
    const { files } = (await json("manifest.json")) as Manifest;
    expect(files.map(({ slide, placement }) => [placement, slide])).to.deep.equal([
      ["photo-feed-tall", 1],
      ["photo-feed-tall", 2],
      ["photo-feed-tall", 3],
      ["ad-leaderboard", undefined],
    ]);
    expect(files.slice(0, 3).map(({ file }) => file)).to.deep.equal(
      ["01", "02", "03"].map((slide) => `float-before-lunch_photo-feed-tall_270x338_${slide}.png`),
    );
    expect(files.map(({ alt }) => alt.split(".")[0])).to.deep.equal(["One", "Two", "Three", "One"]);
  });

  it("makes files, a manifest, and a layout report for each", async () => {
    const outcome = await run(
      piece,
      "--placements",
      "story,ad-leaderboard",
      "--format",
      "jpeg",
      "--scale",
      "0.5",
    );
    expect(outcome).to.deep.include({ files: 2, mustFix: 0 });
    const manifest = await json("manifest.json");
    for (const file of manifest.files) {
      const bytes = await readFile(join(folder, "out", file.file));
      const { width, height, format } = await sharp(bytes).metadata();
      expect({ width, height, format }).to.deep.equal({
        width: file.width,
        height: file.height,
        format: "jpeg",
      });
      expect(fileId(bytes)).to.equal(file.sha256);
    }
    const report = await json("float-before-lunch_story_540x960.layout.json");
    expect(report).to.deep.include({ placement: "story", width: 1080, height: 1920, floor: 30.46 });
    expect(report.safe).to.deep.equal({ x: 64, y: 250, width: 952, height: 1330 });
    const headline = report.nodes.find((node: { role: string }) => node.role === "headline");
    expect(headline).to.include.keys("id", "kind", "box", "ink", "fontSize", "lines", "contrast");
  });

  it("makes a variation for each row, in step or in every mix", async () => {
    const table = join(folder, "rows.csv");
    await writeFile(table, "headline,price\nFloat,€ 1\nGlide,€ 2\n");
    const args = [piece, "--placements", "ad-phone-banner", "--table", table];
    expect((await run(...args)).files).to.equal(2);
    expect((await run(...args, "--pair", "every-mix")).files).to.equal(4);
  });

  it("lays variations out alike, or each by itself", async () => {
    const table = join(folder, "alike.csv");
    await writeFile(table, "headline\nFloat at dawn\nFloat at dawn 2\nGlide until it is noon\n");
    const sizes = async (...more: string[]): Promise<Set<number>> => {
      const out = join(folder, `alike${more.length}`);
      const args = ["--placements", "story", "--table", table, "--layout-only", ...more];
      await make(readOptions(["make", piece, ...args, "--out", out]), {
        demo: demoFolder,
        fonts: fontFolder,
      });
      const reports = (await readdir(out)).filter((name) => name.endsWith(".layout.json"));
      expect(reports).to.have.lengthOf(3);
      const found = await Promise.all(
        reports.map(async (name) => {
          const { nodes } = JSON.parse(await readFile(join(out, name), "utf8")) as LayoutReport;
          return nodes.find(({ role }) => role === "headline")!.fontSize!;
        }),
      );
      return new Set(found);
    };
    expect((await sizes()).size).to.equal(1);
    expect((await sizes("--apart")).size).to.be.above(1);
  });

  it("mixes rows with the first spreads of the kit, or samples them", async () => {
    const table = join(folder, "three.csv");
    await writeFile(table, "headline,support\nBoats,One\nLight,Two\nWater,Three\n");
    const mixed = [
      "--table",
      table,
      "--pair",
      "every-mix",
      "--spreads",
      "2",
      "--placements",
      "story",
    ];
    const post = join(demoFolder, "quillmere/pieces/opening-announcement.json");
    const all = await run(post, ...mixed, "--layout-only");
    expect(all.files).to.equal(3 * 3 * 2);
    // Three headlines meet three supports.
    expect((await run(post, ...mixed, "--sample", "pairs", "--layout-only")).files).to.equal(9);
    expect(
      (await run(post, "--spreads", "3", "--placements", "story", "--layout-only")).files,
    ).to.equal(3);
  });

  it("makes a variation for each wording that the piece keeps, or says that it keeps none", async () => {
    const kept = demoPiece("saltlight", "float-before-lunch");
    const headline = { text: "Float before lunch", alternatives: ["Glide before noon"] };
    const own = join(folder, "kept.json");
    await writeFile(own, JSON.stringify({ ...kept, message: { ...kept.message, headline } }));
    const args = ["--placements", "ad-phone-banner", "--alternatives"];
    expect((await run(own, ...args)).files).to.equal(2);
    const none = await run(piece, ...args).then(
      () => "",
      (error: Error) => error.message,
    );
    expect(none).to.contain("keeps no other wordings");
    expect(() => readOptions(["make", piece, "--alternatives", "--table", "x", "--out", "y"]))
      .to //
      .throw("not both");
  });

  it("writes only reports when asked, in the same bytes each time", async () => {
    await run(piece, "--placements", "story", "--layout-only");
    const names = (await readdir(join(folder, "out"))).sort();
    expect(names).to.deep.equal([
      "float-before-lunch_story_1080x1920.layout.json",
      "manifest.json",
    ]);
    const first = await json(names[0]!);
    await run(piece, "--placements", "story", "--layout-only");
    expect(await json(names[0]!)).to.deep.equal(first);
  });

  it("uses another brand kit when one is given", async () => {
    await run(
      piece,
      "--brand",
      join(demoFolder, "quillmere/brand.json"),
      "--placements",
      "story",
      "--layout-only",
    );
    expect((await json("manifest.json")).brand).to.contain("Quillmere");
  });

  it("counts sizes with a must-fix finding", async () => {
    const odd = join(folder, "odd.json");
    const document = demoPiece("saltlight", "float-before-lunch");
    await writeFile(
      odd,
      JSON.stringify({
        ...document,
        message: { ...document.message, headline: { text: "M".repeat(300) } },
      }),
    );
    expect((await run(odd, "--placements", "ad-phone-banner", "--layout-only")).mustFix).to.equal(
      1,
    );
  });

  it("names what is wrong on the command line and in the file", async () => {
    const bad = join(folder, "bad.json");
    await writeFile(
      bad,
      JSON.stringify({ ...demoPiece("saltlight", "float-before-lunch"), title: "" }),
    );
    const failure = (promise: Promise<unknown>) =>
      promise.then(
        () => "",
        (error: Error) => error.message,
      );
    expect(await failure(run(bad))).to.contain("bad.json cannot be read at title");
    expect(await failure(run(join(folder, "none.json")))).to.contain("There is no file");
    expect(() => readOptions(["make", "a.json", "--out", "b", "--format", "bmp"])).to.throw(
      "--format",
    );
    const real = join(demoFolder, "quillmere", "pieces", "opening-announcement.json");
    expect(await failure(run(real, "--placements", "moon"))).to.contain("“moon”");
    expect(() => readOptions(["make", "a.json"])).to.throw("--out");
    expect(() => readOptions(["bake"])).to.throw("Usage");
  });
});
