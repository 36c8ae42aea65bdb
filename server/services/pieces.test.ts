import { expect } from "chai";
import { setting } from "../../core/edit";
import { sized, typed } from "../../tests/support/edits";
import { testServer, type TestServer } from "../../tests/support/server";

describe("pieces over HTTP", () => {
  let server: TestServer;
  const at = "/api/pieces/opening-announcement";
  const edit = (to: string, was: string, force = false, gesture?: string) =>
    server.ask("POST", `${at}/edits`, { edit: typed(to, was, "headline", gesture), force });
  const headline = async () => (await server.ask("GET", at)).body.piece.message.headline.text;

  before(async () => (server = await testServer()));
  after(() => server.close());

  it("lists crates with their pieces", async () => {
    const { status, body } = await server.ask("GET", "/api/crates");
    expect(status).to.equal(200);
    expect(body.crates.map((crate: { name: string }) => crate.name)).to.deep.equal([
      "Boats at Rest",
      "To swipe",
      "Autumn lessons",
    ]);
    expect(body.crates[0].pieces).to.have.lengthOf(3);
  });

  it("changes, undoes and redoes a message, and counts revisions", async () => {
    const { body } = await edit("Harbour light", "Boats at rest");
    expect(body).to.deep.include({ revision: 1, undo: "headline" });
    expect(body).not.to.have.property("redo");
    const undone = (await server.ask("POST", `${at}/undo`)).body;
    expect(undone).to.deep.include({ redo: "headline" });
    expect(undone).not.to.have.property("undo");
    expect(await headline()).to.equal("Boats at rest");
    await server.ask("POST", `${at}/redo`);
    expect(await headline()).to.equal("Harbour light");
  });

  it("joins what is typed in one go into one step", async () => {
    await edit("Harbour lights", "Harbour light", false, "typing");
    await edit("Harbour lights!", "Harbour lights", false, "typing");
    await server.ask("POST", `${at}/undo`);
    expect(await headline()).to.equal("Harbour light");
    await server.ask("POST", `${at}/undo`);
    expect(await headline()).to.equal("Boats at rest");
    // At the end of the history nothing happens.
    expect((await server.ask("POST", `${at}/undo`)).status).to.equal(200);
    for (let step = 0; step < 2; step++) await server.ask("POST", `${at}/redo`);
    expect(await headline()).to.equal("Harbour lights!");
  });

  it("lists one's own steps, the newest first, with those that were taken back", async () => {
    const history = async () =>
      (await server.ask("GET", `${at}/history`)).body.steps as {
        name: string;
        undone: boolean;
        at: string;
      }[];
    const before = await history();
    expect(before.length).to.be.above(0);
    expect(new Date(before[0]!.at).toISOString()).to.equal(before[0]!.at);
    await server.ask("POST", `${at}/undo`);
    const after = await history();
    expect(after.map(({ name }) => name)).to.deep.equal(before.map(({ name }) => name));
    expect(after.map(({ undone }) => undone)).to.deep.equal([
      true,
      ...before.slice(1).map(() => false),
    ]);
    await server.ask("POST", `${at}/redo`);
    expect(await history()).to.deep.equal(before);
    expect((await server.ask("GET", "/api/pieces/nobody/history")).status).to.equal(404);
  });

  it("makes no step of what was typed and deleted again", async () => {
    const before = (await server.ask("GET", at)).body;
    await edit("Harbour lights!?", "Harbour lights!", false, "again");
    const { body } = await edit("Harbour lights!", "Harbour lights!?", false, "again");
    expect(body.piece).to.deep.equal(before.piece);
    await server.ask("POST", `${at}/undo`);
    expect(await headline()).to.equal("Harbour light");
    await server.ask("POST", `${at}/redo`);
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
    const { piece } = (await server.ask("GET", at)).body;
    const dress = setting(piece, ["brand"], "moon");
    expect((await server.ask("POST", `${at}/edits`, { edit: dress })).status).to.equal(404);
    const sizes = sized(piece, [...piece.sizes, { placement: "moon", changes: {} }]);
    const refused = await server.ask("POST", `${at}/edits`, { edit: sizes });
    expect(refused.body.message).to.contain("no placement “moon”");
    expect(await headline()).to.equal("Harbour lights!");
    expect((await server.ask("GET", "/api/pieces/none")).body.message).to.contain(
      "no piece “none”",
    );
  });

  it("takes back what one did oneself, and never over another's change", async () => {
    const by = (author: string) => async (way: string, body?: object) => {
      const answer = await server.app.inject({
        method: way === "" ? "GET" : "POST",
        url: `/api/pieces/late-opening${way}`,
        headers: { host: "localhost:4310", "zest-author": author },
        ...(body ? { payload: body } : {}),
      });
      return answer.json();
    };
    const [ann, ben] = [by("ann"), by("ben")];
    const says = async (slot: string) => (await ann("")).piece.message[slot].text;
    const { piece } = await ann("");
    const [headline_, date] = [piece.message.headline.text, piece.message.date.text];
    await ann("/edits", { edit: typed("Ann's", headline_) });
    await ben("/edits", { edit: typed("Ben's", date, "date") });
    expect((await ben("")).undo).to.equal("date");
    expect((await ann("")).undo).to.equal("headline");
    await ann("/undo");
    expect([await says("headline"), await says("date")]).to.deep.equal([headline_, "Ben's"]);
    expect((await ann("")).redo).to.equal("headline");
    expect((await ben("")).redo).to.equal(undefined);
    await ann("/redo");
    // What another has changed since stays as it is, and that is said.
    await ben("/edits", { edit: typed("Ben's too", "Ann's") });
    const refused = await ann("/undo");
    expect(refused.note)
      .to.contain("passed over")
      .and.contain("“headline”, and someone else has changed");
    expect(await says("headline")).to.equal("Ben's too");
    expect((await ann("")).undo).to.equal(undefined);
    await ben("/undo");
    await ben("/undo");
    expect([await says("headline"), await says("date")]).to.deep.equal(["Ann's", date]);
  });

  it("starts a new piece as a copy that leaves the first alone", async () => {
    const { body } = await server.ask("POST", "/api/crates/autumn-lessons/pieces", {
      from: "opening-announcement",
    });
    expect(body.piece.title).to.equal("Opening announcement");
    // The crate is another brand's, and brands are never mixed.
    expect(body.piece).to.deep.include({ brand: "saltlight", spread: {} });
    await server.ask("POST", `/api/pieces/${body.piece.id}/edits`, {
      edit: typed("Copy", "Harbour lights!"),
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
