import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { buffer } from "node:stream/consumers";
import { expect } from "chai";
import { FolderStore, type FileName } from "./store";

describe("the store of files", () => {
  let folder: string;
  let store: FolderStore;
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), "zest-store-"));
    store = new FolderStore(folder);
  });
  afterEach(() => rm(folder, { recursive: true, force: true }));
  const one: FileName = ["batches", "b1", "0-story.png"];

  it("gives back what was put in, tells its size, and lets go of it", async () => {
    await store.write(one, Buffer.from("one"));
    await store.write(["batches", "b2", "0-story.png"], Buffer.from("three"));
    expect((await store.read(one))!.toString()).to.equal("one");
    expect((await buffer(store.stream(one))).toString()).to.equal("one");
    expect(await store.size(one)).to.equal(3);
    expect(await store.used("batches")).to.deep.equal({ count: 2, bytes: 8 });
    expect(await store.used("deliveries")).to.deep.equal({ count: 0, bytes: 0 });
    await store.remove(["batches", "b1"]);
    await store.remove(["batches", "b1"]);
    expect([await store.size(one), await store.read(one)]).to.deep.equal([undefined, undefined]);
    expect(await store.used("batches")).to.deep.equal({ count: 1, bytes: 5 });
    expect(await store.free()).to.be.above(0);
  });

  it("knows no name that leads out of its folder", () => {
    for (const name of ["..", "../victim", "a/b", "", "C:\\x"])
      expect(() => store.place(["deliveries", name]), name).to.throw("name");
  });
});
