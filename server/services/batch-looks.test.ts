import { expect } from "chai";
import type { BatchAnswer, VariationAnswer } from "../../core/api";
import { setting } from "../../core/edit";
import type { Piece } from "../../core/piece";
import { shippedTemplates } from "../../core/shipped";
import { testServer, until, type TestServer } from "../../tests/support/server";

const at = "/api/pieces/opening-announcement";
const template = shippedTemplates.find(({ id }) => id === "said-aloud")!;
const table = {
  columns: ["headline", "sizes"],
  rows: [
    ["Boats at ease", ""],
    ["Still water", "Story"],
  ],
};
const request = {
  table,
  templates: [template.id],
  typefaces: ["kit", "capitals"],
  pairing: "together",
  groups: [["headline", "sizes"]],
  placements: ["photo-feed-square", "story"],
  format: "png",
};

describe("a batch whose looks vary", () => {
  let server: TestServer;
  let batch: BatchAnswer;
  const get = async (path: string) => (await server.ask("GET", path)).body;
  const post = async (path: string, body: object = {}) =>
    (await server.ask("POST", path, body)).body;
  const ended = (id: string): Promise<BatchAnswer> =>
    until(
      () => get(`/api/batches/${id}`),
      ({ state }: BatchAnswer) => state !== "queued" && state !== "running",
    );
  const variations = async (id: string): Promise<VariationAnswer[]> =>
    (await get(`/api/batches/${id}/variations`)).variations;

  before(async () => {
    server = await testServer();
    batch = await ended((await post(`${at}/batches`, request)).id);
  });
  after(() => server.close());

  it("counts each variation for the sizes that it is made for", async () => {
    const plan = await post(`${at}/batches/plan`, request);
    // Two headlines × two ways of the typefaces, one of the headlines on one of two sizes.
    expect(plan).to.deep.include({ variations: 4, files: 6, slots: ["headline", "sizes"] });
    expect(batch).to.deep.include({ state: "done", made: 6, files: 6, failed: 0, outdated: 0 });
    const made = await variations(batch.id);
    expect(made.map(({ outputs }) => outputs.map(({ placement }) => placement))).to.deep.equal([
      ["photo-feed-square", "story"],
      ["photo-feed-square", "story"],
      ["story"],
      ["story"],
    ]);
  });

  it("calls its values by what people know them by, on the contact sheet and in names", async () => {
    const made = await variations(batch.id);
    expect(made[1]!.values).to.deep.equal({
      headline: "Boats at ease",
      template: template.name,
      typefaces: "headline in capitals",
    });
    expect(made[2]!.values.sizes).to.equal("Story");
    const sheet = await get(`/api/batches/${batch.id}/sheet?placement=story`);
    expect(sheet.columns).to.deep.equal(["headline", "template", "typefaces", "sizes"]);
    const pattern = "{template}/{typefaces}_{placement}_{variation}";
    const { status } = await server.ask("POST", `${at}/deliveries`, {
      batches: [{ id: batch.id }],
      format: "png",
      pattern,
    });
    expect(status).to.equal(200);
  });

  it("looks otherwise with each of its looks", async () => {
    const made = await variations(batch.id);
    const stories = made.map(({ outputs }) => outputs.at(-1)!.sha256);
    expect(new Set(stories)).to.have.lengthOf(4);
  });

  it("is not outdated by an arrangement that none of them has, but by words that all have", async () => {
    const { piece } = (await get(at)) as { piece: Piece };
    const headline = piece.arrangement.find(({ role }) => role === "headline")!;
    const edit = setting(piece, ["arrangement", headline.id, "style", "colour"], "#C00000");
    await post(`${at}/edits`, { edit });
    expect((await get(`/api/batches/${batch.id}`)).outdated).to.equal(0);
    const now = (await get(at)) as { piece: Piece };
    const said = setting(now.piece, ["message", "date", "text"], "Friday 3 May");
    await post(`${at}/edits`, { edit: said });
    expect((await get(`/api/batches/${batch.id}`)).outdated).to.equal(6);
    await post(`/api/batches/${batch.id}/again`);
    expect(await ended(batch.id)).to.deep.include({ made: 6, outdated: 0 });
  });

  it("has one opened by hand as it is arranged, and keeps what is changed of it", async () => {
    const { piece } = (await post(`/api/batches/${batch.id}/variations/1/piece`)) as {
      piece: Piece;
    };
    expect(piece.lead).to.equal(template.design.lead);
    const quote = piece.arrangement.find(({ slot }) => slot === "headline")!;
    const edit = setting(piece, ["arrangement", quote.id, "style", "colour"], "#C00000");
    await post(`/api/pieces/${piece.id}/edits`, { edit });
    expect((await get(`/api/batches/${batch.id}`)).outdated).to.equal(2);
    await post(`/api/batches/${batch.id}/again`);
    expect(await ended(batch.id)).to.deep.include({ made: 6, outdated: 0, failed: 0 });
  });

  it("says in a sentence what is not there", async () => {
    for (const unknown of [{ templates: ["gone"] }, { typefaces: ["gothic"] }]) {
      const { status, body } = await server.ask("POST", `${at}/batches`, {
        ...request,
        ...unknown,
      });
      expect([status, body.code]).to.deep.equal([404, "not-found"]);
    }
    // A carousel's set arranges no single graphic.
    const { status } = await server.ask("POST", `${at}/batches/plan`, {
      ...request,
      templates: ["slides-steps"],
    });
    expect(status).to.equal(404);
    const none = { ...table, rows: [["A", "microblog-wide"]] };
    const { body } = await server.ask("POST", `${at}/batches`, { ...request, table: none });
    expect(body.code).to.equal("batch-empty");
  });
});
