import { expect } from "chai";
import { createPinia, setActivePinia } from "pinia";
import type { ContactSheet, SheetVariation, Verdict } from "../../core/api";
import { useChoosing } from "./choosing";

describe("the contact sheet that is open", () => {
  const real = globalThis.fetch;
  /** What the server knows: decisions by variation; it answers when it is let. */
  let verdicts: (Verdict | undefined)[];
  let asked: string[];
  let hold: Promise<void> | undefined;
  let refuses: boolean;

  const sheet = (): ContactSheet => ({
    batch: {
      id: "b",
      piece: "p",
      state: "done",
      started: "2026-01-01T00:00:00.000Z",
      pairing: "in-step",
      placements: ["story"],
      format: "jpeg",
      scale: 1,
      variations: 3,
      files: 3,
      made: 3,
      failed: 0,
      apart: 0,
      outdated: 1,
    },
    placement: "story",
    measuring: 0,
    columns: ["headline"],
    variations: verdicts.map((verdict, index): SheetVariation => ({
      index,
      name: `v${index + 1}`,
      values: { headline: `Words ${index}` },
      byHand: false,
      ...(verdict ? { verdict } : {}),
    })),
    repeats: [],
  });

  async function answer(path: string, body: string | undefined): Promise<object> {
    asked.push(path);
    const mark = /variations\/(\d+)\/mark$/.exec(path);
    // What is asked for is known when it is asked, and told when it is told.
    const known = path.includes("/again") ? sheet().batch : sheet();
    await hold;
    if (!mark) return known;
    if (refuses) throw new Error("away");
    verdicts[Number(mark[1])] = (JSON.parse(body!) as { verdict: Verdict }).verdict;
    return {};
  }

  beforeEach(() => {
    setActivePinia(createPinia());
    [verdicts, asked, hold, refuses] = [[undefined, undefined, "drop"], [], undefined, false];
    globalThis.fetch = async (path, init) =>
      Response.json(await answer(path as string, init?.body as string | undefined));
  });
  afterEach(() => (globalThis.fetch = real));

  it("is decided on at once and goes on to the next; the same again takes it back", async () => {
    const choosing = useChoosing();
    await choosing.open("b");
    choosing.decide("keep");
    expect(choosing.counts).to.include({ keep: 1, drop: 1, open: 1 });
    expect(choosing.current).to.equal(1);
    choosing.walk(-1);
    choosing.decide("keep");
    expect(choosing.counts).to.include({ keep: 0, open: 2 });
    choosing.close();
  });

  it("is not undone by an answer that was asked for before a decision", async () => {
    const choosing = useChoosing();
    await choosing.open("b");
    let release = (): void => undefined;
    hold = new Promise((done) => (release = done));
    const asking = choosing.open("b");
    choosing.decide("keep");
    hold = undefined;
    release();
    await asking;
    expect(choosing.all[0]!.verdict).to.equal("keep");
    expect(verdicts[0]).to.equal("keep");
    choosing.close();
  });

  it("shows what was decided as it was where it cannot be written down", async () => {
    const choosing = useChoosing();
    await choosing.open("b");
    refuses = true;
    await choosing.change(0, { verdict: "keep" });
    expect(choosing.all[0]!.verdict).to.equal(undefined);
    choosing.close();
  });

  it("has what would look different made again, and shows what comes of it", async () => {
    const choosing = useChoosing();
    await choosing.open("b");
    await choosing.makeAgain();
    expect(asked).to.deep.equal([
      "/api/batches/b/sheet",
      "/api/batches/b/again",
      "/api/batches/b/sheet?placement=story",
    ]);
    choosing.close();
  });
});
