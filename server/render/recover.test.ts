import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";
import { fileId } from "../files/hash";
import { recoverOutput } from "./recover";

const [WIDTH, HEIGHT] = [728, 300];
/** At once and again, since threads take turns at reading. */
const AT_ONCE = 6;
const ROUNDS = 8;

describe("a picture that is already there", () => {
  let folder: string;
  let drawn: Buffer;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), "zest-recover-"));
    const noise = { type: "gaussian" as const, mean: 128, sigma: 40 };
    const create = {
      width: WIDTH,
      height: HEIGHT,
      channels: 3 as const,
      background: "#888",
      noise,
    };
    drawn = await sharp({ create }).png().toBuffer();
  });
  after(() => rm(folder, { recursive: true, force: true }));

  for (const format of ["jpeg", "png", "webp"] as const)
    it(`is known again as ${format}, and never when it is cut short anywhere`, async () => {
      const whole = await sharp(drawn).toFormat(format).toBuffer();
      for (const share of [0, 0.02, 0.5, 0.999, 1]) {
        const bytes = whole.subarray(0, Math.floor(share * whole.length));
        const path = join(folder, `${share}.${format}`);
        await writeFile(path, bytes);
        const wanted =
          share === 1
            ? { width: WIDTH, height: HEIGHT, bytes: whole.length, sha256: fileId(whole) }
            : undefined;
        for (let round = 0; round < ROUNDS; round++)
          for (const found of await Promise.all(
            Array.from({ length: AT_ONCE }, () => recoverOutput({ path, format })),
          ))
            expect(found, `${share}`).to.deep.equal(wanted);
      }
    });

  it("is known as SVG by its end, and not when there is none", async () => {
    const path = join(folder, "one.svg");
    const text = '<svg xmlns="http://www.w3.org/2000/svg" width="20" height="10"></svg>\n';
    await writeFile(path, text);
    expect(await recoverOutput({ path, format: "svg" })).to.include({ width: 20, height: 10 });
    await writeFile(path, text.slice(0, -8));
    expect(await recoverOutput({ path, format: "svg" })).to.equal(undefined);
    expect(await recoverOutput({ path: join(folder, "none.svg"), format: "svg" })).to.equal(
      undefined,
    );
  });
});
