import { expect } from "chai";
import { unzipSync } from "fflate";
import sharp from "sharp";
import type { ContactSheet, PieceAnswer } from "../../core/api";
import { setting } from "../../core/edit";
import { testServer, until, type TestServer } from "../../tests/support/server";

describe("a batch whose piece has changed", () => {
  let server: TestServer;
  let id: string;
  const piece = "/api/pieces/opening-announcement";
  const placements = ["ad-medium-rectangle", "ad-leaderboard"];
  const headlines = ["Boats at rest", "Boats at ease", "The quiet fleet comes home"];

  const get = async (path: string) => (await server.ask("GET", path)).body;
  const post = (path: string, body: object = {}) => server.ask("POST", path, body);
  const made = () =>
    until(
      () => get(`/api/batches/${id}`),
      ({ state }) => state !== "queued" && state !== "running",
    );
  const edit = async (path: string, ...[at, to]: [Parameters<typeof setting>[1], unknown]) => {
    const { piece: now } = (await get(path)) as PieceAnswer;
    expect((await post(`${path}/edits`, { edit: setting(now, at, to) })).status).to.equal(200);
  };
  /** What each file is, by variation and placement. */
  const files = async (): Promise<Map<string, string>> => {
    const sheets = await Promise.all(
      placements.map((one): Promise<ContactSheet> =>
        get(`/api/batches/${id}/sheet?placement=${one}`),
      ),
    );
    return new Map(
      sheets.flatMap(({ placement, variations }) =>
        variations.map(({ index, output }) => [`${index} ${placement}`, output!.sha256] as const),
      ),
    );
  };
  const changedBetween = (a: Map<string, string>, b: Map<string, string>): string[] =>
    [...b].flatMap(([key, sha]) => (a.get(key) === sha ? [] : [key])).sort();

  before(async () => {
    server = await testServer();
    const table = { columns: ["headline"], rows: headlines.map((one) => [one]) };
    ({
      body: { id },
    } = await post(`${piece}/batches`, { table, placements, format: "jpeg" }));
    expect(await made()).to.include({ state: "done", made: 6, outdated: 0 });
  });
  after(() => server.close());

  it("is made again where it would come out otherwise, under other addresses", async () => {
    const before = await files();
    await edit(piece, ["message", "call-to-action", "text"], "Come aboard");
    expect((await get(`/api/batches/${id}`)).outdated).to.equal(6);
    const { variations } = (await get(`/api/batches/${id}/sheet`)) as ContactSheet;
    const old = variations[0]!.output!.url;
    await post(`/api/batches/${id}/again`);
    expect(await made()).to.include({ state: "done", made: 6, outdated: 0 });
    const after = await files();
    expect(changedBetween(before, after)).to.have.lengthOf(6);
    const sheet = (await get(`/api/batches/${id}/sheet`)) as ContactSheet;
    expect(sheet.variations[0]!.output!.url).to.not.equal(old);
    // Nothing more is to be done.
    await post(`/api/batches/${id}/again`);
    expect(changedBetween(after, await files())).to.deep.equal([]);
  });

  it("makes only a size again that was changed by itself", async () => {
    const before = await files();
    const at = ["sizes", "ad-leaderboard", "changes", "kicker", "hidden"] as const;
    await edit(piece, [...at] as never, true);
    expect((await get(`/api/batches/${id}`)).outdated).to.equal(3);
    await post(`/api/batches/${id}/again`);
    expect(await made()).to.include({ state: "done", made: 6, outdated: 0 });
    const changed = changedBetween(before, await files());
    expect(changed.every((key) => key.endsWith("ad-leaderboard"))).to.equal(true);
  });

  it("keeps what was changed of a variation by hand, also when the piece changes after it", async () => {
    const opened = (await post(`/api/batches/${id}/variations/1/piece`)).body as PieceAnswer;
    expect(opened.variation).to.deep.equal({ batch: id, name: "v2" });
    const own = `/api/pieces/${opened.piece.id}`;
    expect((await get(`/api/batches/${id}`)).outdated).to.equal(0);
    // The same one as long as nothing else has changed.
    const again = (await post(`/api/batches/${id}/variations/1/piece`)).body as PieceAnswer;
    expect(again.piece.id).to.equal(opened.piece.id);

    const before = await files();
    await edit(own, ["arrangement", "headline", "style", "colour"], "#C00000");
    expect((await get(`/api/batches/${id}`)).outdated).to.equal(2);
    await post(`/api/batches/${id}/again`);
    expect(await made()).to.include({ state: "done", made: 6, outdated: 0 });
    const after = await files();
    expect(changedBetween(before, after)).to.deep.equal([
      "1 ad-leaderboard",
      "1 ad-medium-rectangle",
    ]);
    const { variations } = (await get(`/api/batches/${id}/sheet`)) as ContactSheet;
    expect(variations.map(({ byHand }) => byHand)).to.deep.equal([false, true, false]);

    await edit(piece, ["message", "call-to-action", "text"], "See them all");
    await post(`/api/batches/${id}/again`);
    expect(await made()).to.include({ state: "done", made: 6, outdated: 0 });
    expect(changedBetween(after, await files())).to.have.lengthOf(6);
    // It is opened as it has become, with what was changed.
    const later = (await post(`/api/batches/${id}/variations/1/piece`)).body as PieceAnswer;
    expect(later.piece.id).to.equal(opened.piece.id);
    expect(later.piece.message["call-to-action"]).to.include({ text: "See them all" });
    const headline = later.piece.arrangement.find((node) => node.id === "headline");
    expect(headline!.style.colour).to.equal("#C00000");
    expect((await get(`/api/batches/${id}`)).outdated).to.equal(0);
    // One that is in the bin is begun anew, with what was changed.
    expect((await server.ask("DELETE", own)).status).to.equal(200);
    const anew = (await post(`/api/batches/${id}/variations/1/piece`)).body as PieceAnswer;
    expect(anew.piece.id).to.not.equal(opened.piece.id);
    expect(anew.piece.arrangement).to.deep.equal(later.piece.arrangement);
    expect((await get(`/api/batches/${id}`)).outdated).to.equal(0);
  });

  it("is delivered as it was made, also where it is made anew for it", async () => {
    // A limit that no file keeps to: none that is there is taken as it is.
    const request = { batches: [{ id, variations: [1] }], format: "jpeg", most: 10_000 };
    const { body } = await post(`${piece}/deliveries`, request);
    const done = await until(
      () => get(`/api/deliveries/${body.id}`),
      ({ state }) => state !== "queued" && state !== "running",
    );
    expect(done).to.include({ state: "done", made: 2 });
    const { rawPayload } = await server.app.inject(`/api/deliveries/${body.id}/file`);
    const zip = unzipSync(new Uint8Array(rawPayload));
    const kept = await server.app.inject(`/api/batches/${id}/outputs/1/ad-medium-rectangle`);
    const name = Object.keys(zip).find((one) => one.includes("ad-medium-rectangle"))!;
    // Only lighter: the same picture, or nearly, once both are small.
    const [as, made] = await Promise.all(
      [zip[name]!, kept.rawPayload].map((bytes) =>
        sharp(bytes).resize(60).removeAlpha().raw().toBuffer(),
      ),
    );
    const apart = as!.reduce((most, value, at) => Math.max(most, Math.abs(value - made![at]!)), 0);
    expect(apart).to.be.lessThan(60);
  });

  it("is said not to be there, or to be under way, in a sentence", async () => {
    expect((await post("/api/batches/none/again")).status).to.equal(404);
    expect((await post(`/api/batches/${id}/variations/99/piece`)).status).to.equal(404);
    const table = {
      columns: ["headline"],
      rows: Array.from({ length: 40 }, (_, i) => [`Boat ${i}`]),
    };
    const more = (await post(`${piece}/batches`, { table, placements, format: "jpeg" })).body;
    const refused = await post(`/api/batches/${more.id}/again`);
    expect(refused.status).to.equal(409);
    expect(refused.body.message).to.contain("still being made");
    await post(`/api/batches/${more.id}/cancel`);
  });
});
