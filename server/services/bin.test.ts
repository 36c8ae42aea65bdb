import { readdir } from "node:fs/promises";
import { expect } from "chai";
import { sql } from "drizzle-orm";
import type { BinKind, StorageAnswer } from "../../core/api";
import { exists } from "../files/blobs";
import { multipart, testServer, until, type TestServer } from "../../tests/support/server";
import { batchFolder } from "./batch-runner";

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
      for (const table of ["pieces", "crates", "files", "batches", "deliveries"])
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
    expect((await shelf()).map(([id]: [string]) => id)).to.deep.equal(["autumn-lessons"]);
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
    const folder = batchFolder(server.folder, batch.id);
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
    const facts = await server.services.around.jobs.facts([batch.id, delivery.id]);
    expect(facts.size).to.equal(0);
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
