import { mkdir, mkdtemp, readdir, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import { scratchIn, sweep } from "./scratch";

describe("what was not finished", () => {
  it("is swept away, and what was stays", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-scratch-"));
    const mine = await scratchIn(folder);
    expect(await scratchIn(folder)).not.to.equal(mine);
    await writeFile(join(mine, "0"), "half a picture");
    await mkdir(join(folder, "batches/a"), { recursive: true });
    for (const name of ["0-story.jpeg", "1-story.jpeg.77-3.part", "2-story.part.jpeg"])
      await writeFile(join(folder, "batches/a", name), "bytes");
    await writeFile(join(folder, "a.zip.part"), "half a zip");
    await sweep(folder);
    expect(await readdir(folder)).to.deep.equal(["batches"]);
    expect((await readdir(join(folder, "batches/a"))).sort()).to.deep.equal([
      "0-story.jpeg",
      "2-story.part.jpeg",
    ]);
    await rm(folder, { recursive: true });
  });
});
