import { mkdtemp, readFile, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import { placementById } from "../../core/placements";
import { root } from "../../tests/support/demo";
import { Store } from "./database";
import { Grouped } from "./grouped";
import { sql, type SQL } from "drizzle-orm";
import { crates, edits, files, pieces, placements, settings } from "./tables";

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
    const [piece] = await store.read.select().from(pieces);
    const now = piece!.document.message as Record<string, unknown>;
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
    const [step] = await store.read.select().from(edits);
    expect(step!.edit.was).to.deep.equal({ areas: [area] });
    expect((step!.edit as { to: object }).to).to.deep.equal({ picture: "b" });
    const [stored] = await store.read.select().from(files);
    expect(stored!.picture).to.deep.equal({ id: "a" });
  });

  it("gives placements whose ids could lead out of a folder another one, and the pieces that go there with them", async () => {
    const put = (statement: SQL) => store.write((tx) => tx.run(statement));
    const place = (id: string) => ({ ...placementById("story"), id });
    for (const id of ["/../../victim", "a “b”", "fine"])
      await put(
        sql`INSERT INTO placements (id, document, created) VALUES (${id}, ${JSON.stringify(place(id))}, 'now')`,
      );
    const sizes = ["/../../victim", "fine", "a “b”"].map((placement) => ({ placement }));
    const document = { lead: "a “b”", sizes, shown: { "/../../victim": "stack" } };
    await put(sql`INSERT INTO brands (id, document, created) VALUES ('b', '{}', 'now')`);
    await put(sql`INSERT INTO crates (id, name, brand, created) VALUES ('c', 'c', 'b', 'now')`);
    await put(
      sql`INSERT INTO pieces (id, crate, position, revision, document, created) VALUES ('p', 'c', 0, 1, ${JSON.stringify(document)}, 'now')`,
    );
    await put(
      sql`INSERT INTO edits (piece, edit, at) VALUES ('p', ${JSON.stringify({ kind: "sizes", to: sizes })}, 1)`,
    );
    await store.close();
    store = await open();
    const ids = (await store.read.select().from(placements)).map((row) => row.document.id);
    expect(ids.sort()).to.deep.equal(["a-b", "fine", "victim"]);
    const better = ["victim", "fine", "a-b"].map((placement) => ({ placement }));
    const [piece] = await store.read.select().from(pieces);
    expect(piece!.document).to.deep.equal({
      lead: "a-b",
      sizes: better,
      shown: { victim: "stack" },
    });
    const [step] = await store.read.select().from(edits);
    expect((step!.edit as { to: object }).to).to.deep.equal(better);
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
    const told = await Promise.all(
      [1, 2].map((n) => grouped.add(n).catch((e: Error) => e.message)),
    );
    expect(told).to.deep.equal(["full", "full"]);
  });
});
