import { join } from "node:path";
import { expect } from "chai";
import { eq, isNotNull, sql } from "drizzle-orm";
import sharp from "sharp";
import type { Area } from "../../core/files";
import { area, box, intersect } from "../../core/geometry";
import { root } from "../../tests/support/demo";
import { photographs } from "../../tests/support/photographs";
import { fileOf, testServer } from "../../tests/support/server";
import { files } from "../store/tables";
import { FacePool, type FaceFinder } from "./pool";

type Shares = readonly [x: number, y: number, width: number, height: number];

/** Intersection over union, as detectors are compared by. */
function overlap([x, y, width, height]: Shares, found: Area): number {
  const [a, b] = [box(x, y, width, height), box(found.x, found.y, found.width, found.height)];
  const shared = area(intersect(a, b));
  return shared / (area(a) + area(b) - shared);
}

describe("faces", () => {
  // The detector runs as it is built, since its parts are put together there.
  const pool = new FacePool({ filename: join(root, "dist/server/faces.cjs") });
  after(() => pool.close());

  it("are found where they were marked by eye, each once", async () => {
    for (const { name, faces, bytes } of photographs.filter((one) => one.faces.length > 2)) {
      const found = (await pool.find(bytes()))!;
      expect(found, name).to.have.lengthOf(faces.length);
      for (const face of faces) {
        const best = Math.max(...found.map((one) => overlap(face, one)));
        // Half is what a detection has to reach in the usual comparisons of detectors.
        expect(best, `${name} ${face.join()}`).to.be.above(0.5);
      }
    }
  }).timeout(60_000);

  it("are found in most portraits, photographed and painted, and hardly where there are none", async () => {
    let [marked, met] = [0, 0];
    const wrong: string[] = [];
    // All portraits, and every tenth picture of anything else: each takes most of a second.
    const some = photographs
      .filter((one) => one.faces.length < 3)
      .filter((one, i) => one.faces.length > 0 || one.name === "cat" || i % 10 === 0);
    for (const { name, faces, bytes } of some) {
      const found = (await pool.find(bytes()))!;
      if (faces.length === 0 && found.length > 0) wrong.push(name);
      marked += faces.length;
      met += faces.filter((face) => found.some((one) => overlap(face, one) > 0.3)).length;
    }
    expect(met / marked).to.be.above(0.6);
    // A cat has a face too; a poppy is one mistake.
    expect(wrong.filter((name) => name !== "cat")).to.have.lengthOf.at.most(1);
  }).timeout(120_000);

  it("look to the side that they are seen from, and to the other in a mirror", async () => {
    const man = photographs.find(({ name }) => name === "man-at-camera")!;
    const [seen] = (await pool.find(man.bytes()))!;
    expect(seen!.look).to.be.above(0.4);
    const mirrored = await sharp(man.bytes()).flop().png().toBuffer();
    const [turned] = (await pool.find(mirrored))!;
    expect(turned!.look).to.be.below(-0.4);
  }).timeout(60_000);

  it("are not seen in what is no picture", async () => {
    const grey = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#888" } })
      .toColourspace("b-w")
      .jpeg()
      .toBuffer();
    expect(await pool.find(grey)).to.deep.equal([]);
    expect(await pool.find(Buffer.from("no picture"))).to.equal(undefined);
  }).timeout(60_000);

  it("are kept with a picture that comes in, and found later in those that were there", async () => {
    const server = await testServer(undefined, pool);
    const { library } = server.services;
    const group = photographs[0]!;
    const stored = await library.addPicture(await fileOf(group.bytes()), "group.jpg");
    expect(stored.facesSought).to.equal(true);
    expect(stored.areas!.filter(({ kind }) => kind === "face")).to.have.lengthOf(3);
    const { facesSought: _sought, ...older } = { ...stored, areas: [] };
    // One was there before faces were looked for; the demo's others would take most of a second each.
    const isSought = sql`json_set(${files.picture}, '$.facesSought', json('true'))`;
    await server.store.write(async (tx) => {
      await tx.update(files).set({ picture: isSought }).where(isNotNull(files.picture));
      await tx.update(files).set({ picture: older }).where(eq(files.id, stored.id));
    });
    await library.lookForFaces();
    for (const picture of await library.pictures())
      expect(picture.facesSought ?? picture.vector, picture.name).to.equal(true);
    const again = await library.picture(stored.id);
    expect(again.areas!.filter(({ kind }) => kind === "face")).to.have.lengthOf(3);
    await server.close();
  }).timeout(60_000);

  it("are looked for in all pictures, whatever one of them is", async () => {
    const asked: number[] = [];
    const choosy: FaceFinder = {
      available: true,
      find: (bytes) => Promise.resolve(asked.push(bytes.length) === 1 ? undefined : []),
      close: () => Promise.resolve(),
    };
    const server = await testServer(undefined, choosy);
    const { library } = server.services;
    await Promise.all([library.lookForFaces(), library.lookForFaces()]);
    const photos = (await library.pictures()).filter(({ vector }) => !vector);
    expect(photos.filter(({ facesSought }) => facesSought)).to.have.lengthOf(photos.length - 1);
    expect(asked).to.have.lengthOf(photos.length);
    await server.close();
  });

  it("that cannot be looked for leave a picture as it is", async () => {
    const broken = new FacePool({ filename: join(root, "dist/server/there-is-none.cjs") });
    expect(await broken.find(photographs[0]!.bytes())).to.equal(undefined);
    await broken.close();
  });
});
