import { expect } from "chai";
import { families } from "../../core/shelf";
import { sized, typed } from "../../tests/support/edits";
import { testServer, type TestServer } from "../../tests/support/server";

describe("what documents name is there", () => {
  let server: TestServer;
  beforeEach(async () => (server = await testServer()));
  afterEach(() => server.close());

  const at = "/api/pieces/opening-announcement";
  const piece = async () => (await server.ask("GET", at)).body.piece;
  const undo = (id = "opening-announcement") => server.ask("POST", `/api/pieces/${id}/undo`);
  const type = (to: string, was: string) =>
    server.ask("POST", `${at}/edits`, { edit: typed(to, was) });

  it("undo passes over a brand that was deleted, says so, and goes on to what was before", async () => {
    await type("Harbour light", "Boats at rest");
    await server.ask("POST", "/api/crates/boats-at-rest/brand", { brand: "saltlight" });
    expect((await server.ask("DELETE", "/api/brands/quillmere", { instead: "saltlight" })).status) //
      .to.equal(200);
    const { body } = await undo();
    expect(body.piece.brand).to.equal("saltlight");
    expect(body.piece.message.headline.text).to.equal("Boats at rest");
    expect(body.note).to.contain("passed over").and.contain("quillmere");
    expect((await undo()).body.note).to.equal(undefined);
    const redone = (await server.ask("POST", `${at}/redo`)).body;
    expect(redone.piece.brand).to.equal("saltlight");
    expect(redone.piece.message.headline.text).to.equal("Harbour light");
  });

  it("and over a placement that was taken away", async () => {
    const facts = { ...(await server.ask("GET", "/api/placements")).body.placements[0] };
    delete facts.id;
    const own = await server.ask("POST", "/api/placements", { ...facts, name: "House screen" });
    const { sizes } = await piece();
    const more = [...sizes, { placement: own.body.id, changes: {} }];
    const edits = `${at}/edits`;
    await server.ask("POST", edits, { edit: sized(await piece(), more) });
    await server.ask("POST", edits, { edit: sized(await piece(), sizes) });
    expect((await server.ask("DELETE", `/api/placements/${own.body.id}`)).status).to.equal(200);
    const { body } = await undo();
    expect(body.piece.sizes).to.deep.equal(sizes);
    expect(body.note).to.contain("passed over");
  });

  it("a move to another brand's crate can be undone, as a step of its own", async () => {
    const [crate] = (await server.ask("GET", "/api/crates")).body.crates.filter(
      (one: { brand: string }) => one.brand !== "quillmere",
    );
    const before = await piece();
    const { body } = await server.ask("PUT", `${at}/filing`, { crate: crate.id });
    expect(body.piece.brand).to.equal(crate.brand);
    expect(body).to.deep.include({ undo: "another brand", revision: 1 });
    expect((await undo()).body.piece).to.deep.equal(before);
  });

  it("a kit that came into use while it was asked about is not deleted", async () => {
    const { kits, pieces } = server.services;
    const made = (await server.ask("GET", "/api/brands/quillmere")).body;
    const kit = await kits.add({
      name: "Third",
      colours: made.colours,
      headline: { shelf: families[0]!.id },
      text: { shelf: families[0]!.id },
    });
    const [, deleted] = await Promise.allSettled([
      pieces.rebrandCrate("autumn-lessons", kit.id),
      kits.remove(kit.id),
    ]);
    expect(deleted.status).to.equal("rejected");
    const { crates } = (await server.ask("GET", "/api/crates")).body;
    const brands = (await server.ask("GET", "/api/brands")).body.brands.map(
      ({ id }: { id: string }) => id,
    );
    for (const { brand } of crates) expect(brands).to.include(brand);
  });

  it("pinning a spread keeps what others changed in the kit meanwhile", async () => {
    const { body: cached } = await server.ask("GET", "/api/brands/quillmere");
    await server.ask("PUT", "/api/brands/quillmere", {
      brand: { ...cached, name: "Quillmere House" },
      version: 0,
    });
    const spread = { backdrop: cached.colours[0].id, headline: cached.colours[1].id };
    const pin = (pinned: boolean) =>
      server.ask("PUT", "/api/brands/quillmere/spreads", { spread, pinned });
    const { status, body } = await pin(true);
    expect(status, JSON.stringify(body)).to.equal(200);
    expect(body.name).to.equal("Quillmere House");
    expect(body.spreads).to.have.lengthOf(cached.spreads.length + 1);
    expect((await pin(true)).body.spreads).to.have.lengthOf(cached.spreads.length + 1);
    expect((await pin(false)).body.spreads).to.deep.equal(cached.spreads);
    const { versions } = (await server.ask("GET", "/api/brands/quillmere/versions")).body;
    expect(versions[0].number).to.equal(4);
  });
});
