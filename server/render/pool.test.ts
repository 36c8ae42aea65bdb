import { spawn } from "node:child_process";
import { join } from "node:path";
import { expect } from "chai";
import { demoBrand, demoPiece, fontFolder, root } from "../../tests/support/demo";
import { placementById } from "../../core/placements";
import { BY_IMPORT, RenderPool } from "./pool";

describe("the threads that make pictures", () => {
  it("can be ended while they take their code in, and the program goes on", async () => {
    const script = join(root, "tests/support/ending.mjs");
    const child = spawn(process.execPath, [script, ...BY_IMPORT], { stdio: "ignore" });
    const ended = await new Promise((done) => child.once("exit", (...how) => done(how)));
    expect(ended).to.deep.equal([0, null]);
  }).timeout(60_000);

  it("give a task up that is cancelled, and go on with the next", async () => {
    const pool = new RenderPool(
      { filename: join(root, "dist/server/worker.js") },
      { blobs: join(root, "demo"), fonts: fontFolder },
    );
    const piece = demoPiece("quillmere", "opening-announcement");
    const brand = demoBrand("quillmere");
    const placement = placementById(piece.lead)!;
    const task = { piece, brand, placement, format: "jpeg", scale: 1, path: "/nowhere" } as const;
    const cancelled = AbortSignal.timeout(100);
    const given = await pool.run(task, cancelled).then(
      () => "made",
      () => (cancelled.aborted ? "cancelled" : "failed"),
    );
    expect(given).to.equal("cancelled");
    const { repeats } = await pool.compared({ looks: [], words: [] });
    expect(repeats).to.deep.equal([]);
    await pool.close();
  });
});
