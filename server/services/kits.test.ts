import { setTimeout } from "node:timers/promises";
import { expect } from "chai";
import sharp from "sharp";
import type { OutdatedList } from "../../core/api";
import { multipart, testServer, until, type TestServer } from "../../tests/support/server";
import { shippedPlacement } from "../../core/placements";

describe("brand kits", () => {
  let server: TestServer;
  beforeEach(async () => (server = await testServer()));
  afterEach(() => server.close());

  const kit = async (id: string) => (await server.ask("GET", `/api/brands/${id}`)).body;

  /** The kit with another value for its primary colour. */
  async function recolour(hex: string, version: number, key?: string) {
    const brand = await kit("quillmere");
    brand.colours[0].hex = hex;
    return server.ask("PUT", "/api/brands/quillmere", { brand, version, ...(key ? { key } : {}) });
  }

  it("that are locked are changed with their key only, and say so", async () => {
    const lock = (to: string, key: string) =>
      server.ask("POST", `/api/brands/quillmere/${to}`, { key });
    expect((await lock("lock", "abc")).status).to.equal(400);
    expect((await lock("lock", "harbour")).body).to.deep.equal({ locked: true });
    expect((await server.ask("GET", "/api/brands")).body.locked).to.deep.equal(["quillmere"]);
    const refused = await recolour("#15444A", 0);
    expect(refused.status).to.equal(403);
    expect(refused.body.message).to.contain("is locked").and.to.contain("still on the page");
    expect((await recolour("#15444A", 0, "harbours")).status).to.equal(403);
    expect((await recolour("#15444A", 0, "harbour")).status).to.equal(200);
    expect((await lock("lock", "another")).status).to.equal(403);
    expect((await lock("unlock", "another")).status).to.equal(403);
    expect((await lock("unlock", "harbour")).body).to.deep.equal({ locked: false });
    expect((await recolour("#123A3F", 1)).status).to.equal(200);
  });

  it("keep a name of their own", async () => {
    const brand = { ...(await kit("quillmere")), name: "saltlight swim club" };
    const { status, body } = await server.ask("PUT", "/api/brands/quillmere", {
      brand,
      version: 0,
    });
    expect(status).to.equal(400);
    expect(body.message).to.contain("already; give this one another name");
  });

  it("that pieces have are deleted only when those get another", async () => {
    const remove = (body: object) => server.ask("DELETE", "/api/brands/saltlight", body);
    const refused = await remove({});
    expect(refused.status).to.equal(409);
    expect(refused.body.message)
      .to.contain("Float before lunch")
      .and.to.contain("Nothing was deleted");
    expect((await remove({ instead: "nobody" })).status).to.equal(404);
    expect((await kit("saltlight")).name).to.contain("Saltlight");
    const { status, body } = await remove({ instead: "quillmere" });
    expect(status).to.equal(200);
    expect(body.pieces).to.not.be.empty;
    expect((await server.ask("GET", "/api/brands/saltlight")).status).to.equal(404);
    const { crates } = (await server.ask("GET", "/api/crates")).body;
    const brands = crates.flatMap((crate: { brand: string; pieces: { brand: string }[] }) => [
      crate.brand,
      ...crate.pieces.map((piece) => piece.brand),
    ]);
    expect(new Set(brands)).to.deep.equal(new Set(["quillmere"]));
  });

  it("are changed for a whole crate, and each piece can go back", async () => {
    const before = (await server.ask("GET", "/api/crates/boats-at-rest")).body;
    const { body } = await server.ask("POST", "/api/crates/boats-at-rest/brand", {
      brand: "saltlight",
    });
    expect(body.pieces).to.have.lengthOf(before.pieces.length);
    const after = (await server.ask("GET", "/api/crates/boats-at-rest")).body;
    expect(after.brand).to.equal("saltlight");
    for (const { id } of after.pieces) {
      const undone = (await server.ask("POST", `/api/pieces/${id}/undo`)).body.piece;
      expect(undone).to.deep.equal(before.pieces.find((piece: { id: string }) => piece.id === id));
    }
  });

  it("put what was exported before a change out of date, until it is changed back", async () => {
    const { body } = await server.ask("POST", "/api/pieces/opening-announcement/deliveries", {
      sizes: ["story"],
    });
    let { state } = body;
    while (state === "queued" || state === "running") {
      await setTimeout(20);
      ({ state } = (await server.ask("GET", `/api/deliveries/${body.id}`)).body);
    }
    expect(state).to.equal("done");
    const list = async (): Promise<OutdatedList["outdated"]> =>
      (await server.ask("GET", "/api/brands/quillmere/outdated")).body.outdated;
    expect(await list()).to.deep.equal([]);
    await recolour("#15444A", 0);
    const [found] = await list();
    expect(found).to.include({ kind: "delivery", id: body.id, piece: "opening-announcement" });
    expect(found!.why).to.deep.equal(["Tide #123A3F → #15444A"]);
    await recolour("#123A3F", 1);
    expect(await list()).to.deep.equal([]);
  });

  it("put what was exported out of date when its placement is corrected, until that is taken back", async () => {
    const { body } = await server.ask("POST", "/api/pieces/late-opening/deliveries", {
      sizes: ["story", "photo-feed-tall"],
    });
    await until(
      async () => (await server.ask("GET", `/api/deliveries/${body.id}`)).body.state,
      (state) => state === "done",
    );
    const why = async () => {
      const { outdated } = (await server.ask("GET", "/api/brands/quillmere/outdated"))
        .body as OutdatedList;
      return outdated.find(({ id }) => id === body.id)?.why;
    };
    expect(await why()).to.equal(undefined);
    const { id: _id, ...story } = shippedPlacement("story")!;
    const renamed = { ...story, name: "Story, new" };
    await server.ask("PUT", "/api/placements/story", renamed);
    expect(await why()).to.equal(undefined);
    await server.ask("PUT", "/api/placements/story", { ...renamed, margin: 100 });
    expect(await why()).to.deep.equal(["“Story, new” was corrected"]);
    await server.ask("DELETE", "/api/placements/story");
    expect(await why()).to.equal(undefined);
  });

  it("make other versions of a logo, and say when they cannot", async () => {
    const send = async (name: string, image: Buffer) => {
      const { payload, headers } = multipart(name, image);
      const answer = await server.app.inject({
        method: "POST",
        url: "/api/pictures",
        payload,
        headers,
      });
      return answer.json().id as string;
    };
    const square = { create: { width: 80, height: 80, channels: 3 as const, background: "#fff" } };
    const ink = { create: { ...square.create, width: 30, height: 30, background: "#123A3F" } };
    const mark = await sharp(square)
      .composite([{ input: await sharp(ink).png().toBuffer() }])
      .png()
      .toBuffer();
    const id = await send("mark.png", mark);
    const made = await server.ask("POST", `/api/pictures/${id}/logo`, { as: "without-ground" });
    expect(made.body).to.include({ name: "mark without its ground.png", width: 80, height: 80 });
    const stored = await server.services.context.blobs.read(made.body.id);
    const { data } = await sharp(stored).raw().toBuffer({ resolveWithObject: true });
    expect([data[3], data[(40 * 80 + 40) * 4 + 3]]).to.deep.equal([0, 255]);
    // A new kit takes it like that from the start: no white box on a coloured ground.
    const begun = await server.ask("POST", "/api/brands", {
      name: "Squares",
      colours: [{ name: "Tide", hex: "#123A3F", role: "primary" }],
      headline: { shelf: "vollkorn" },
      text: { shelf: "vollkorn" },
      logo: id,
    });
    expect(begun.body.logos).to.deep.include({
      kind: "mark",
      ink: "own",
      ground: "light",
      file: made.body.id,
      clear: 0.25,
    });
    const kept = await server.ask("POST", "/api/brands", {
      name: "Squares on white",
      colours: [{ name: "Tide", hex: "#123A3F", role: "primary" }],
      headline: { shelf: "vollkorn" },
      text: { shelf: "vollkorn" },
      logo: id,
      keepGround: true,
    });
    expect(kept.body.logos[0].file).to.equal(id);
    const noise = { ...square.create, noise: { type: "gaussian" as const, mean: 120, sigma: 60 } };
    const photo = await send("photo.png", await sharp({ create: noise }).png().toBuffer());
    const refused = await server.ask("POST", `/api/pictures/${photo}/logo`, {
      as: "without-ground",
    });
    expect(refused.status).to.equal(422);
    expect(refused.body.message).to.contain("no flat ground");
  });

  it("hold one colour or eleven, and every spread that is offered can be read", async () => {
    const colours = Array.from({ length: 11 }, (_, i) => ({
      name: `Colour ${i}`,
      hex: `#${(i * 1499999).toString(16).padStart(6, "0")}`,
      role: "free",
    }));
    for (const count of [1, 11]) {
      const { status, body } = await server.ask("POST", "/api/brands", {
        name: `With ${count}`,
        colours: colours.slice(0, count),
        headline: { shelf: "vollkorn" },
        text: { shelf: "vollkorn" },
      });
      expect(status).to.equal(200);
      expect(body.colours).to.have.lengthOf(count);
    }
  });
});
