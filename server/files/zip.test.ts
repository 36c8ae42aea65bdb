import { access, mkdtemp, readdir, readFile, rm, symlink } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import { unzipSync } from "fflate";
import { ZipFile } from "./zip";

/** Every write to it fails as on a full disk; where there is none, there is nothing to try it with. */
const FULL = "/dev/full";

describe("a zip that is written as its files come", () => {
  let folder: string;
  beforeEach(async () => (folder = await mkdtemp(join(tmpdir(), "zest-zip-"))));
  afterEach(() => rm(folder, { recursive: true, force: true }));
  const noise = (length: number) => Uint8Array.from({ length }, (_, i) => (i * 7919) % 251);

  it("is there when it is whole, with all that was put in", async () => {
    const path = join(folder, "deep/a.zip");
    const zip = await ZipFile.create(path, new Date(2026, 2, 14));
    zip.add("big.png", noise(300_000), false);
    zip.add("größe.json", new TextEncoder().encode("{}"), true);
    expect(await readdir(join(folder, "deep"))).not.to.include("a.zip");
    const bytes = await zip.finish();
    await zip.discard();
    const written = await readFile(path);
    expect(written).to.have.lengthOf(bytes);
    const read = unzipSync(written);
    expect(Object.keys(read)).to.deep.equal(["big.png", "größe.json"]);
    expect(read["big.png"]).to.deep.equal(noise(300_000));
  });

  it("says that the disk is full instead of waiting for ever, and leaves nothing behind", async function () {
    if (await access(FULL).catch(() => true)) return this.skip();
    const path = join(folder, "a.zip");
    await symlink(FULL, `${path}.part`);
    const zip = await ZipFile.create(path, new Date());
    const written = (async () => {
      for (let i = 0; i < 40; i++) zip.add(`${i}.png`, noise(100_000), false);
      await zip.finish();
    })();
    const failed = await written.then(
      () => undefined,
      (error: Error & { code?: string }) => error,
    );
    expect(failed?.code).to.equal("store-full");
    await zip.discard();
    expect(await readdir(folder)).to.deep.equal([]);
  }).timeout(5000);

  it("can be given up half-way", async () => {
    const zip = await ZipFile.create(join(folder, "a.zip"), new Date());
    zip.add("a.png", noise(1000), false);
    await zip.discard();
    expect(await readdir(folder)).to.deep.equal([]);
  });
});
