import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import { eq } from "drizzle-orm";
import { problem } from "../../core/problem";
import { root } from "../../tests/support/demo";
import { until } from "../../tests/support/server";
import { Store } from "../store/database";
import { jobs as table } from "../store/tables";
import { Jobs } from "./jobs";
import type { Make } from "./queue";

describe("jobs", () => {
  let folder: string;
  let store: Store;
  let made: string[];
  let jobs: Jobs;
  const queue = (room = () => Promise.resolve(0)) =>
    new Jobs(store, () => new Date(1_800_000_000_000 + made.length), room);

  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), "zest-jobs-"));
    store = await Store.open(
      `file:${join(folder, "zest.db")}`,
      join(root, "server/store/migrations"),
    );
    made = [];
    jobs = queue();
  });
  afterEach(async () => {
    await jobs.close();
    await store.close();
    await rm(folder, { recursive: true });
  });

  const add = async (...ids: string[]) => {
    for (const id of ids) await store.write((tx) => jobs.add(tx, "batch", id));
    await jobs.next();
  };
  const state = async (id: string) => (await jobs.facts([id])).get(id)?.state;
  const comesTo = (id: string, wanted: string) =>
    until(
      () => state(id),
      (now) => now === wanted,
    );
  /** Notes that it was begun, and waits until it is let go or stopped. */
  const held = () => {
    const release = new Map<string, () => void>();
    const make: Make = async (id, { signal }) => {
      made.push(id);
      await new Promise<void>((resolve, reject) => {
        release.set(id, resolve);
        signal.addEventListener("abort", () => reject(signal.reason));
      });
    };
    return { make, release: (id: string) => release.get(id)!() };
  };

  it("wait their turn, and are begun in the order in which they came", async () => {
    const { make, release } = held();
    jobs.handle("batch", make, 2);
    await add("a", "b", "c");
    expect(made).to.deep.equal(["a", "b"]);
    expect(await state("c")).to.equal("queued");
    release("a");
    await comesTo("a", "done");
    await comesTo("c", "running");
    release("b");
    release("c");
    await comesTo("c", "done");
  });

  it("are cancelled while they wait or are made, and can go on", async () => {
    const { make, release } = held();
    jobs.handle("batch", make, 1);
    await add("a", "b");
    await jobs.cancel("b");
    await jobs.cancel("a");
    expect([await state("a"), await state("b")]).to.deep.equal(["cancelled", "cancelled"]);
    expect(made).to.deep.equal(["a"]);
    await jobs.resume("b");
    release("b");
    await comesTo("b", "done");
    await jobs.cancel("b");
    expect(await state("b")).to.equal("done");
  });

  it("are tried again when nobody knows why they failed, and fail in a sentence", async () => {
    jobs.handle(
      "batch",
      async (id) => {
        made.push(id);
        if (id === "chance" && made.length > 1) return;
        if (id === "known") throw problem("batch-empty");
        throw new Error("/secret/path is gone");
      },
      1,
    );
    await add("chance");
    await comesTo("chance", "done");
    expect(made).to.have.lengthOf(2);
    await add("never", "known");
    await comesTo("never", "failed");
    await comesTo("known", "failed");
    expect(made.filter((id) => id === "never")).to.have.lengthOf(3);
    expect(made.filter((id) => id === "known")).to.have.lengthOf(1);
    const facts = await jobs.facts(["never", "known"]);
    expect(facts.get("never")!.message).not.to.contain("secret");
    expect(facts.get("known")!.message).to.equal(problem("batch-empty").message);
  });

  it("pause when the disk is full, and go on by a button", async () => {
    let full = true;
    jobs.handle(
      "batch",
      async () => {
        if (full) throw Object.assign(new Error("write"), { code: "ENOSPC" });
      },
      1,
    );
    await add("a");
    await comesTo("a", "paused");
    expect((await jobs.facts(["a"])).get("a")!.message).to.equal(problem("store-full").message);
    full = false;
    await jobs.resume("a");
    await comesTo("a", "done");
  });

  it("are paused by a person until a person goes on, also over a restart and when there is room", async () => {
    const { make, release } = held();
    jobs.handle("batch", make, 1);
    await add("a", "b");
    await jobs.pause("a");
    expect((await jobs.facts(["a"])).get("a")).to.deep.equal({ state: "paused" });
    // Its place is another's meanwhile.
    await comesTo("b", "running");
    release("b");
    await comesTo("b", "done");
    await jobs.close();
    jobs = queue(() => Promise.resolve(Infinity));
    jobs.handle("batch", async (id, { again }) => void made.push(again ? `${id} again` : id), 1);
    await jobs.recover();
    expect(await state("a")).to.equal("paused");
    await jobs.resume("a");
    await comesTo("a", "done");
    expect(made).to.deep.equal(["a", "b", "a again"]);
    await jobs.pause("a");
    expect(await state("a")).to.equal("done");
  });

  it("say that they are paused also when there is no room to write that down", async () => {
    jobs.handle(
      "batch",
      async () => {
        const { write } = store;
        store.write = async () => {
          store.write = write;
          throw problem("store-full");
        };
        throw problem("store-full");
      },
      1,
    );
    await add("a");
    await comesTo("a", "paused");
    const [row] = await store.read.select().from(table).where(eq(table.id, "a"));
    expect(row!.state).to.equal("running");
    jobs.handle("batch", async (id) => void made.push(id), 1);
    await jobs.resume("a");
    await comesTo("a", "done");
    expect(made).to.deep.equal(["a"]);
  });

  it("are not made when they were cancelled before their turn came", async () => {
    const { make } = held();
    jobs.handle("batch", make, 1);
    await store.write((tx) => jobs.add(tx, "batch", "a"));
    await Promise.all([jobs.cancel("a"), jobs.next()]);
    expect(await state("a")).to.equal("cancelled");
    expect(made).to.deep.equal([]);
  });

  it("come to their end also when it cannot be noted that they move", async () => {
    jobs.handle(
      "batch",
      async (id, { moved }) => {
        const { write } = store;
        store.write = () => Promise.reject(problem("store-full"));
        await moved();
        store.write = write;
        await moved();
        made.push(id);
      },
      1,
    );
    await add("a");
    await comesTo("a", "done");
    expect(made).to.deep.equal(["a"]);
  });

  it("are taken up however often the program ends, as long as they move", async () => {
    jobs.handle(
      "batch",
      async (_id, { signal, moved }) => {
        await moved();
        await new Promise((_, reject) =>
          signal.addEventListener("abort", () => reject(signal.reason)),
        );
      },
      1,
    );
    await add("a");
    await store.write((tx) => tx.update(table).set({ runs: 5 }).where(eq(table.id, "a")));
    await jobs.cancel("a");
    await jobs.resume("a");
    await until(
      async () => (await store.read.select().from(table))[0]!,
      ({ state, runs }) => state === "running" && runs === 1,
    );
  });

  it("are taken up again at the next start, but not one that ends the program each time", async () => {
    const { make } = held();
    jobs.handle("batch", make, 2);
    await add("good", "bad");
    await jobs.close();
    await store.write((tx) => tx.update(table).set({ runs: 5 }).where(eq(table.id, "bad")));
    jobs = queue();
    const again: [string, boolean][] = [];
    jobs.handle("batch", async (id, about) => void again.push([id, about.again]), 2);
    await jobs.recover();
    await comesTo("good", "done");
    expect(again).to.deep.equal([["good", true]]);
    expect(await state("bad")).to.equal("failed");
    expect((await jobs.facts(["bad"])).get("bad")!.message).to.contain("has ended 5 times");
  });
});
