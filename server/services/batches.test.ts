import { readdir, readFile, rename, rm, truncate, utimes, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { expect } from "chai";
import { eq } from "drizzle-orm";
import { unzipSync } from "fflate";
import sharp from "sharp";
import { multipart, testServer, until, type TestServer } from "../../tests/support/server";
import { messagePictures } from "../../core/piece";
import { fileId } from "../files/hash";
import { jobs, outputs } from "../store/tables";

const csv = "headline,support\nBoats,One\nLight,Two\nWater,Three\n";

describe("batches and deliveries", function () {
  let server: TestServer;
  const piece = "/api/pieces/opening-announcement";
  const done = (id: string) =>
    until(
      async () => (await server.ask("GET", `/api/batches/${id}`)).body,
      (batch) => batch.state !== "queued" && batch.state !== "running",
    );

  async function request(placements = ["ad-medium-rectangle", "ad-leaderboard"]) {
    const { body } = await server.ask("POST", "/api/tables/text", { text: csv });
    return { table: body.table, placements, format: "jpeg" };
  }

  before(async () => (server = await testServer()));
  after(() => server.close());

  it("says what would be made before anything is made", async () => {
    const { body } = await server.ask("POST", `${piece}/batches/plan`, await request());
    expect(body).to.deep.include({ variations: 3, files: 6, notes: [] });
    const mixed = { ...(await request()), pairing: "every-mix" };
    expect((await server.ask("POST", `${piece}/batches/plan`, mixed)).body.variations).to.equal(9);
  });

  it("makes every variation in every size, and keeps them", async () => {
    const started = await server.ask("POST", `${piece}/batches`, await request());
    const batch = await done(started.body.id);
    expect(batch).to.deep.include({ state: "done", made: 6, failed: 0 });
    const { body } = await server.ask("GET", `/api/batches/${batch.id}/variations`);
    expect(body.variations.map((v: { values: object }) => v.values)).to.deep.include({
      headline: "Light",
      support: "Two",
    });
    for (const variation of body.variations) {
      for (const output of variation.outputs) {
        const file = await server.app.inject({ url: output.url, headers: { host: "localhost" } });
        const { width, height, format } = await sharp(file.rawPayload).metadata();
        expect({ width, height, format }).to.deep.equal({
          width: output.width,
          height: output.height,
          format: "jpeg",
        });
        expect(fileId(file.rawPayload)).to.equal(output.sha256);
      }
    }
  });

  it("serves each file as what it is", async () => {
    for (const [format, type] of [
      ["svg", "image/svg+xml"],
      ["webp", "image/webp"],
    ]) {
      const wanted = { ...(await request(["ad-leaderboard"])), format };
      const batch = await done((await server.ask("POST", `${piece}/batches`, wanted)).body.id);
      const { body } = await server.ask("GET", `/api/batches/${batch.id}/variations`);
      const { url } = body.variations[0].outputs[0];
      const file = await server.app.inject({ url, headers: { host: "localhost" } });
      expect(file.headers["content-type"]).to.equal(type);
    }
  });

  it("goes on after it was cut off: finished files are found, the rest is made", async () => {
    const started = await server.ask("POST", `${piece}/batches`, await request());
    const { id } = await done(started.body.id);
    const folder = join(server.folder, "batches", id);
    const names = (await readdir(folder)).sort();
    // As a kill leaves it: still running, one file not there, one there but not written down, one cut short, half of one.
    await rm(join(folder, names[0]!));
    await truncate(join(folder, names[2]!), 2000);
    await writeFile(join(folder, `${names[0]}.9-9.part`), "half");
    const kept = join(folder, names[1]!);
    await utimes(kept, 1000, 1000);
    await server.services.context.store.write(async (tx) => {
      await tx.update(jobs).set({ state: "running" }).where(eq(jobs.id, id));
      await tx.delete(outputs).where(eq(outputs.batch, id));
    });
    await server.services.context.jobs.recover();
    expect(await done(id)).to.deep.include({ state: "done", made: 6, failed: 0 });
    const { mtimeMs } = await import("node:fs/promises").then((fs) => fs.stat(kept));
    expect(mtimeMs, "a finished file is not made again").to.equal(1_000_000);
    const { body } = await server.ask("GET", `/api/batches/${id}/variations`);
    const all = body.variations.flatMap(
      (one: { outputs: { url: string; sha256: string }[] }) => one.outputs,
    );
    for (const { url, sha256 } of all) {
      const file = await server.app.inject({ url, headers: { host: "localhost" } });
      expect(fileId(file.rawPayload)).to.equal(sha256);
      await sharp(file.rawPayload, { failOn: "truncated" }).raw().toBuffer();
    }
  });

  it("pauses on a full disk and says so, and goes on when there is room, without making anything twice", async () => {
    const { pool } = server.services.context;
    const run = pool.run.bind(pool);
    let room = 3;
    const made: string[] = [];
    // What would end the program outside a test.
    const unheard: unknown[] = [];
    const hear = (reason: unknown) => unheard.push(reason);
    process.on("unhandledRejection", hear);
    pool.run = async (task, signal) => {
      if (room-- <= 0) throw Object.assign(new Error("no space left"), { code: "ENOSPC" });
      made.push(task.path);
      return run(task, signal);
    };
    try {
      const { body } = await server.ask("POST", `${piece}/batches`, await request());
      const paused = await done(body.id);
      expect(paused).to.include({ state: "paused", made: 3, failed: 0 });
      expect(paused.message).to.contain("disk is full").and.contain("free some space");
      const { body: delivery } = await server.ask("POST", `${piece}/deliveries`, {
        sizes: ["story"],
      });
      const held = await until(
        async () => (await server.ask("GET", `/api/deliveries/${delivery.id}`)).body,
        ({ state }) => state === "paused",
      );
      expect(held.message).to.contain("disk is full");
      expect(await readdir(join(server.folder, "scratch"))).to.deep.equal([]);
      // Of several sizes the first finds no room while another is being painted.
      room = 1;
      const { body: several } = await server.ask("POST", `${piece}/deliveries`, {
        sizes: ["poster-a3", "story", "ad-leaderboard"],
      });
      await until(
        async () => (await server.ask("GET", `/api/deliveries/${several.id}`)).body,
        ({ state }) => state === "paused",
      );
      expect(await readdir(join(server.folder, "scratch"))).to.deep.equal([]);
      made.length = 0;
      room = 100;
      await server.ask("POST", `/api/batches/${body.id}/resume`);
      expect(await done(body.id)).to.include({ state: "done", made: 6, failed: 0 });
      await server.ask("POST", `/api/deliveries/${delivery.id}/resume`);
      await until(
        async () => (await server.ask("GET", `/api/deliveries/${delivery.id}`)).body,
        ({ state }) => state === "done",
      );
      expect(new Set(made).size).to.equal(made.length);
      expect(unheard).to.deep.equal([]);
    } finally {
      process.off("unhandledRejection", hear);
      pool.run = run;
    }
  });

  it("uses the placements that it was started with, also when it goes on later", async () => {
    const { pool } = server.services.context;
    const run = pool.run.bind(pool);
    pool.run = () => Promise.reject(Object.assign(new Error("full"), { code: "ENOSPC" }));
    const { body } = await server
      .ask("POST", `${piece}/batches`, await request(["ad-leaderboard"]))
      .finally(() => undefined);
    await done(body.id);
    pool.run = run;
    const { body: list } = await server.ask("GET", "/api/placements");
    const { id, ...facts } = list.placements.find(
      (one: { id: string }) => one.id === "ad-leaderboard",
    );
    await server.ask("PUT", `/api/placements/${id}`, { ...facts, width: 800, height: 100 });
    await server.ask("POST", `/api/batches/${body.id}/resume`);
    await done(body.id);
    const { body: made } = await server.ask("GET", `/api/batches/${body.id}/variations`);
    const [output] = made.variations[0].outputs;
    expect(output).to.include({ width: facts.width, height: facts.height });
    await server.ask("DELETE", `/api/placements/${id}`);
  });

  it("can be cancelled; what is finished stays", async () => {
    const { body } = await server.ask("POST", "/api/tables/text", {
      text: `headline\n${Array.from({ length: 60 }, (_, i) => `Row ${i}`).join("\n")}`,
    });
    const table = body.table;
    const started = await server.ask("POST", `${piece}/batches`, {
      table,
      placements: ["poster-a3"],
      format: "png",
    });
    const cancelled = await server.ask("POST", `/api/batches/${started.body.id}/cancel`);
    expect(cancelled.body.state).to.equal("cancelled");
    expect(cancelled.body.made).to.be.below(60);
  });

  it("refuses a batch of nothing and one of too much", async () => {
    const nothing = { ...(await request()), placements: [] };
    expect((await server.ask("POST", `${piece}/batches`, nothing)).body.code).to.equal(
      "batch-empty",
    );
    const rows = Array.from({ length: 210 }, (_, i) => [`a${i}`, `b${i}`]);
    const much = {
      table: { columns: ["headline", "support"], rows },
      placements: ["story"],
      pairing: "every-mix",
    };
    expect((await server.ask("POST", `${piece}/batches`, much)).body.message).to.contain(
      "44100 files",
    );
  });

  it("delivers sizes and variations in one zip with a manifest", async () => {
    const { body: opened } = await server.ask("GET", piece);
    const owed = { name: "Boats.jpg", credit: "Photo: Ana Ruiz" };
    await server.ask("PUT", `/api/pictures/${messagePictures(opened.piece.message)[0]}`, owed);
    const { body: list } = await server.ask("GET", `${piece}/batches`);
    const batch = list.batches.find((one: { made: number }) => one.made === 6);
    const { body } = await server.ask("POST", `${piece}/deliveries`, {
      sizes: ["photo-feed-square", "story"],
      batches: [{ id: batch.id, variations: [1] }],
      format: "png",
      scale: 2,
    });
    const ready = await until(
      async () => (await server.ask("GET", `/api/deliveries/${body.id}`)).body,
      (delivery) => delivery.state !== "queued" && delivery.state !== "running",
    );
    expect(ready).to.deep.include({ state: "done", files: 4 });
    const zip = await server.app.inject({
      url: `/api/deliveries/${body.id}/file`,
      headers: { host: "localhost" },
    });
    const entries = unzipSync(zip.rawPayload);
    const manifest = JSON.parse(new TextDecoder().decode(entries["manifest.json"]));
    expect(Object.keys(entries)).to.have.members([
      ...manifest.files.map((f: { file: string }) => f.file),
      "manifest.json",
      "manifest.csv",
    ]);
    expect(Object.keys(entries)).to.include(
      "boats-at-rest_opening-announcement_story_2160x3840.png",
    );
    expect(Object.keys(entries)).to.include(
      "boats-at-rest_opening-announcement_ad-leaderboard_v2_1456x180.png",
    );
    for (const file of manifest.files) {
      const bytes = entries[file.file]!;
      expect(fileId(bytes)).to.equal(file.sha256);
      expect(bytes.length).to.equal(file.bytes);
      const { width, height } = await sharp(bytes).metadata();
      expect({ width, height }).to.deep.equal({ width: file.width, height: file.height });
    }
    expect(manifest.files[0].credits).to.deep.equal([owed]);
    expect(manifest.files[0].alt).to.contain("Boats at rest").and.to.contain("A fishing boat");
  });

  it("refuses an empty delivery and a pattern that it does not know", async () => {
    // A delivery whose zip cannot be written fails in a sentence, and the server goes on.
    const zips = join(server.folder, "deliveries");
    await rename(zips, `${zips}.aside`);
    await writeFile(zips, "no folder");
    const { body: blocked } = await server.ask("POST", `${piece}/deliveries`, { sizes: ["story"] });
    const failed = await until(
      async () => (await server.ask("GET", `/api/deliveries/${blocked.id}`)).body,
      ({ state }) => state !== "queued" && state !== "running",
    );
    expect(failed.state).to.equal("failed");
    expect(failed.message).to.be.a("string").and.not.equal("");
    await rm(zips);
    await rename(`${zips}.aside`, zips);
    expect((await server.ask("POST", `${piece}/deliveries`, {})).body.code).to.equal(
      "delivery-empty",
    );
    const odd = { sizes: ["story"], pattern: "{client}" };
    expect((await server.ask("POST", `${piece}/deliveries`, odd)).body.code).to.equal(
      "pattern-invalid",
    );
  });

  it("exports a crate that imports as a new one, with nothing overwritten", async () => {
    const zip = await server.app.inject({
      url: "/api/crates/boats-at-rest/bundle",
      headers: { host: "localhost" },
    });
    const { payload, headers } = multipart("crate.zip", zip.rawPayload);
    const answer = await server.app.inject({
      method: "POST",
      url: "/api/imports",
      payload,
      headers,
    });
    expect(answer.statusCode).to.equal(200);
    expect(answer.json().pieces).to.have.lengthOf(3);
    const { body } = await server.ask("GET", "/api/crates");
    expect(body.crates).to.have.lengthOf(4);
    const [first, , , copy] = body.crates;
    expect(copy.pieces[0].message).to.deep.equal(first.pieces[0].message);
    expect(copy.pieces[0].id).not.to.equal(first.pieces[0].id);
    expect((await server.ask("GET", "/api/brands")).body.brands).to.have.lengthOf(2);
    expect(await readFile(join(server.folder, "zest.db"))).not.to.be.empty;
  });
});
