import { spawn, spawnSync } from "node:child_process";
import { chmod, mkdir, mkdtemp, readdir, rm, stat, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import {
  isUnderWay,
  type BatchAnswer,
  type PieceAnswer,
  type VariationAnswer,
} from "../../core/api";
import { freePort, Program } from "../support/browser";
import { root } from "../support/demo";
import { typed } from "../support/edits";

describe("the program", () => {
  let program: Program;
  before(async () => (program = await Program.create()));
  after(() => program.close());

  it("goes on with a batch after it was killed, and makes no finished file again", async () => {
    const rows = Array.from({ length: 36 }, (_, index) => [`Headline number ${index}`]);
    const placements = ["photo-feed-tall", "story"];
    const request = { table: { columns: ["headline"], rows }, placements };
    const batch = await program.ask<BatchAnswer>(
      "/api/pieces/opening-announcement/batches",
      request,
    );
    const progress = () => program.ask<BatchAnswer>(`/api/batches/${batch.id}`);
    while ((await progress()).made < 10) await new Promise((resolve) => setTimeout(resolve, 20));
    const edit = typed("Saved to the last", "Boats at rest");
    const saved = await program.ask("/api/pieces/opening-announcement/edits", { edit });
    expect(saved).to.have.property("revision");
    await program.end("SIGKILL");

    const folder = join(program.folder, "batches", batch.id);
    const whole = (await readdir(folder)).filter((name) => name.endsWith(".jpeg"));
    expect(whole.length).to.be.within(10, 71);
    const times = new Map<string, number>();
    for (const name of whole) times.set(name, (await stat(join(folder, name))).mtimeMs);

    await program.start();
    const { piece } = await program.ask<PieceAnswer>("/api/pieces/opening-announcement");
    expect(piece.message.headline).to.deep.include({ text: "Saved to the last" });
    let state = await progress();
    while (isUnderWay(state.state)) {
      await new Promise((resolve) => setTimeout(resolve, 100));
      state = await progress();
    }
    expect(state).to.deep.include({ state: "done", made: 72, failed: 0 });
    for (const [name, time] of times)
      expect((await stat(join(folder, name))).mtimeMs, name).to.equal(time);
    const { variations } = await program.ask<{ variations: VariationAnswer[] }>(
      `/api/batches/${batch.id}/variations`,
    );
    expect(variations.every((variation) => variation.outputs.length === 2)).to.equal(true);
  });

  it("says what to do when its port is taken", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-port-"));
    const { status, stderr } = start(["--port", String(program.port)], folder);
    await rm(folder, { recursive: true });
    expect(status).to.equal(1);
    expect(stderr)
      .to.contain(`Port ${program.port} is taken`)
      .and.to.contain("choose another port");
  });

  it("leaves a folder alone that another one is at work in", async () => {
    const { status, stderr } = start(["--port", String(await freePort())], program.folder);
    expect(status).to.equal(1);
    expect(stderr).to.contain("at work in").and.to.contain(program.folder);
    expect(await program.ask<object>("/api/crates")).to.have.property("crates");
  });

  it("begins nothing anew beside stored files whose database is gone", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-gone-"));
    await mkdir(join(folder, "files/ab"), { recursive: true });
    const { status, stderr } = start(["--port", String(await freePort())], folder);
    await rm(folder, { recursive: true });
    expect(status).to.equal(1);
    expect(stderr).to.contain("database is missing").and.to.contain("put zest.db back");
  });

  it("ends well when it is told twice, and with the starter when that is killed", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-end-"));
    const port = await freePort();
    const begun = async () => {
      const starter = spawn(
        process.execPath,
        [join(root, "scripts/start.mjs"), "--port", String(port), "--data", folder],
        { cwd: root, env: { ...process.env, ZEST_FACES: "no", ZEST_DEMO: "no" } },
      );
      await new Promise<void>((resolve) =>
        starter.stdout.on("data", (chunk: Buffer) => {
          if (chunk.toString().includes("is ready at")) resolve();
        }),
      );
      return starter;
    };
    const answers = () =>
      fetch(`http://localhost:${port}/api/crates`).then(
        () => true,
        () => false,
      );
    const first = await begun();
    const ended = new Promise((resolve) => first.once("exit", resolve));
    first.kill("SIGINT");
    first.kill("SIGINT");
    expect(await ended).to.equal(0);

    const second = await begun();
    expect(await answers()).to.equal(true);
    second.kill("SIGKILL");
    while (await answers()) await new Promise((resolve) => setTimeout(resolve, 50));
    // The folder is free again as soon as the server is gone.
    const third = await begun();
    const over = new Promise((resolve) => third.once("exit", resolve));
    third.kill("SIGTERM");
    expect(await over).to.equal(0);
    await rm(folder, { recursive: true });
  }).timeout(60_000);

  it("says what to do when its data folder cannot be written", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-locked-"));
    const file = join(folder, "not-a-folder");
    await writeFile(file, "");
    await chmod(file, 0o400);
    const { status, stderr } = start(["--port", String(program.port)], join(file, "data"));
    await rm(folder, { recursive: true });
    expect(status).to.equal(1);
    expect(stderr).to.contain("cannot be written").and.to.contain("--data FOLDER");
  });

  it("refuses a port that is none", () => {
    const { status, stderr } = start(["--port", "lots"], program.folder);
    expect(status).to.equal(1);
    expect(stderr).to.contain("from 1 to 65535");
  });

  it("makes graphics from the command line, and answers by its exit status", async () => {
    const out = await mkdtemp(join(tmpdir(), "zest-out-"));
    const zest = (...args: string[]) =>
      spawnSync(process.execPath, [join(root, "scripts/zest.mjs"), ...args], {
        cwd: root,
        encoding: "utf8",
      });
    const piece = "demo/quillmere/pieces/opening-announcement.json";
    const made = zest("make", piece, "--placements", "story", "--layout-only", "--out", out);
    expect(made.status, made.stderr).to.equal(0);
    expect(await readdir(out)).to.include("manifest.json");
    expect(zest("make", "none.json", "--out", out).status).to.equal(1);
    await rm(out, { recursive: true });
  });

  const start = (args: string[], data: string) =>
    spawnSync(process.execPath, [join(root, "scripts/start.mjs"), ...args, "--data", data], {
      cwd: root,
      encoding: "utf8",
      timeout: 60_000,
    });
});
