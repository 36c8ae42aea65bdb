import { readdir } from "node:fs/promises";
import { expect } from "chai";
import { sql } from "drizzle-orm";
import type { BinKind, StorageAnswer } from "../../core/api";
import { exists } from "../files/blobs";
import { multipart, testServer, until, type TestServer } from "../../tests/support/server";
import { batchName } from "./batch-runner";

const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="90" height="60"><rect width="40" height="60"/></svg>`;

describe("what was deleted", () => {
  let server: TestServer;
  beforeEach(async () => (server = await testServer()));
  afterEach(() => server.close());

  const storage = async (): Promise<StorageAnswer> =>
    (await server.ask("GET", "/api/storage")).body;
  const binned = async () => (await storage()).bin.map(({ kind, id }) => `${kind} ${id}`);
  const restore = (kind: BinKind, id: string) =>
    server.ask("POST", `/api/bin/${kind}/${id}/restore`);
  const shelf = async () =>
    (await server.ask("GET", "/api/crates")).body.crates.map(
      (crate: { id: string; pieces: { id: string }[] }) => [
        crate.id,
        crate.pieces.map(({ id }) => id),
      ],
    );
  /** As if so many days had gone by since. */
  const age = (days: number) =>
    server.store.write(async (tx) => {
      const then = new Date(Date.now() - days * 86_400_000).toISOString();
      for (const table of ["pieces", "crates", "files", "batches", "deliveries", "put_away"])
        await tx.run(
          sql`UPDATE ${sql.identifier(table)} SET deleted = ${then} WHERE deleted IS NOT NULL`,
        );
    });

  it("is out of sight at once, and comes back whole: a piece, and a crate with its pieces", async () => {
    const before = await shelf();
    const piece = (await server.ask("GET", "/api/pieces/late-opening")).body;
    expect((await server.ask("DELETE", "/api/pieces/late-opening")).status).to.equal(200);
    expect((await server.ask("GET", "/api/pieces/late-opening")).status).to.equal(404);
    expect((await server.ask("DELETE", "/api/pieces/late-opening")).status).to.equal(404);
    await server.ask("DELETE", "/api/crates/boats-at-rest");
    expect((await shelf()).map(([id]: [string]) => id)).to.deep.equal([
      "to-swipe",
      "autumn-lessons",
    ]);
    expect(await binned()).to.have.members(["crate boats-at-rest", "piece late-opening"]);
    await restore("crate", "boats-at-rest");
    expect(JSON.stringify(await shelf())).not.to.contain("late-opening");
    await restore("piece", "late-opening");
    expect(await shelf()).to.deep.equal(before);
    expect((await server.ask("GET", "/api/pieces/late-opening")).body).to.deep.equal(piece);
    expect((await restore("piece", "late-opening")).status).to.equal(404);
  });

  it("brings the crate along that a piece stands in", async () => {
    await server.ask("DELETE", "/api/pieces/late-opening");
    await server.ask("DELETE", "/api/crates/boats-at-rest");
    await restore("piece", "late-opening");
    expect(await shelf()).to.deep.include(["boats-at-rest", ["late-opening"]]);
  });

  it("may be a picture that nothing shows, which comes back when it is added again", async () => {
    const { body: all } = await server.ask("GET", "/api/pictures");
    const used = await server.ask("DELETE", `/api/pictures/${all.pictures[0].id}`);
    expect(used.status).to.equal(409);
    expect(used.body.message).to.match(/is shown in a (piece|brand kit)/);
    const add = async () => {
      const { payload, headers } = multipart("free.svg", Buffer.from(SVG));
      const url = "/api/pictures";
      return (await server.app.inject({ method: "POST", url, payload, headers })).json();
    };
    const { id } = await add();
    expect((await storage()).unused.map((one) => one.id)).to.include(id);
    expect((await server.ask("DELETE", `/api/pictures/${id}`)).status).to.equal(200);
    const list = async () => JSON.stringify((await server.ask("GET", "/api/pictures")).body);
    expect(await list()).not.to.contain(id);
    expect((await add()).id).to.equal(id);
    expect(await list()).to.contain(id);
    expect(await binned()).to.deep.equal([]);
  });

  it("is gone for good after 30 days, with all its files, and not before", async () => {
    const path = "/api/pieces/opening-announcement";
    const { body: batch } = await server.ask("POST", `${path}/batches`, {
      table: { columns: ["headline"], rows: [["One"], ["Two"]] },
      placements: ["ad-leaderboard"],
    });
    const { body: delivery } = await server.ask("POST", `${path}/deliveries`, {
      sizes: ["ad-leaderboard"],
    });
    for (const url of [`/api/batches/${batch.id}`, `/api/deliveries/${delivery.id}`])
      await until(
        async () => (await server.ask("GET", url)).body,
        ({ state }) => state === "done",
      );
    const folder = server.services.context.made.place(batchName(batch.id));
    expect(await readdir(folder)).to.have.lengthOf(2);
    await server.ask("DELETE", `/api/batches/${batch.id}`);
    await server.ask("DELETE", path);
    await age(29);
    await server.services.bin.empty();
    expect(await binned()).to.have.members([`batch ${batch.id}`, "piece opening-announcement"]);
    expect(await readdir(folder)).to.have.lengthOf(2);
    await age(31);
    await server.services.bin.empty();
    expect(await binned()).to.deep.equal([]);
    expect(await exists(folder)).to.equal(false);
    expect((await server.ask("GET", `/api/deliveries/${delivery.id}`)).status).to.equal(404);
    expect((await readdir(`${server.folder}/deliveries`)).join()).not.to.contain(delivery.id);
    expect((await server.ask("GET", "/api/pieces/late-opening")).status).to.equal(200);
    const facts = await server.services.context.jobs.facts([batch.id, delivery.id]);
    expect(facts.size).to.equal(0);
  });

  it("may be a brand kit or a template, which leave their places free and come back whole", async () => {
    const kit = async () => (await server.ask("GET", "/api/brands/saltlight/versions")).body;
    await server.ask("PUT", "/api/brands/saltlight/spreads", { pinned: [0] });
    const before = await kit();
    const { body: list } = await server.ask("GET", "/api/brands");
    const swim = list.brands.find(({ id }: { id: string }) => id === "saltlight");
    const made = await server.ask("POST", "/api/templates", {
      piece: "late-opening",
      name: "Ours",
      purposes: ["offer"],
      looks: ["pattern"],
      mood: "light",
      fixed: [],
    });
    expect(made.status, JSON.stringify(made.body)).to.equal(200);
    await server.ask("DELETE", `/api/templates/${made.body.id}`);
    await server.ask("DELETE", "/api/brands/saltlight", { instead: "quillmere" });
    expect(await binned()).to.have.members(["brand saltlight", `template ${made.body.id}`]);
    // What only the kit in the bin names is not free to be deleted.
    const logo = swim.logos[0].file;
    expect((await storage()).unused.map(({ id }) => id)).not.to.include(logo);
    expect((await restore("brand", "saltlight")).status).to.equal(200);
    expect((await restore("template", made.body.id)).status).to.equal(200);
    expect(await kit()).to.deep.equal(before);
    expect(JSON.stringify((await server.ask("GET", "/api/templates")).body)).to.contain("Ours");
    expect((await restore("brand", "saltlight")).status).to.equal(404);
    // Where its name has gone to another meanwhile, it comes back beside it.
    await server.ask("DELETE", "/api/brands/saltlight", {});
    const named = await server.ask("POST", "/api/brands", {
      name: swim.name,
      colours: [{ name: "Ink", hex: "#112233", role: "primary" }],
      headline: { shelf: "vollkorn" },
      text: { shelf: "alegreya-sans" },
    });
    expect(named.status, JSON.stringify(named.body)).to.equal(200);
    await restore("brand", "saltlight");
    const names = (await server.ask("GET", "/api/brands")).body.brands.map(
      ({ name }: { name: string }) => name,
    );
    expect(names).to.include.members([swim.name, `${swim.name} 2`]);
    await server.ask("DELETE", `/api/brands/${named.body.id}`, {});
    await age(31);
    await server.services.bin.empty();
    expect(await binned()).to.deep.equal([]);
  });

  it("is told with what takes room", async () => {
    const { usage, free, aside, restoring } = await storage();
    expect(free).to.be.above(0);
    expect({ aside, restoring }).to.deep.equal({ aside: [], restoring: false });
    const pictures = usage.find(({ kind }) => kind === "files")!;
    const { body } = await server.ask("GET", "/api/pictures");
    expect(pictures.count).to.be.at.least(body.pictures.length);
    expect(pictures.bytes).to.be.above(100_000);
  });
});
