import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { expect } from "chai";
import { unzipSync } from "fflate";
import sharp from "sharp";
import type { ContactSheet, ManifestFile, ResultsAnswer } from "../../core/api";
import { BatchRequest } from "../../core/api";
import { brandSpreads } from "../../core/brand";
import { demoBrand, demoFolder } from "../../tests/support/demo";
import { testServer, until, type TestServer } from "../../tests/support/server";

const headlines = ["Boats at rest", "Boats at ease", "The quiet fleet comes home"];
const spreads = brandSpreads(demoBrand("quillmere")).slice(0, 2);
const PLACEMENT = "ad-medium-rectangle";

describe("choosing among the variations of a batch", () => {
  let server: TestServer;
  let id: string;
  const piece = "/api/pieces/opening-announcement";
  const batch = {
    table: { columns: ["headline"], rows: headlines.map((headline) => [headline]) },
    pairing: "every-mix",
    spreads,
    placements: [PLACEMENT, "ad-leaderboard"],
    format: "jpeg",
  };
  const sheet = (placement = PLACEMENT): Promise<ContactSheet> =>
    until<ContactSheet>(
      async () => (await server.ask("GET", `/api/batches/${id}/sheet?placement=${placement}`)).body,
      ({ measuring }) => measuring === 0,
    );
  const finished = (path: string) =>
    until(
      async () => (await server.ask("GET", path)).body,
      ({ state }) => state !== "queued" && state !== "running",
    );

  before(async () => {
    server = await testServer();
    ({
      body: { id },
    } = await server.ask("POST", `${piece}/batches`, batch));
    await finished(`/api/batches/${id}`);
  });
  after(() => server.close());

  it("says what a batch would take, and leaves out what never is to be", async () => {
    const plan = async (change: object) =>
      (await server.ask("POST", `${piece}/batches/plan`, { ...batch, ...change })).body;
    expect(await plan({})).to.deep.include({ variations: 6, files: 12, notes: [] });
    const { seconds, bytes } = await plan({});
    expect(seconds).to.be.within(1, 60);
    // What was just made is no bad guess of what would be made.
    const { variations } = await sheet();
    const made = variations.reduce((sum, { output }) => sum + output!.bytes, 0);
    expect(bytes / 2).to.be.within(made / 3, made * 3);
    const never = [{ headline: "Boats at rest", spread: "2" }];
    expect((await plan({ never })).variations).to.equal(5);
    expect((await plan({ sample: "pairs", pictures: undefined })).variations).to.equal(6);
    const { table: _table, ...alone } = batch;
    expect((await server.ask("POST", `${piece}/batches/plan`, alone)).body.variations).to.equal(2);
    const inStep = await plan({ pairing: "in-step" });
    expect(inStep.notes[0].text).to.contain("2 values for spread and 3 to go with");
  });

  it("shows all of them on a placement, with what tells them apart and what was measured", async () => {
    const { columns, variations, repeats } = await sheet();
    expect(columns).to.deep.equal(["headline", "spread"]);
    expect(variations).to.have.lengthOf(6);
    expect(variations[1]!.values).to.deep.equal({
      headline: "Boats at rest",
      spread: "Tide on Paper",
    });
    for (const { marks, output } of variations) {
      // A hair less than the floor is not seen.
      expect(marks!.legibility).to.be.at.least(0.98);
      expect(marks!.contrast).to.be.at.least(4.5);
      expect(marks!.headline! + marks!.clutter).to.be.within(0.01, 2);
      expect(marks!.distinctness).to.be.above(0);
      expect(marks).not.to.have.property("hash");
      const small = await server.app.inject({
        url: `${output!.url}&width=160`,
        headers: { host: "localhost" },
      });
      expect((await sharp(small.rawPayload).metadata()).width).to.equal(160);
    }
    // Another ground is farther off than another headline.
    expect(repeats.map(({ kind, differ }) => [kind, differ])).to.deep.equal([]);
    const odd = await server.ask("GET", `${variations[0]!.output!.url}&width=77`);
    expect(odd.status).to.equal(400);
    expect((await server.ask("GET", `/api/batches/${id}/sheet?placement=moon`)).status).to.equal(
      404,
    );
  });

  it("keeps what is decided and noted, also one without the other", async () => {
    const mark = (variation: number, body: object) =>
      server.ask("PUT", `/api/batches/${id}/variations/${variation}/mark`, body);
    expect((await mark(0, { verdict: "keep" })).status).to.equal(200);
    await mark(0, { note: "for the story" });
    await mark(1, { verdict: "drop" });
    await mark(1, { verdict: null });
    await mark(2, {});
    const [first, second, third] = (await sheet("ad-leaderboard")).variations;
    expect(first).to.include({ verdict: "keep", note: "for the story" });
    for (const one of [second, third]) expect(one).not.to.have.any.keys("verdict", "note");
    expect((await mark(99, { verdict: "keep" })).status).to.equal(404);
    expect((await mark(0, { verdict: "perhaps" })).status).to.equal(400);
  });

  it("joins a report to the batch, says what it shows, and takes it away again", async () => {
    const results = `/api/batches/${id}/results`;
    expect((await server.ask("GET", results)).status).to.equal(404);
    const columns = ["file", "impressions", "clicks"];
    const counts = [300, 310, 180, 190, 170, 160];
    const rows = counts.map((clicks, at) => [`boats_story_v${at + 1}.jpg`, "9000", String(clicks)]);
    const { body } = await server.ask("POST", results, { table: { columns, rows } });
    const { analysis, said, next } = body as ResultsAnswer;
    expect(analysis.columns.map(({ column }) => column)).to.deep.equal(["headline", "spread"]);
    expect(said.columns.headline![0]).to.contain("“Boats at rest” did better than all the others");
    expect(said.columns.spread![0]).to.contain("No spread is better");
    expect(next).to.deep.equal({
      table: { columns: ["headline"], rows: [["Boats at rest"]] },
      pictures: [],
      // The one that did better by a hair is named first in the report, not in the batch.
      spreads,
      typefaces: [],
      templates: [],
    });
    expect((await server.ask("GET", results)).body.analysis).to.deep.equal(analysis);
    const wrong = { table: { columns: ["a", "b"], rows: [["x", "1"]] } };
    expect((await server.ask("POST", results, wrong)).body.message).to.contain("v1");
    expect((await server.ask("GET", results)).body.analysis).to.deep.equal(analysis);
    await server.ask("DELETE", results);
    expect((await server.ask("GET", results)).status).to.equal(404);
  });

  it("puts what is shown on a page to be sent round", async () => {
    const page = (query: string) =>
      server.app.inject({
        url: `/api/batches/${id}/sheet/file?${query}`,
        headers: { host: "localhost" },
      });
    const all = await page(`format=png&placement=${PLACEMENT}`);
    expect(all.headers["content-type"]).to.equal("image/png");
    const kept = await page(`format=png&placement=${PLACEMENT}&shown=keep`);
    const [large, small] = await Promise.all(
      [all, kept].map(({ rawPayload }) => sharp(rawPayload).metadata()),
    );
    // Six beside and below each other, and the one that is kept.
    expect(large!.width * large!.height).to.be.above(1.5 * small!.width * small!.height);
    const document = (await page("shown=keep")).rawPayload;
    expect(document.subarray(0, 5).toString()).to.equal("%PDF-");
    expect((await page("shown=drop")).statusCode).to.equal(400);
  });

  it("makes a piece of one, to be changed by hand", async () => {
    const { body } = await server.ask("POST", `/api/batches/${id}/variations/3/piece`);
    expect(body.piece.title).to.equal("Opening announcement, v4");
    expect(body.piece.message.headline.text).to.equal("Boats at ease");
    expect(body.piece.spread).to.deep.equal(spreads[1]);
    expect((await server.ask("GET", piece)).body.piece.message.headline.text).to.equal(
      "Boats at rest",
    );
  });

  it("delivers what is kept, in folders, named by values and no heavier than it may be", async () => {
    const { body } = await server.ask("POST", `${piece}/deliveries`, {
      batches: [{ id, variations: [0, 5] }],
      format: "jpeg",
      pattern: "{placement}/{variation}_{headline}",
      most: 14_000,
    });
    expect((await finished(`/api/deliveries/${body.id}`)).state).to.equal("done");
    const zip = await server.app.inject({
      url: `/api/deliveries/${body.id}/file`,
      headers: { host: "localhost" },
    });
    const entries = unzipSync(zip.rawPayload);
    const text = (name: string) => new TextDecoder().decode(entries[name]);
    const { files } = JSON.parse(text("manifest.json")) as { files: ManifestFile[] };
    expect(files.map(({ file }) => file)).to.have.members([
      `${PLACEMENT}/v1_boats-at-rest.jpg`,
      `${PLACEMENT}/v6_the-quiet-fleet-comes-home.jpg`,
      "ad-leaderboard/v1_boats-at-rest.jpg",
      "ad-leaderboard/v6_the-quiet-fleet-comes-home.jpg",
    ]);
    const { variations } = await sheet();
    for (const { file, bytes, quality, heavy, values } of files) {
      expect(entries[file]).to.have.lengthOf(bytes);
      // Either it keeps to the limit, or it is said that it cannot.
      expect(bytes <= 14_000 || heavy === true).to.equal(true);
      if (bytes > 14_000) expect(quality).to.equal(60);
      expect(values).to.have.keys("headline", "spread");
    }
    const large = files.find(({ file }) => file.startsWith(PLACEMENT))!;
    expect(large.bytes).to.be.below(variations[0]!.output!.bytes);
    const table = text("manifest.csv").split("\r\n");
    expect(table[0]).to.contain("file,").and.to.contain("{headline}");
    expect(table).to.have.lengthOf(files.length + 2);
    const unknown = { batches: [{ id }], format: "jpeg", pattern: "{moon}" };
    expect((await server.ask("POST", `${piece}/deliveries`, unknown)).body.message).to.contain(
      "{headline}",
    );
  });

  it("lays variations out as a set also where they are delivered in another form", async () => {
    const { body } = await server.ask("POST", `${piece}/deliveries`, {
      batches: [{ id, variations: [0, 2, 4] }],
      format: "png",
      pattern: "{variation}_{placement}",
    });
    await finished(`/api/deliveries/${body.id}`);
    const zip = await server.app.inject({
      url: `/api/deliveries/${body.id}/file`,
      headers: { host: "localhost" },
    });
    const entries = unzipSync(zip.rawPayload);
    for (const variation of [0, 2, 4]) {
      const png = entries[`v${variation + 1}_${PLACEMENT}.png`]!;
      const { body: list } = await server.ask(
        "GET",
        `/api/batches/${id}/variations?from=${variation}&to=${variation + 1}`,
      );
      const { url } = list.variations[0].outputs[0];
      const jpeg = await server.app.inject({ url, headers: { host: "localhost" } });
      const [a, b] = await Promise.all(
        [Buffer.from(png), jpeg.rawPayload].map((file) =>
          sharp(file).resize(60).greyscale().raw().toBuffer(),
        ),
      );
      const apart = a!.reduce((sum, value, i) => sum + Math.abs(value - b![i]!), 0) / a!.length;
      // What JPEG does to so small a graphic makes about 4, laid out by itself it would be 50.
      expect(apart).to.be.below(8);
    }
  });

  it("has a batch of the demo that can be made, with a report that fits it", async () => {
    const demo = JSON.parse(await readFile(join(demoFolder, "late-opening-batch.json"), "utf8"));
    const request = BatchRequest.parse(demo.request);
    const { body } = await server.ask("POST", `/api/pieces/${demo.piece}/batches/plan`, request);
    expect(body).to.deep.include({ variations: 72, files: 360, notes: [] });
    const report = await readFile(join(demoFolder, demo.results), "utf8");
    expect(report.trim().split("\n")).to.have.lengthOf(73);
  });
});
