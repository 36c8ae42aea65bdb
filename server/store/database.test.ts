import { mkdtemp, readFile, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import { placementById } from "../../core/placements";
import { demoBrand, demoPiece, root } from "../../tests/support/demo";
import { Store } from "./database";
import { Grouped } from "./grouped";
import { sql, type SQL } from "drizzle-orm";
import { batches, brands, crates, edits, files, pieces, placements, settings } from "./tables";

describe("the store", () => {
  let folder: string;
  let store: Store;
  const open = () =>
    Store.open(`file:${join(folder, "zest.db")}`, join(root, "server/store/migrations"));
  const count = async () => (await store.read.select().from(settings)).length;

  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), "zest-store-"));
    store = await open();
  });
  afterEach(async () => {
    await store.close();
    await rm(folder, { recursive: true, force: true });
  });

  it("takes many writes at once, one after another", async () => {
    const order: number[] = [];
    await Promise.all(
      Array.from({ length: 50 }, (_, i) =>
        store.write(async (tx) => {
          await tx.insert(settings).values({ key: `k${i}`, value: "v" });
          order.push(i);
        }),
      ),
    );
    expect(order).to.deep.equal(Array.from({ length: 50 }, (_, i) => i));
    expect(await count()).to.equal(50);
  });

  it("takes a failed write back whole, and goes on with the next", async () => {
    const failed = store.write(async (tx) => {
      await tx.insert(settings).values({ key: "half", value: "v" });
      throw new Error("stop");
    });
    const next = store.write((tx) => tx.insert(settings).values({ key: "next", value: "v" }));
    expect(await failed.catch((error: Error) => error.message)).to.equal("stop");
    await next;
    expect((await store.read.select().from(settings)).map((row) => row.key)).to.deep.equal([
      "next",
    ]);
  });

  it("turns the focus of stored pictures into areas, in pieces and in their history", async () => {
    const focus = { x: 0.5, y: 0.4, width: 0.3, height: 0.5 };
    const document = {
      message: { headline: { text: "Boats “focus”" }, picture: { picture: "a", focus } },
    };
    const edit = { kind: "picture", slot: "picture", to: { picture: "b" }, was: { focus } };
    const file = { id: "a", focus: { x: 0.2, y: 0.2 } };
    const put = (statement: SQL) => store.write((tx) => tx.run(statement));
    await put(sql`INSERT INTO brands (id, document, created) VALUES ('b', '{}', 'now')`);
    await put(sql`INSERT INTO crates (id, name, brand, created) VALUES ('c', 'c', 'b', 'now')`);
    await put(
      sql`INSERT INTO pieces (id, crate, position, revision, document, created) VALUES ('p', 'c', 0, 1, ${JSON.stringify(document)}, 'now')`,
    );
    await put(sql`INSERT INTO edits (piece, edit, at) VALUES ('p', ${JSON.stringify(edit)}, 1)`);
    await put(
      sql`INSERT INTO files (id, name, bytes, picture, created) VALUES ('a', 'a', 1, ${JSON.stringify(file)}, 'now')`,
    );
    const text = await readFile(
      join(root, "server/store/migrations/0009_areas_of_pictures.sql"),
      "utf8",
    );
    for (const statement of text.split("--> statement-breakpoint")) await put(sql.raw(statement));
    // As they stand there: they are no whole documents.
    const inRow = async (table: string, column: string) => {
      const name = sql.identifier(column);
      const [row] = await store.read.all<{ text: string }>(
        sql`SELECT ${name} AS text FROM ${sql.identifier(table)}`,
      );
      return JSON.parse(row!.text);
    };
    const now = (await inRow("pieces", "document")).message;
    const area = {
      kind: "thing",
      x: 0.35,
      y: 0.15,
      width: 0.3,
      height: 0.5,
      weight: 1,
      said: true,
    };
    expect(now.headline).to.deep.equal({ text: "Boats “focus”" });
    expect(now.picture).to.deep.equal({ picture: "a", areas: [area] });
    const old = await inRow("edits", "edit");
    expect(old.was).to.deep.equal({ areas: [area] });
    expect(old.to).to.deep.equal({ picture: "b" });
    const [stored] = await store.read.select().from(files);
    expect(stored!.picture).to.deep.equal({ id: "a" });
  });

  it("gives variations that were slots alone their message, in their order", async () => {
    const old = [{ headline: { text: "A" } }, {}, { picture: { picture: "b" } }];
    const put = (statement: SQL) => store.write((tx) => tx.run(statement));
    await put(sql`INSERT INTO brands (id, document, created) VALUES ('b2', '{}', 'now')`);
    await put(sql`INSERT INTO crates (id, name, brand, created) VALUES ('c2', 'c', 'b2', 'now')`);
    await put(
      sql`INSERT INTO pieces (id, crate, position, revision, document, created) VALUES ('p2', 'c2', 0, 1, '{}', 'now')`,
    );
    await put(
      sql`INSERT INTO batches (id, piece, request, variations, document, brand, created) VALUES ('v', 'p2', '{}', ${JSON.stringify(old)}, '{}', '{}', 'now')`,
    );
    const text = await readFile(join(root, "server/store/migrations/0016_choosing.sql"), "utf8");
    await put(sql.raw(text.split("--> statement-breakpoint").at(-1)!));
    const [row] = await store.read.select({ variations: batches.variations }).from(batches);
    expect(row!.variations).to.deep.equal(old.map((message) => ({ message })));
  });

  describe("with ids from before they were checked", () => {
    const put = (statement: SQL) => store.write((tx) => tx.run(statement));
    const row = (table: string, values: Record<string, unknown>) => {
      const names = sql.join(
        Object.keys(values).map((name) => sql.identifier(name)),
        sql`, `,
      );
      const given = Object.values(values).map((value) =>
        typeof value === "object" ? sql`${JSON.stringify(value)}` : sql`${value}`,
      );
      return put(
        sql`INSERT INTO ${sql.identifier(table)} (${names}) VALUES (${sql.join(given, sql`, `)})`,
      );
    };
    const created = "now";
    const kit = demoBrand("quillmere");
    const size = (placement: string) => ({ placement, changes: {} });
    const place = (id: string) => ({ ...placementById("story"), id });
    const node = {
      ...demoPiece("quillmere", "opening-announcement").arrangement.find(
        ({ on }) => on === undefined,
      )!,
      id: "a node",
    };

    beforeEach(async () => {
      for (const id of ["/../../victim", "a “b”", "fine"])
        await row("placements", { id, document: place(id), created });
      await row("brands", { id: "My brand", document: { ...kit, id: "My brand" }, created });
      await row("crates", { id: "spring sale", name: "c", brand: "My brand", created });
      const like = demoPiece("quillmere", "opening-announcement");
      const document = {
        ...like,
        id: "a piece",
        brand: "My brand",
        lead: "a “b”",
        sizes: [size("/../../victim"), size("fine"), { ...size("own/1"), own: place("own/1") }],
        shown: { "/../../victim": "card, stack" },
        message: { headline: { text: "My brand" }, brand: { text: "a “b”" } },
        arrangement: [node],
      };
      const crate = "spring sale";
      await row("pieces", { id: "a piece", crate, position: 0, revision: 1, document, created });
      const edit = { kind: "sizes", to: [size("/../../victim")], was: [] };
      await row("edits", { piece: "a piece", edit, at: 1 });
      await put(sql`PRAGMA user_version = 0`);
      await store.close();
      store = await open();
    });

    it("gives those that could lead out of a folder another one, wherever they stand", async () => {
      const ids = (await store.read.select().from(placements)).map((one) => one.document.id);
      expect(ids.sort()).to.deep.equal(["a-b", "fine", "victim"]);
      const [brand] = await store.read.select().from(brands);
      expect([brand!.id, brand!.document.id]).to.deep.equal(["my-brand", "my-brand"]);
      const [crate] = await store.read.select().from(crates);
      expect([crate!.id, crate!.brand]).to.deep.equal(["spring-sale", "my-brand"]);
      const [piece] = await store.read.select().from(pieces);
      expect([piece!.id, piece!.crate]).to.deep.equal(["a-piece", "spring-sale"]);
      expect(piece!.document).to.deep.include({ id: "a-piece", brand: "my-brand", lead: "a-b" });
      expect(piece!.document.sizes).to.deep.equal([
        size("victim"),
        size("fine"),
        { ...size("own-1"), own: place("own-1") },
      ]);
      expect(piece!.document.shown).to.deep.equal({
        victim: { kind: "card", words: "stack" },
      });
      const [step] = await store.read.select().from(edits);
      expect(step!.piece).to.equal("a-piece");
      expect(step!.edit.changes).to.deep.equal([
        { at: ["sizes", "victim"], to: { value: size("victim"), after: null }, was: null },
      ]);
    });

    it("leaves words and nodes alone, whatever they are called", async () => {
      const [piece] = await store.read.select().from(pieces);
      expect(piece!.document.message).to.deep.equal({
        headline: { text: "My brand" },
        brand: { text: "a “b”" },
      });
      expect(piece!.document.arrangement).to.deep.equal([node]);
    });

    it("does so once", async () => {
      await row("crates", { id: "later on", name: "c", brand: "my-brand", created });
      await store.close();
      store = await open();
      const ids = (await store.read.select().from(crates)).map(({ id }) => id);
      expect(ids.sort()).to.deep.equal(["later on", "spring-sale"]);
    });
  });

  it("refuses what refers to nothing", async () => {
    const orphan = { id: "c", name: "Crate", brand: "none", created: "now" };
    const failed = await store
      .write((tx) => tx.insert(crates).values(orphan))
      .catch(() => "refused");
    expect(failed).to.equal("refused");
  });

  it("finds again what it was given", async () => {
    await store.write((tx) => tx.insert(settings).values({ key: "k", value: "v" }));
    await store.close();
    store = await open();
    expect(await count()).to.equal(1);
  });
});

describe("grouped writes", () => {
  it("write together what comes together, and tell each when it is written", async () => {
    const written: number[][] = [];
    const grouped = new Grouped<number>(async (items) => written.push(items), 5);
    await Promise.all([grouped.add(1), grouped.add(2)]);
    await grouped.add(3);
    expect(written).to.deep.equal([[1, 2], [3]]);
  });

  it("tell each when the write failed", async () => {
    const grouped = new Grouped<number>(() => Promise.reject(new Error("full")), 1);
    const heard = await Promise.all(
      [1, 2].map((n) => grouped.add(n).catch((e: Error) => e.message)),
    );
    expect(heard).to.deep.equal(["full", "full"]);
  });
});
