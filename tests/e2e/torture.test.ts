import { expect } from "chai";
import { Program } from "../support/browser";
import { randomFrom, Torture } from "../support/torture";

/** The small form of `npm run test:torture`, with a seed of its own. */
describe("what was answered outlives a kill", () => {
  it("with several at work, and files that nobody can use", async () => {
    const program = await Program.create("all");
    const torture = new Torture(program, randomFrom(1868), 6);
    try {
      for (let round = 0; round < 2; round++) await torture.round(800);
      await torture.settle();
    } finally {
      await program.close();
    }
    const { edits, kills, lost } = torture.figures;
    expect(lost).to.deep.equal([]);
    expect(kills).to.equal(2);
    expect(edits).to.be.above(0);
  }).timeout(120_000);
});
