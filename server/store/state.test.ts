import { copyFile, mkdtemp, open, readFile, rm, stat, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createClient } from "@libsql/client";
import { expect } from "chai";
import { sql } from "drizzle-orm";
import { root } from "../../tests/support/demo";
import { testServer } from "../../tests/support/server";
import { Store } from "./database";
import { ownFolder } from "./owner";
import { setAside, settings } from "./tables";

const migrations = join(root, "server/store/migrations");

describe("a database that is opened", () => {
  let folder: string;
  let file: string;
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), "zest-state-"));
    file = join(folder, "zest.db");
  });
  afterEach(() => rm(folder, { recursive: true, force: true }));
  const opened = () => Store.open(`file:${file}`, migrations);
  const refusal = () =>
    opened().then(
      (store) => store.close().then(() => "opened"),
      (error: Error & { code?: string }) => error.code,
    );
  async function filled(rows: number): Promise<void> {
    const store = await opened();
    for (let i = 0; i < rows; i++)
      await store.write((tx) =>
        tx.insert(settings).values({ key: `key ${i}`, value: "v".repeat(2000) }),
      );
    await store.close();
  }

  it("keeps a row that cannot be read aside, and everything else where it is", async () => {
    const server = await testServer(folder);
    await server.store.write(async (tx) => {
      await tx.run(sql`UPDATE pieces SET document = '{"half":' WHERE id = 'late-opening'`);
      await tx.run(
        sql`UPDATE brands SET document = json_set(document, '$.colours', 7) WHERE id = 'saltlight'`,
      );
    });
    await server.close();
    const again = await testServer(folder);
    expect(again.store.aside.map(({ table, id }) => `${table} ${id}`)).to.have.members([
      "pieces late-opening",
      "brands saltlight",
    ]);
    expect(again.store.aside.find(({ table }) => table === "brands")!.why).to.contain("colours");
    const { status, body } = await again.ask("GET", "/api/crates");
    expect(status).to.equal(200);
    const ids = body.crates.flatMap((crate: { pieces: { id: string }[] }) =>
      crate.pieces.map(({ id }) => id),
    );
    expect(ids).to.include("opening-announcement").and.not.include("late-opening");
    const brands = (await again.ask("GET", "/api/brands")).body.brands;
    expect(brands.map(({ id }: { id: string }) => id)).to.deep.equal(["quillmere"]);
    const kept = await again.store.read.select().from(setAside);
    expect(kept.find(({ source }) => source === "pieces")!.row).to.include({
      id: "late-opening",
      document: '{"half":',
    });
    await again.close();
  });

  it("stands in one file after a clean stop, and a copy of that holds everything", async () => {
    await filled(40);
    expect((await stat(file)).size).to.be.above(80_000);
    const copy = join(folder, "copy.db");
    await copyFile(file, copy);
    const store = await Store.open(`file:${copy}`, migrations);
    expect(await store.read.select().from(settings)).to.have.lengthOf(40);
    await store.close();
  });

  it("is refused when it is damaged, and left as it is", async () => {
    await filled(40);
    const handle = await open(file, "r+");
    await handle.write(Buffer.alloc(30_000, 0x5a), 0, 30_000, 40_000);
    await handle.close();
    const before = await readFile(file);
    expect(await refusal()).to.equal("store-damaged");
    expect((await readFile(file)).equals(before)).to.equal(true);
  });

  it("is refused when it is none, another program's, or newer", async () => {
    await writeFile(file, "This is a letter, and not a database at all. ".repeat(40));
    expect(await refusal()).to.equal("store-damaged");
    await rm(file);
    const foreign = createClient({ url: `file:${file}` });
    await foreign.execute("CREATE TABLE recipes (id TEXT)");
    foreign.close();
    expect(await refusal()).to.equal("store-foreign");
    await rm(file);
    await filled(1);
    const newer = createClient({ url: `file:${file}` });
    await newer.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)",
    );
    newer.close();
    expect(await refusal()).to.equal("store-newer");
  });
});

describe("a data folder", () => {
  it("belongs to one at a time", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-owner-"));
    const owner = await ownFolder(folder);
    const second = await ownFolder(folder).then(
      () => undefined,
      (error: Error & { code?: string }) => error,
    );
    expect(second?.code).to.equal("folder-in-use");
    expect(second?.message).to.contain(folder).and.contain("Nothing was touched");
    owner.release();
    (await ownFolder(folder)).release();
    await rm(folder, { recursive: true });
  });
});
