import { expect } from "chai";
import { testServer, type TestServer } from "../../tests/support/server";

describe("pieces over HTTP", () => {
  let server: TestServer;
  const at = "/api/pieces/opening-announcement";
  const edit = (to: string, was: string, force = false) =>
    server.ask("POST", `${at}/edits`, { edit: { kind: "text", slot: "headline", to, was }, force });
  const headline = async () => (await server.ask("GET", at)).body.piece.message.headline.text;

  before(async () => (server = await testServer()));
  after(() => server.close());

  it("lists crates with their pieces", async () => {
    const { status, body } = await server.ask("GET", "/api/crates");
    expect(status).to.equal(200);
    expect(body.crates.map((crate: { name: string }) => crate.name)).to.deep.equal([
      "Boats at Rest",
      "Autumn lessons",
    ]);
    expect(body.crates[0].pieces).to.have.lengthOf(3);
  });

  it("changes, undoes and redoes a message, and counts revisions", async () => {
    const { body } = await edit("Harbour light", "Boats at rest");
    expect(body).to.deep.include({ revision: 1, canUndo: true, canRedo: false });
    expect((await server.ask("POST", `${at}/undo`)).body).to.deep.include({
      canUndo: false,
      canRedo: true,
    });
    expect(await headline()).to.equal("Boats at rest");
    await server.ask("POST", `${at}/redo`);
    expect(await headline()).to.equal("Harbour light");
  });

  it("joins what is typed in one go into one step", async () => {
    await edit("Harbour lights", "Harbour light");
    await edit("Harbour lights!", "Harbour lights");
    await server.ask("POST", `${at}/undo`);
    expect(await headline()).to.equal("Boats at rest");
    // At the end of the history nothing happens.
    expect((await server.ask("POST", `${at}/undo`)).status).to.equal(200);
    await server.ask("POST", `${at}/redo`);
    expect(await headline()).to.equal("Harbour lights!");
  });

  it("tells a window that another changed the same words, and lets either stay", async () => {
    const { status, body } = await edit("Mine", "Boats at rest");
    expect(status).to.equal(409);
    expect(body.message).to.contain("“Harbour lights!”");
    expect(await headline()).to.equal("Harbour lights!");
    expect((await edit("Mine", "Boats at rest", true)).status).to.equal(200);
    await server.ask("POST", `${at}/undo`);
    expect(await headline()).to.equal("Harbour lights!");
  });

  it("refuses what does not exist or is too long, in a sentence, and keeps what was there", async () => {
    const long = await edit("x".repeat(5000), "Harbour lights!");
    expect(long.status).to.equal(400);
    expect(long.body.message).to.contain("2000 characters");
    const dress = {
      kind: "dress",
      to: { brand: "moon", spread: {} },
      was: { brand: "quillmere", spread: {} },
    };
    expect((await server.ask("POST", `${at}/edits`, { edit: dress })).status).to.equal(404);
    const { piece } = (await server.ask("GET", at)).body;
    const was = piece.sizes;
    const sizes = { kind: "sizes", to: [...was, { placement: "moon", changes: {} }], was };
    const refused = await server.ask("POST", `${at}/edits`, { edit: sizes });
    expect(refused.body.message).to.contain("no placement “moon”");
    expect(await headline()).to.equal("Harbour lights!");
    expect((await server.ask("GET", "/api/pieces/none")).body.message).to.contain(
      "no piece “none”",
    );
  });

  it("starts a new piece as a copy that leaves the first alone", async () => {
    const { body } = await server.ask("POST", "/api/crates/autumn-lessons/pieces", {
      from: "opening-announcement",
    });
    expect(body.piece.title).to.equal("Opening announcement");
    // The crate is another brand's, and brands are never mixed.
    expect(body.piece).to.deep.include({ brand: "saltlight", spread: {} });
    await server.ask("POST", `/api/pieces/${body.piece.id}/edits`, {
      edit: { kind: "text", slot: "headline", to: "Copy", was: "Harbour lights!" },
    });
    expect(await headline()).to.equal("Harbour lights!");
  });

  it("announces changes to those who listen", async () => {
    const heard: number[] = [];
    const end = server.services.pieces.events.listen("opening-announcement", (revision) =>
      heard.push(revision),
    );
    const { body } = await edit("Announced", "Harbour lights!");
    end();
    await edit("Not heard", "Announced");
    expect(heard).to.deep.equal([body.revision]);
  });

  it("refuses requests that come from another site", async () => {
    const strange = await server.app.inject({
      method: "POST",
      url: "/api/crates",
      headers: { host: "localhost:4310", origin: "http://evil.example" },
    });
    expect(strange.statusCode).to.equal(403);
    const renamed = await server.app.inject({
      url: "/api/crates",
      headers: { host: "evil.example" },
    });
    expect(renamed.statusCode).to.equal(403);
  });

  it("describes itself", async () => {
    const { body } = await server.ask("GET", "/api/openapi.json");
    expect(Object.keys(body.paths)).to.include.members([
      "/api/crates",
      "/api/pieces/{id}/edits",
      "/api/pieces/{id}/batches",
    ]);
    const schema =
      body.paths["/api/pieces/{id}"].get.responses["200"].content["application/json"].schema;
    expect(schema.properties).to.have.property("revision");
  });
});
