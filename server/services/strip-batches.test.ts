import { expect } from "chai";
import { unzipSync } from "fflate";
import type { BatchAnswer, ContactSheet, Manifest, VariationAnswer } from "../../core/api";
import { setting } from "../../core/edit";
import { testServer, until, type TestServer } from "../../tests/support/server";
import { fileId } from "../files/hash";

/** Five slides; on the second a headline and a body. */
const strip = "/api/pieces/along-the-quay";
const SLIDES = 5;

describe("a batch of a strip", () => {
  let server: TestServer;
  let batch: BatchAnswer;
  const get = async (path: string) => (await server.ask("GET", path)).body;
  const post = async (path: string, body: object = {}) =>
    (await server.ask("POST", path, body)).body;
  const ended = <T extends { state: string }>(path: string): Promise<T> =>
    until(
      () => get(path),
      ({ state }: T) => state !== "queued" && state !== "running",
    );
  const bytesAt = async (url: string) =>
    (await server.app.inject({ url, headers: { host: "localhost" } })).rawPayload;
  const made = async (): Promise<VariationAnswer[]> =>
    (await get(`/api/batches/${batch.id}/variations`)).variations;
  async function delivered(request: object) {
    const { id } = await post(`${strip}/deliveries`, request);
    expect(await ended(`/api/deliveries/${id}`)).to.deep.include({ state: "done" });
    const entries = unzipSync(await bytesAt(`/api/deliveries/${id}/file`));
    const text = new TextDecoder().decode(entries["manifest.json"]);
    return { entries, manifest: JSON.parse(text) as Manifest };
  }

  before(async () => {
    server = await testServer();
    const table = {
      columns: ["headline", "slide-2-headline"],
      rows: [
        ["", ""],
        ["Along the old quay", "Where the nets were mended"],
      ],
    };
    const request = { table, placements: ["photo-feed-square", "ad-leaderboard"], format: "png" };
    const plan = await post(`${strip}/batches/plan`, request);
    // A banner shows the first slide alone.
    expect(plan).to.deep.include({ variations: 2, files: 2 * (SLIDES + 1) });
    expect(plan.slots).to.deep.equal(["headline", "slide-2-headline"]);
    const { id } = await post(`${strip}/batches`, request);
    batch = await ended(`/api/batches/${id}`);
  });
  after(() => server.close());

  it("makes every slide of every variation, in order, each at an address of its own", async () => {
    expect(batch).to.deep.include({ state: "done", made: 12, files: 12, failed: 0, outdated: 0 });
    const [first, second] = await made();
    expect(second!.values).to.deep.equal({
      headline: "Along the old quay",
      "slide-2-headline": "Where the nets were mended",
    });
    for (const { outputs } of [first!, second!]) {
      const order = outputs.map(({ placement, slide }) => `${placement} ${slide}`);
      expect(order).to.deep.equal([
        ...[0, 1, 2, 3, 4].map((slide) => `photo-feed-square ${slide}`),
        "ad-leaderboard 0",
      ]);
      for (const { url, sha256 } of outputs) expect(fileId(await bytesAt(url))).to.equal(sha256);
    }
    // The two slides whose words vary are others, and so is the banner; the rest are the same to the pixel.
    const isSame = first!.outputs.map(({ sha256 }, at) => second!.outputs[at]!.sha256 === sha256);
    expect(isSame).to.deep.equal([false, false, true, true, true, false]);
  });

  it("is asked for by the names of its columns, also where some go together and some never", async () => {
    const table = {
      columns: ["headline", "slide-2-headline", "slide 3 headline"],
      rows: [
        ["A", "B", "C"],
        ["D", "E", "F"],
      ],
    };
    const request = { table, placements: ["photo-feed-square"], pairing: "together" };
    const plan = async (more: object) =>
      (await post(`${strip}/batches/plan`, { ...request, ...more })).variations;
    expect(await plan({ groups: [["headline", "slide-2-headline"]] })).to.equal(4);
    expect(await plan({})).to.equal(8);
    expect(await plan({ never: [{ "slide-2-headline": "B", "slide-3-headline": "F" }] })).to.equal(
      6,
    );
  });

  it("looks as the strip does by itself, with what runs through its slides and across its folds", async () => {
    const own = await delivered({ sizes: ["photo-feed-square"], format: "png" });
    const [first] = await made();
    const [ownPictures, ofSet] = [own.manifest.files, first!.outputs].map((files) =>
      files.slice(0, SLIDES).map(({ sha256 }) => sha256),
    );
    // Where words vary, a slide stands as it does in all variations.
    expect(ofSet!.slice(2)).to.deep.equal(ownPictures!.slice(2));
    const table = { columns: ["slide-2-headline"], rows: [[""], ["Where the nets were mended"]] };
    const request = { table, placements: ["photo-feed-square"], format: "png", alike: false };
    const { id } = await post(`${strip}/batches`, request);
    await ended(`/api/batches/${id}`);
    const { variations } = await get(`/api/batches/${id}/variations`);
    const apart = (variations as VariationAnswer[])[0]!.outputs.map(({ sha256 }) => sha256);
    expect(apart).to.deep.equal(ownPictures);
  });

  it("is delivered with its slides numbered, as it was made or in another format", async () => {
    for (const format of ["png", "jpeg"]) {
      const batches = [{ id: batch.id, variations: [1] }];
      const { entries, manifest } = await delivered({ batches, format });
      const ending = format === "png" ? "png" : "jpg";
      expect(manifest.files.map(({ slide }) => slide)).to.deep.equal([1, 2, 3, 4, 5, undefined]);
      expect(manifest.files[2]!.file).to.match(
        new RegExp(`_photo-feed-square_v2_1080x1080_03\\.${ending}$`),
      );
      expect(manifest.files[1]!.alt).to.contain("Where the nets were mended");
      for (const { file, sha256 } of manifest.files)
        expect(fileId(entries[file]!)).to.equal(sha256);
    }
  });

  it("is delivered by itself in parts where a channel shows fewer slides", async () => {
    const outline = Array.from({ length: 12 }, (_, at) => `# Slide ${at + 1}`).join("\n\n");
    const { piece } = await post("/api/crates/to-swipe/pieces", {
      template: "slides-book",
      outline,
    });
    const request = { sizes: ["photo-feed-tall", "community-link"], format: "jpeg", parts: true };
    const { id } = await post(`/api/pieces/${piece.id}/deliveries`, request);
    expect(await ended(`/api/deliveries/${id}`)).to.deep.include({ state: "done", files: 13 });
    const entries = unzipSync(await bytesAt(`/api/deliveries/${id}/file`));
    const { files }: Manifest = JSON.parse(new TextDecoder().decode(entries["manifest.json"]));
    expect(files.map(({ part }) => part)).to.deep.equal([
      ...Array<number>(6).fill(1),
      ...Array<number>(6).fill(2),
      undefined,
    ]);
    expect(files[6]!.file).to.match(/_2-07\.jpg$/);
    expect(files.map(({ file }) => file).slice(0, 12)).to.deep.equal(
      files
        .map(({ file }) => file)
        .slice(0, 12)
        .sort(),
    );
  });

  it("stands on the contact sheet by its first slide, with the others behind it", async () => {
    const sheet: ContactSheet = await until(
      () => get(`/api/batches/${batch.id}/sheet?placement=photo-feed-square`),
      ({ measuring }) => measuring === 0,
    );
    expect(sheet.columns).to.deep.equal(["headline", "slide-2-headline"]);
    for (const { output, slides, marks } of sheet.variations) {
      expect(output!.slide).to.equal(0);
      expect(slides!.map(({ slide }) => slide)).to.deep.equal([1, 2, 3, 4]);
      expect(marks).to.not.equal(undefined);
    }
    const page = await server.app.inject({
      url: `/api/batches/${batch.id}/sheet/file?placement=photo-feed-square&format=png`,
      headers: { host: "localhost" },
    });
    expect(page.statusCode).to.equal(200);
  });

  it("is made again where a slide has changed, and not for words that vary", async () => {
    const { piece } = await get(strip);
    const at = ["slides", piece.slides[0].id, "message"] as const;
    const message = { ...piece.slides[0].message, headline: { text: "Other words" } };
    await post(`${strip}/edits`, { edit: setting(piece, [...at], message) });
    // The first variation keeps the strip's own words there, so all of that column is looked at again.
    expect((await get(`/api/batches/${batch.id}`)).outdated).to.equal(4);
    const before = await made();
    await post(`/api/batches/${batch.id}/again`);
    expect(await ended(`/api/batches/${batch.id}`)).to.deep.include({
      state: "done",
      made: 12,
      outdated: 0,
    });
    const after = await made();
    const isOther = after.map(({ outputs }, row) =>
      outputs.map(({ sha256 }, at) => before[row]!.outputs[at]!.sha256 !== sha256),
    );
    expect(isOther[0]).to.deep.equal([false, true, false, false, false, false]);
    expect(isOther[1]!.every((one) => !one)).to.equal(true);
  });

  it("has a variation opened as a strip, whose changed slide is made again in its place", async () => {
    const { piece: opened } = await post(`/api/batches/${batch.id}/variations/1/piece`);
    expect(opened.slides).to.have.lengthOf(SLIDES - 1);
    const [slide] = opened.slides;
    const said = { ...slide.message, headline: { text: "By hand" } };
    const at = ["slides", slide.id, "message"] as const;
    await post(`/api/pieces/${opened.id}/edits`, { edit: setting(opened, [...at], said) });
    await post(`/api/batches/${batch.id}/again`);
    await ended(`/api/batches/${batch.id}`);
    const [, second] = await made();
    expect(second!.values["slide-2-headline"]).to.equal("By hand");
  });
});
