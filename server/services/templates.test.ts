import { expect } from "chai";
import { carousels, shippedTemplates } from "../../core/shipped";

import { typed } from "../../tests/support/edits";
import { testServer, type TestServer } from "../../tests/support/server";

describe("new pieces over HTTP", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());
  const begin = (body: object, crate = "boats-at-rest") =>
    server.ask("POST", `/api/crates/${crate}/pieces`, body);

  it("begin with a template, in the crate's brand, named after what they say", async () => {
    const words = { headline: "A winter of small boats", price: "€ 6", site: "quillmere.example" };
    const { status, body } = await begin({ template: "price-plate", words });
    expect(status).to.equal(200);
    const { piece } = body;
    expect(piece).to.include({ brand: "quillmere", title: "A winter of small boats" });
    expect(piece.message.price.text).to.equal("€ 6");
    // It has no place for the site, and keeps it all the same.
    expect(piece.message.site.text).to.equal("quillmere.example");
    expect(piece.sizes.length).to.be.at.least(5);
    const again = await begin({ template: "price-plate", words });
    expect(again.body.piece.title).to.equal("A winter of small boats 2");
  });

  it("are laid out anew at the lead where the words need more room than the template has", async () => {
    const headline = "Everything that our grandparents photographed between the wars and hid";
    const { body } = await begin({ template: "ad-plain", words: { headline, support: headline } });
    expect(body.piece.lead).to.equal("ad-medium-rectangle");
    const { body: layouts } = await server.ask(
      "GET",
      `/api/pieces/${body.piece.id}/layouts?placement=ad-medium-rectangle`,
    );
    expect(layouts.layouts.length).to.be.at.least(1);
  });

  it("are refused when the template or a picture is not there", async () => {
    expect((await begin({ template: "moon" })).body.message).to.contain("no template “moon”");
    const gone = await begin({ template: "window", pictures: ["0".repeat(64)] });
    expect(gone.status).to.equal(404);
    expect((await begin({ template: "window" }, "nowhere")).status).to.equal(404);
  });
});

describe("crates and pieces", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());
  const crate = async (id: string) => (await server.ask("GET", `/api/crates/${id}`)).body;
  const ids = (pieces: { id: string }[]) => pieces.map(({ id }) => id);
  const keep = (id: string, filing: object) =>
    server.ask("PUT", `/api/pieces/${id}/filing`, filing);

  it("are renamed, put aside and brought back, and moved in the other crate's brand", async () => {
    await server.ask("PUT", "/api/crates/boats-at-rest", { name: "Boats, resting" });
    expect((await crate("boats-at-rest")).name).to.equal("Boats, resting");
    const empty = await server.ask("PUT", "/api/crates/boats-at-rest", { name: " " });
    expect(empty.body.message).to.contain("a crate needs a name");

    await keep("late-opening", { archived: true });
    const without = await crate("boats-at-rest");
    expect(ids(without.pieces)).to.not.include("late-opening");
    expect(ids(without.archived)).to.deep.equal(["late-opening"]);
    await keep("late-opening", { archived: false });
    expect(ids((await crate("boats-at-rest")).pieces)).to.include("late-opening");

    const moved = await keep("late-opening", { crate: "autumn-lessons" });
    expect(moved.body.piece.brand).to.equal("saltlight");
    expect(ids((await crate("autumn-lessons")).pieces)).to.include("late-opening");
    expect((await keep("late-opening", { crate: "nowhere" })).status).to.equal(404);
  });
});

describe("templates of the house", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());
  const about = {
    piece: "float-before-lunch",
    name: "Price on waves",
    purposes: ["offer"],
    looks: ["pattern"],
    mood: "light",
    fixed: ["terms"],
  };

  it("are saved from a piece, begun with, exported, taken in and deleted", async () => {
    const { status, body: made } = await server.ask("POST", "/api/templates", about);
    expect(status).to.equal(200);
    const { body: list } = await server.ask("GET", "/api/templates");
    expect(list.house).to.deep.equal([made.id]);
    expect(list.templates).to.have.lengthOf(shippedTemplates.length + carousels.length + 1);

    const { body } = await server.ask("POST", "/api/crates/boats-at-rest/pieces", {
      template: made.id,
      words: { headline: "Row before tea", price: "€ 12" },
    });
    expect(body.piece.brand).to.equal("quillmere");
    expect(body.piece.message).to.deep.include({
      headline: { text: "Row before tea" },
      terms: { text: "six lessons" },
    });
    expect(body.piece.sizes.length).to.equal(made.design.sizes.length);
    const { body: first } = await server.ask("GET", "/api/pieces/float-before-lunch");
    expect(first.piece.message.headline.text).to.equal("Float before lunch");

    const file = (await server.app.inject({ url: `/api/templates/${made.id}/file` })).json();
    const taken = await server.ask("POST", "/api/templates/import", file);
    expect(taken.body.name).to.equal("Price on waves 2");
    const left = await server.ask("DELETE", `/api/templates/${made.id}`);
    expect(left.body.house).to.deep.equal([taken.body.id]);
    expect((await server.ask("GET", `/api/pieces/${body.piece.id}`)).status).to.equal(200);
  });

  it("are changed only on purpose, by what was begun with them or anything else", async () => {
    const { body: made } = await server.ask("POST", "/api/templates", about);
    const { body } = await server.ask("POST", "/api/crates/autumn-lessons/pieces", {
      template: made.id,
      words: { headline: "Row before tea" },
    });
    const { origin, id } = body.piece;
    expect(origin).to.deep.equal({ kind: "template", id: made.id, name: made.name });
    await server.ask("POST", `/api/pieces/${id}/edits`, {
      edit: typed("Row early", "Row before tea"),
    });
    const untouched = (await server.ask("GET", "/api/templates")).body.templates[0];
    expect(untouched.design.message.headline.text).to.equal("Float before lunch");

    const changed = await server.ask("PUT", `/api/templates/${made.id}`, { ...about, piece: id });
    expect(changed.status).to.equal(200);
    expect(changed.body.id).to.equal(made.id);
    expect(changed.body.design.message.headline.text).to.equal("Row early");
    expect((await server.ask("PUT", "/api/templates/ticket", about)).status).to.equal(404);
    const copy = await server.ask("POST", "/api/crates/autumn-lessons/pieces", { from: id });
    expect(copy.body.piece.origin).to.deep.equal({ kind: "piece", id, name: body.piece.title });
  });

  it("are refused in a sentence: no file of ours, and those that ship cannot be deleted", async () => {
    const bad = await server.ask("POST", "/api/templates/import", { format: "something" });
    expect(bad.status).to.equal(400);
    expect(bad.body.message).to.contain("The template cannot be read");
    expect((await server.ask("DELETE", "/api/templates/big-words")).status).to.equal(404);
  });
});
