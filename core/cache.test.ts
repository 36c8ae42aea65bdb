import { expect } from "chai";
import { Cache } from "./cache";

describe("things that are cache", () => {
  const made: string[] = [];
  const asked = (cache: Cache<string>) => (thing: string) =>
    cache.get(thing, async () => {
      made.push(thing);
      return thing;
    });
  beforeEach(() => (made.length = 0));

  it("are made once, and weigh no more than they may; what was not asked for longest goes", async () => {
    const get = asked(new Cache<string>(6, (thing) => thing.length));
    for (const thing of ["aa", "bb", "cc"]) await get(thing);
    await get("aa");
    await get("dd");
    for (const thing of ["aa", "cc", "dd"]) await get(thing);
    expect(made).to.deep.equal(["aa", "bb", "cc", "dd"]);
    await get("bb");
    expect(made.at(-1)).to.equal("bb");
  });

  it("are given also when they are heavier than all that may be cache, and then not cache", async () => {
    const get = asked(new Cache<string>(3, (thing) => thing.length));
    expect(await get("heavy")).to.equal("heavy");
    await get("heavy");
    await get("a");
    await get("a");
    expect(made).to.deep.equal(["heavy", "heavy", "a"]);
  });

  it("are made once for all who ask meanwhile, and again after a failure", async () => {
    const cache = new Cache<number>(10, () => 1);
    let tries = 0;
    const make = async () => {
      if (++tries === 1) throw new Error("not now");
      return tries;
    };
    const [one, two] = await Promise.allSettled([cache.get("a", make), cache.get("a", make)]);
    expect([one.status, two.status, tries]).to.deep.equal(["rejected", "rejected", 1]);
    expect(await cache.get("a", make)).to.equal(2);
  });

  it("reach who asked for them, though all is let go of meanwhile, and are then made anew", async () => {
    const cache = new Cache<string>(10, () => 1);
    let release = (_thing: string) => {};
    const slow = cache.get("a", () => new Promise((resolve) => (release = resolve)));
    cache.clear();
    release("first");
    expect(await slow).to.equal("first");
    expect(await cache.get("a", async () => "second")).to.equal("second");
  });

  it("are there when they are made, and not before", async () => {
    const cache = new Cache<string>(6, (thing) => thing.length);
    const making = asked(cache)("aa");
    expect(cache.has("aa")).to.equal(false);
    await making;
    expect([cache.has("aa"), cache.has("bb")]).to.deep.equal([true, false]);
    expect(made).to.deep.equal(["aa"]);
  });
});
