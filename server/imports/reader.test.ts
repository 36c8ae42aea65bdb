import { join } from "node:path";
import { expect } from "chai";
import { demoFolder, root } from "../../tests/support/demo";
import { fileOf } from "../../tests/support/server";
import { ReaderProcesses } from "./reader";

describe("files from outside are read in a process of their own", () => {
  // As it is built: a process cannot be started from the sources alone.
  const script = join(root, "dist/server/process.js");
  const reader = new ReaderProcesses(script);
  after(() => reader.close());

  it("that answers what is in them", async () => {
    const picture = await reader.picture(
      join(demoFolder, "quillmere/pictures/allium.jpg"),
      "allium.jpg",
    );
    expect(picture).to.include({ name: "allium.jpg", mime: "image/jpeg" });
    const { table } = await reader.table(await fileOf(Buffer.from("headline\nBoats")), "a.csv");
    expect(table.rows).to.deep.equal([["Boats"]]);
  });

  it("and says what is wrong with them in the same words", async () => {
    const path = await fileOf(Buffer.from("no picture"));
    const error = await reader.picture(path, "notes.jpg").catch((thrown: unknown) => thrown);
    expect(error).to.include({ code: "picture-unreadable", status: 415 });
    expect((error as Error).message).to.contain("notes.jpg is not a picture");
  });

  // The slow file takes half a minute or all the memory there is, whichever is first.
  it("that is ended when one takes too long, while the program goes on and the next is read", async () => {
    const impatient = new ReaderProcesses(script, 6000);
    const slow = await fileOf(Buffer.from(`headline\n${"\n".repeat(60_000_000)}`));
    let beats = 0;
    const heart = setInterval(() => beats++, 50);
    const error = await impatient.table(slow, "blank.csv").catch((thrown: unknown) => thrown);
    clearInterval(heart);
    expect(error).to.include({ code: "file-too-much", status: 413 });
    expect(beats).to.be.above(10);
    const next = await impatient.table(await fileOf(Buffer.from("headline\nBoats")), "a.csv");
    expect(next.table.rows).to.have.lengthOf(1);
    await impatient.close();
  }).timeout(120_000);

  it("which closes also when it would have died by itself just after its time was up", async () => {
    const impatient = new ReaderProcesses(join(root, "tests/support/dying.mjs"), 700);
    const error = await impatient.table("a.csv", "a.csv").catch((thrown: unknown) => thrown);
    expect(error).to.include({ code: "file-too-much" });
    await new Promise((resolve) => setTimeout(resolve, 800));
    await impatient.close();
  }).timeout(10_000);
});
