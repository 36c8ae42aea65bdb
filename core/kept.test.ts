import { expect } from "chai";
import { Kept } from "./kept";

describe("things that are kept", () => {
  const made: string[] = [];
  const asked = (kept: Kept<string>) => (thing: string) =>
    kept.get(thing, async () => {
      made.push(thing);
      return thing;
    });
  beforeEach(() => (made.length = 0));

  it("are made once, and weigh no more than they may; what was not asked for longest goes", async () => {
    const get = asked(new Kept<string>(6, (thing) => thing.length));
    for (const thing of ["aa", "bb", "cc"]) await get(thing);
    await get("aa");
    await get("dd");
    for (const thing of ["aa", "cc", "dd"]) await get(thing);
    expect(made).to.deep.equal(["aa", "bb", "cc", "dd"]);
    await get("bb");
    expect(made.at(-1)).to.equal("bb");
  });

  it("are given also when they are heavier than all that may be kept, and then not kept", async () => {
    const get = asked(new Kept<string>(3, (thing) => thing.length));
    expect(await get("heavy")).to.equal("heavy");
    await get("heavy");
    await get("a");
    await get("a");
    expect(made).to.deep.equal(["heavy", "heavy", "a"]);
  });

  it("are made once for all who ask meanwhile, and again after a failure", async () => {
    const kept = new Kept<number>(10, () => 1);
    let tries = 0;
    const make = async () => {
      if (++tries === 1) throw new Error("not now");
      return tries;
    };
    const [one, two] = await Promise.allSettled([kept.get("a", make), kept.get("a", make)]);
    expect([one.status, two.status, tries]).to.deep.equal(["rejected", "rejected", 1]);
    expect(await kept.get("a", make)).to.equal(2);
  });

  it("reach who asked for them, though all is let go of meanwhile, and are then made anew", async () => {
    const kept = new Kept<string>(10, () => 1);
    let release = (_thing: string) => {};
    const slow = kept.get("a", () => new Promise((resolve) => (release = resolve)));
    kept.clear();
    release("first");
    expect(await slow).to.equal("first");
    expect(await kept.get("a", async () => "second")).to.equal("second");
  });
});
