import { readFileSync } from "node:fs";
import { join } from "node:path";
import { zlibSync } from "fflate";
import { expect } from "chai";
import wawoff from "wawoff2";
import { fontFolder } from "../../tests/support/demo";
import { testServer, type TestServer } from "../../tests/support/server";
import { toSfnt } from "../files/sfnt";
import { families } from "../../core/shelf";
import { inspectFont } from "./fonts";

const ttf = readFileSync(join(fontFolder, "figtree/Figtree-Regular.ttf"));

interface Table {
  tag: string;
  data: Buffer;
  checksum: number;
}

function tablesOf(font: Buffer): Table[] {
  return Array.from({ length: font.readUInt16BE(4) }, (_, i) => {
    const at = 12 + i * 16;
    const [offset, length] = [font.readUInt32BE(at + 8), font.readUInt32BE(at + 12)];
    return {
      tag: font.toString("latin1", at, at + 4),
      checksum: font.readUInt32BE(at + 4),
      data: font.subarray(offset, offset + length),
    };
  });
}

/** A WOFF 1.0 file, by the W3C's description. */
function toWoff(font: Buffer): Buffer {
  const tables = tablesOf(font).map((table) => ({
    ...table,
    packed: Buffer.from(zlibSync(table.data)),
  }));
  const header = Buffer.alloc(44 + tables.length * 20);
  header.write("wOFF", 0, "latin1");
  font.copy(header, 4, 0, 4);
  header.writeUInt16BE(tables.length, 12);
  let offset = header.length;
  const bodies = tables.map(({ tag, data, packed, checksum }, i) => {
    const body = packed.length < data.length ? packed : data;
    const at = 44 + i * 20;
    header.write(tag, at, "latin1");
    [offset, body.length, data.length, checksum].forEach((value, field) =>
      header.writeUInt32BE(value, at + 4 + field * 4),
    );
    const padded = Buffer.concat([body, Buffer.alloc((4 - (body.length % 4)) % 4)]);
    offset += padded.length;
    return padded;
  });
  return Buffer.concat([header, ...bodies]);
}

/** A collection of the same font twice: the header, then fonts whose offsets are shifted by its length. */
function toCollection(font: Buffer): Buffer {
  const header = Buffer.alloc(20);
  header.write("ttcf", 0, "latin1");
  header.writeUInt32BE(0x00010000, 4);
  header.writeUInt32BE(2, 8);
  const shifted = (by: number) => {
    const copy = Buffer.from(font);
    for (let i = 0; i < copy.readUInt16BE(4); i++) {
      const at = 12 + i * 16 + 8;
      copy.writeUInt32BE(copy.readUInt32BE(at) + by, at);
    }
    return copy;
  };
  header.writeUInt32BE(20, 12);
  header.writeUInt32BE(20 + font.length, 16);
  return Buffer.concat([header, shifted(20), shifted(20 + font.length)]);
}

/** The font with one table's bytes changed. */
function changed(font: Buffer, tag: string, change: (table: Buffer) => void): Buffer {
  const copy = Buffer.from(font);
  change(tablesOf(copy).find((table) => table.tag === tag)!.data);
  return copy;
}

const refusal = (bytes: Uint8Array) =>
  inspectFont(bytes, "a.ttf").then(
    () => "",
    (error: Error) => error.message,
  );

describe("fonts at the door", () => {
  it("are read in every packing alike", async () => {
    const [plain] = await inspectFont(ttf, "a.ttf");
    expect(plain!.family).to.equal("Figtree");
    expect(plain!.scripts).to.include.members(["latin", "latin-ext"]);
    expect(plain!.embedding).to.equal("free");
    for (const packed of [toWoff(ttf), Buffer.from(await wawoff.compress(ttf))]) {
      expect(packed.equals(ttf)).to.equal(false);
      expect(await inspectFont(packed, "b")).to.deep.equal([plain]);
    }
    expect(tablesOf(Buffer.from(await toSfnt(toWoff(ttf))))).to.deep.equal(tablesOf(ttf));
  });

  it("may be collections, of which every font is heard", async () => {
    const faces = await inspectFont(toCollection(ttf), "a.ttc");
    expect(faces.map(({ index, family }) => [index, family])).to.deep.equal([
      [0, "Figtree"],
      [1, "Figtree"],
    ]);
  });

  it("say what their licence bits allow (OpenType OS/2 fsType)", async () => {
    const withType = (value: number) =>
      changed(ttf, "OS/2", (table) => table.writeUInt16BE(value, 8));
    const heard = async (value: number) =>
      (await inspectFont(withType(value), "a.ttf"))[0]!.embedding;
    expect(await heard(0x0002)).to.equal("forbidden");
    expect(await heard(0x0004)).to.equal("print-and-preview");
    expect(await heard(0x0008)).to.equal("editable");
    expect(await heard(0x0100)).to.equal("free");
  });

  it("are refused with a reason when they cannot be used", async () => {
    expect(await refusal(Buffer.from("no font at all"))).to.contain(
      "a.ttf cannot be used as a font",
    );
    expect(await refusal(ttf.subarray(0, 3000))).to.contain("Nothing was stored");
    expect(await refusal(toWoff(ttf).subarray(0, 9000))).to.contain("damaged");
    // The outlines' table under another name is as if it were not there.
    const bare = Buffer.from(ttf);
    bare.write("glyx", bare.indexOf("glyf"), "latin1");
    expect(await refusal(bare)).to.contain("no outlines");
  });

  describe("of the server", () => {
    let server: TestServer;
    before(async () => (server = await testServer()));
    after(() => server.close());

    it("stores what is sent and gives it back unpacked; shipped ones are there too", async () => {
      const woff = toWoff(ttf);
      const boundary = "zest";
      const head = `--${boundary}\r\ncontent-disposition: form-data; name="file"; filename="a.woff"\r\n\r\n`;
      const answer = await server.app.inject({
        method: "POST",
        url: "/api/fonts",
        headers: {
          host: "localhost:4310",
          "content-type": `multipart/form-data; boundary=${boundary}`,
        },
        payload: Buffer.concat([Buffer.from(head), woff, Buffer.from(`\r\n--${boundary}--\r\n`)]),
      });
      expect(answer.statusCode).to.equal(200);
      const { id, faces } = answer.json<{ id: string; faces: unknown[] }>();
      expect(faces).to.have.lengthOf(1);
      const get = (file: string) =>
        server.app.inject({ url: `/api/fonts/${file}`, headers: { host: "localhost:4310" } });
      expect(tablesOf((await get(id)).rawPayload)).to.deep.equal(tablesOf(ttf));
      expect((await get(families[0]!.faces[0]!.file)).statusCode).to.equal(200);
      expect((await get("0".repeat(64))).statusCode).to.equal(404);
    });

    it("exports a page of the specimen as PNG and SVG, and knows which pages there are", async () => {
      const page = (path: string) =>
        server.app.inject({
          url: `/api/brands/quillmere/specimen/${path}`,
          headers: { host: "localhost:4310" },
        });
      const png = await page("setting?scale=0.2");
      expect(png.headers["content-type"]).to.equal("image/png");
      expect(png.rawPayload.subarray(1, 4).toString()).to.equal("PNG");
      expect((await page("scripts?format=svg")).body).to.match(/^<svg/);
      expect((await page("nothing")).statusCode).to.equal(404);
      expect((await page("setting?scale=99")).statusCode).to.equal(400);
    }).timeout(60_000);
  });
});
