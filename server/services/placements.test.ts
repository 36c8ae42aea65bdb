import { editTo, setting } from "../../core/edit";
import type { LayoutId } from "../../core/piece";
import { sized, typed } from "../../tests/support/edits";
import { expect } from "chai";
import { catalogue, placementById, type Placement } from "../../core/placements";
import { bundleOf, testServer, type TestServer } from "../../tests/support/server";

describe("the team's placements", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());

  const facts = (id: string) => {
    const { id: _id, ...rest } = placementById(id);
    return rest;
  };
  const list = async () => (await server.ask("GET", "/api/placements")).body;
  const find = async (id: string): Promise<Placement> =>
    (await list()).placements.find((placement: Placement) => placement.id === id);

  it("are corrected under their id, and get their shipped facts back", async () => {
    const { status } = await server.ask("PUT", "/api/placements/story", {
      ...facts("story"),
      name: "Moments",
      margin: 90,
    });
    expect(status).to.equal(200);
    expect(await find("story")).to.include({ name: "Moments", margin: 90 });
    expect((await list()).shipped).to.deep.equal([placementById("story")]);
    const { body } = await server.ask("DELETE", "/api/placements/story");
    expect(body.shipped).to.deep.equal([]);
    expect(await find("story")).to.deep.equal(placementById("story"));
  });

  it("are added under an id of their name, used by a piece, and not deleted while it goes there", async () => {
    const { body: added } = await server.ask("POST", "/api/placements", {
      ...facts("community-link"),
      name: "Booth screen",
      width: 1366,
      height: 768,
    });
    expect(added.id).to.equal("booth-screen");
    const { body: again } = await server.ask("POST", "/api/placements", {
      ...facts("community-link"),
      name: "Booth screen",
    });
    expect(again.id).to.equal("booth-screen-2");
    const name = "A name that goes on and on ".repeat(8).trim();
    const { body: long } = await server.ask("POST", "/api/placements", {
      ...facts("story"),
      name,
    });
    expect((await find(long.id)).name).to.equal(name);
    expect((await server.ask("DELETE", `/api/placements/${long.id}`)).status).to.equal(200);

    const { body: piece } = await server.ask("GET", "/api/pieces/opening-announcement");
    const to = [...piece.piece.sizes, { placement: "booth-screen", changes: {} }];
    const edit = sized(piece.piece, to);
    expect((await server.ask("POST", "/api/pieces/opening-announcement/edits", { edit })).status) //
      .to.equal(200);
    const { body: uses } = await server.ask("GET", "/api/placements/booth-screen/pieces");
    expect(uses.pieces.map(({ id }: { id: string }) => id)).to.deep.equal(["opening-announcement"]);
    const kept = await server.ask("DELETE", "/api/placements/booth-screen");
    expect(kept.status).to.equal(409);
    expect(kept.body.message).to.contain("Booth screen").and.contain("Nothing was deleted");
    const { body: layouts } = await server.ask(
      "GET",
      "/api/pieces/opening-announcement/layouts?placement=booth-screen",
    );
    expect(layouts.layouts).to.have.lengthOf.within(1, 3);
    expect((await server.ask("DELETE", "/api/placements/booth-screen-2")).status).to.equal(200);
    expect(await find("booth-screen-2")).to.equal(undefined);
  });

  it("go out as one file and come back: corrected, added or the same", async () => {
    const file = (await server.app.inject({ url: "/api/placements/export" })).json();
    const same = await server.ask("POST", "/api/placements/import", file);
    expect(same.body).to.deep.include({ added: [], changed: [] });
    const changed = file.placements.map((placement: Placement) =>
      placement.id === "status" ? { ...placement, retired: true } : placement,
    );
    const fresh = { ...file.placements[0], id: "kiosk", name: "Kiosk" };
    const { body } = await server.ask("POST", "/api/placements/import", {
      ...file,
      placements: [...changed, fresh],
    });
    expect(body).to.deep.include({ added: ["kiosk"], changed: ["status"] });
    expect(body.same).to.have.lengthOf(catalogue.placements.length);
    expect((await find("status")).retired).to.equal(true);
  });

  it("are refused under an id that would lead out of the data folder, on every way in", async () => {
    const before = await list();
    for (const id of ["/../../../../victim", "..", "a/b", "a\\b", "a b"]) {
      const file = { ...catalogue, placements: [{ ...placementById("story"), id }] };
      const refused = await server.ask("POST", "/api/placements/import", file);
      expect(refused.status, id).to.equal(400);
      expect(refused.body.message, id).to.contain("an id is written in");
      const own = { ...placementById("story"), id };
      const path = "/api/pieces/opening-announcement";
      const { body } = await server.ask("GET", path);
      const to = [...body.piece.sizes, { placement: id, own, changes: {} }];
      const edit = sized(body.piece, to);
      expect((await server.ask("POST", `${path}/edits`, { edit })).status, id).to.equal(400);
      const delivery = await server.ask("POST", `${path}/deliveries`, { sizes: [id] });
      expect(delivery.status, id).to.equal(400);
    }
    expect(await list()).to.deep.equal(before);
  });

  it("are refused where a field is wrong, and nothing is taken in", async () => {
    const bad = await server.ask("POST", "/api/placements", { ...facts("story"), width: 0 });
    expect(bad.status).to.equal(400);
    expect(bad.body.message).to.contain("width").and.contain("Nothing was changed");
    const before = await list();
    const file = { ...catalogue, placements: [{ ...placementById("story"), height: -4 }] };
    const refused = await server.ask("POST", "/api/placements/import", file);
    expect(refused.status).to.equal(400);
    expect(refused.body.message).to.contain("height");
    expect(await list()).to.deep.equal(before);
    expect((await server.ask("PUT", "/api/placements/moon", facts("story"))).status).to.equal(400);
  });
});

describe("the sizes of a piece over HTTP", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());
  const path = "/api/pieces/opening-announcement";
  const piece = async () => (await server.ask("GET", path)).body.piece;
  const edit = (change: object) => server.ask("POST", `${path}/edits`, { edit: change });

  it("may be its own, and travel with it to another team", async () => {
    const own = { ...placementById("community-link"), id: "own-900x300", width: 900, height: 300 };
    const now = await piece();
    const to = [...now.sizes, { placement: own.id, own, changes: {} }];
    expect((await edit(sized(now, to))).status).to.equal(200);
    const { body } = await server.ask("POST", `${path}/deliveries`, { sizes: [own.id] });
    expect(body.files).to.equal(1);
    const crate = (await server.ask("GET", path)).body.crate.id;
    const bundle = await server.app.inject({ url: `/api/crates/${crate}/bundle` });
    const read = await bundleOf(bundle.rawPayload, () => undefined).catch(
      (error: Error) => error.message,
    );
    // Only what ships with the program is looked up there; the own size is not.
    expect(read).to.contain("photo-feed").and.not.contain("own-900x300");
  });

  it("may not be larger than can be painted, which is said when they are planned", async () => {
    const own = {
      ...placementById("community-link"),
      id: "own-wall",
      width: 20_000,
      height: 20_000,
    };
    const was = await piece();
    const to = [...was.sizes, { placement: own.id, own, changes: {} }];
    const refused = await edit(sized(was, to));
    expect(refused.status).to.equal(400);
    expect(refused.body.message).to.contain("8485 × 8485 px");
    const { id: _id, ...facts } = own;
    expect((await server.ask("POST", "/api/placements", facts)).body.code).to.equal(
      "size-too-large",
    );
    const large = { ...own, id: "own-sheet", width: 8000, height: 8000 };
    const fits = [...was.sizes, { placement: large.id, own: large, changes: {} }];
    expect((await edit(sized(was, fits))).status).to.equal(200);
    const twice = await server.ask("POST", `${path}/deliveries`, { sizes: [large.id], scale: 2 });
    expect(twice.body.code).to.equal("size-too-large");
    await edit(sized(await piece(), was.sizes));
  });

  it("take a layout that is picked, keep it when words change, and give it back", async () => {
    const { body } = await server.ask("GET", `${path}/layouts?placement=story`);
    const [best, other] = body.layouts as LayoutId[];
    expect(other).to.be.an("object").and.not.deep.equal(best);
    const picked = setting(await piece(), ["sizes", "story", "layout"], other);
    expect((await edit(picked)).status).to.equal(200);
    await edit(typed("Boats asleep", "Boats at rest"));
    const sizes = (await piece()).sizes as { placement: string; layout?: object }[];
    expect(sizes.find(({ placement }) => placement === "story")!.layout).to.deep.equal(other);
    await server.ask("POST", `${path}/undo`);
    await server.ask("POST", `${path}/undo`);
    const before = (await piece()).sizes as { placement: string; layout?: object }[];
    expect(before.find(({ placement }) => placement === "story")!.layout).to.equal(undefined);
  });

  it("let another one lead, and undo brings the first lead back as it was", async () => {
    const before = await piece();
    const { status, body: after } = await server.ask("GET", `${path}/with-lead?placement=story`);
    expect(status).to.equal(200);
    expect(after).to.deep.include({ lead: "story", frame: { width: 1080, height: 1920 } });
    const changed = await edit(editTo(before, after, "lead")!);
    expect(changed.body.piece.lead).to.equal("story");
    const { body: undone } = await server.ask("POST", `${path}/undo`);
    expect(undone.piece.arrangement).to.deep.equal(before.arrangement);
    expect(undone.piece.lead).to.equal(before.lead);
  });

  it("remember how they were shown, without a step of undo", async () => {
    const change = typed("Boats at home", "Boats at rest");
    const shown = { story: { kind: "picture-between" } };
    const { body } = await server.ask("POST", `${path}/edits`, { edit: change, shown });
    expect(body.piece.shown).to.deep.equal(shown);
    const undone = await server.ask("POST", `${path}/undo`);
    expect(undone.body.piece.message.headline.text).to.equal("Boats at rest");
    // What was shown goes back and forth with the words, so that undo shows what was there.
    expect(undone.body.piece.shown).to.equal(undefined);
    const redone = await server.ask("POST", `${path}/redo`);
    expect(redone.body.piece.shown).to.deep.equal(shown);
  });
});
