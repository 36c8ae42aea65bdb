import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { buffer } from "node:stream/consumers";
import { expect } from "chai";
import { unzipSync, zipSync } from "fflate";
import { root } from "../../tests/support/demo";
import { typed } from "../../tests/support/edits";
import { fileOf, multipart, testServer, until, type TestServer } from "../../tests/support/server";
import { isUnderWay } from "../../core/api";
import { backup, restore } from "../cli/backup";
import { backUp } from "./backup";
import { stageBackup, takeRestored } from "./restore";

const migrations = join(root, "server/store/migrations");

describe("backups", () => {
  let server: TestServer;
  let zip: Buffer;
  const other: string[] = [];
  const folder = async () => {
    const made = await mkdtemp(join(tmpdir(), "zest-backup-"));
    other.push(made);
    return made;
  };
  const headline = async (from: TestServer) =>
    (await from.ask("GET", "/api/pieces/opening-announcement")).body.piece.message.headline.text;
  const type = (to: string, was: string) =>
    server.ask("POST", "/api/pieces/opening-announcement/edits", {
      edit: typed(to, was),
    });

  before(async () => {
    server = await testServer();
    const { body } = await server.ask("POST", "/api/pieces/opening-announcement/deliveries", {
      sizes: ["ad-leaderboard"],
    });
    await until(
      async () => (await server.ask("GET", `/api/deliveries/${body.id}`)).body,
      ({ state }) => !isUnderWay(state),
    );
    await type("Before the backup", "Boats at rest");
    const answer = await server.app.inject({
      url: "/api/backup",
      headers: { host: "localhost:4310" },
    });
    zip = answer.rawPayload;
    await type("After the backup", "Before the backup");
  });
  after(async () => {
    await server.close();
    for (const one of other) await rm(one, { recursive: true, force: true });
  });

  it("hold everything as it was at that moment, while the program is at work", async () => {
    const names = Object.keys(unzipSync(zip));
    expect(names[0]).to.equal("zest.db");
    expect(names.filter((name) => name.startsWith("deliveries/"))).to.have.lengthOf(1);
    expect(names.some((name) => /scratch|rendition|lock|\.part/.test(name))).to.equal(false);
    const restored = await folder();
    await restore(restored, await fileOf(zip), root);
    const again = await testServer(restored);
    expect(await headline(again)).to.equal("Before the backup");
    const before = (await server.ask("GET", "/api/pictures")).body.pictures;
    const after = (await again.ask("GET", "/api/pictures")).body.pictures;
    expect(after).to.deep.equal(before);
    for (const { id } of after)
      expect((await again.services.context.blobs.read(id)).length).to.be.above(0);
    expect((await again.ask("GET", "/api/crates")).body).to.have.property("crates");
    await again.close();
    expect(await readdir(join(server.folder, "scratch"))).to.deep.equal([]);
  });

  it("are written by the command line, and put what was there aside", async () => {
    const file = join(await folder(), "kept.zip");
    expect(await backup(server.folder, file)).to.be.above(1000);
    const target = await folder();
    await restore(target, await fileOf(zip), root);
    const replaced = await restore(target, file, root);
    expect(await readdir(replaced!)).to.include.members(["zest.db", "files"]);
    const again = await testServer(target);
    expect(await headline(again)).to.equal("After the backup");
    await again.close();
    const missing = await restore(target, join(target, "none.zip"), root).catch(
      (error: Error) => error.message,
    );
    expect(missing).to.contain("Nothing was replaced");
    const nothing = await backup(await folder(), file).catch((error: Error) => error.message);
    expect(nothing).to.contain("nothing to back up");
  });

  it("come in through the page, and take their place at the next start", async () => {
    const { payload, headers } = multipart("kept.zip", zip);
    const answer = await server.app.inject({
      method: "POST",
      url: "/api/restore",
      payload,
      headers,
    });
    expect(answer.json()).to.deep.equal({ restart: true });
    expect(await headline(server)).to.equal("After the backup");
    expect(await readdir(server.folder)).to.include("restored");
    // Until then a person may think better of it.
    await server.ask("DELETE", "/api/restore");
    expect(await readdir(server.folder)).not.to.include("restored");
  });

  it("are refused when something of them is missing, changed or does not belong, and nothing is replaced", async () => {
    const parts = unzipSync(zip);
    const picture = Object.keys(parts).find((name) => name.startsWith("files/"))!;
    const { [picture]: bytes, ...without } = parts;
    const { "zest.db": _database, ...bare } = parts;
    const changed = { ...parts, [picture]: bytes!.slice(0, 100) };
    const cases: [object, string][] = [
      [without, "backup-unfit"],
      [changed, "backup-unfit"],
      [bare, "backup-unfit"],
      [{ ...parts, "zest.db": new Uint8Array(5000).fill(7) }, "store-damaged"],
      [{ ...parts, "server/main.js": new Uint8Array(5) }, "backup-unfit"],
      [{ ...parts, "files/../../victim": new Uint8Array(5) }, "archive-unreadable"],
    ];
    const target = await folder();
    await writeFile(join(target, "zest.db"), "what was there");
    for (const [files, code] of cases) {
      const path = await fileOf(zipSync(files as Record<string, Uint8Array>));
      const error = await restore(target, path, root).catch((thrown: unknown) => thrown);
      expect(error).to.include({ code });
      expect(await readFile(join(target, "zest.db"), "utf8")).to.equal("what was there");
    }
    expect((await readdir(target)).filter((name) => /restore/.test(name))).to.deep.equal([]);
  });

  it("take their place whole, wherever that is cut off", async () => {
    const path = await fileOf(await buffer(await backUp(server.folder, new Date())));
    // After each step of putting old things aside and new ones in place, as a kill would leave it.
    for (let step = 0; step < 6; step++) {
      const target = await folder();
      await writeFile(join(target, "zest.db"), "old");
      await writeFile(join(target, "zest.db-wal"), "old log");
      await mkdir(join(target, "files"));
      await stageBackup(path, target, "a.zip", migrations);
      const { rename } = await import("node:fs/promises");
      await mkdir(join(target, "before-restore"));
      const moves: [string, string][] = [
        ["zest.db", "before-restore/zest.db"],
        ["restored/zest.db", "zest.db"],
        ["zest.db-wal", "before-restore/zest.db-wal"],
        ["files", "before-restore/files"],
        ["restored/files", "files"],
      ];
      for (const [from, to] of moves.slice(0, step))
        await rename(join(target, from), join(target, to));
      const replaced = (await takeRestored(target, new Date()))!;
      expect((await readdir(replaced)).sort(), String(step)).to.deep.equal([
        "files",
        "zest.db",
        "zest.db-wal",
      ]);
      expect(await readFile(join(replaced, "zest.db"), "utf8")).to.equal("old");
      const names = await readdir(target);
      expect(names).to.include.members(["zest.db", "files", "deliveries"]);
      expect(names).not.to.include.members(["zest.db-wal"]);
    }
  });
});
