import { readFileSync } from "node:fs";
import { readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { expect } from "chai";
import ExcelJS from "exceljs";
import { unzipSync, zipSync } from "fflate";
import sharp from "sharp";
import { demoFolder, demoPiece, fontFolder } from "../../tests/support/demo";
import { multipart, testServer, type TestServer } from "../../tests/support/server";

/** As PNG and ZIP have it: CRC-32 of ISO 3309. */
function crc32(bytes: Uint8Array): number {
  let crc = ~0;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0);
  }
  return ~crc >>> 0;
}

const text = (value: string) => new TextEncoder().encode(value);

describe("bad input gets a sentence", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());

  async function send(url: string, name: string, bytes: Uint8Array) {
    const { payload, headers } = multipart(name, bytes);
    const answer = await server.app.inject({ method: "POST", url, payload, headers });
    return { status: answer.statusCode, body: answer.json() };
  }

  describe("pictures", () => {
    const picture = (name: string, bytes: Uint8Array) => send("/api/pictures", name, bytes);
    const jpeg = readFileSync(join(demoFolder, "quillmere/pictures/allium.jpg"));

    it("that are no pictures", async () => {
      const { status, body } = await picture("notes.jpg", text("just some words"));
      expect(status).to.equal(415);
      expect(body.message)
        .to.contain("notes.jpg is not a picture")
        .and.to.contain("still in place");
    });

    it("that break off", async () => {
      const { status, body } = await picture("half.jpg", jpeg.subarray(0, jpeg.length / 2));
      expect(status).to.equal(422);
      expect(body.code).to.equal("picture-truncated");
    });

    it("that are far too wide", async () => {
      const wide = await sharp({
        create: { width: 30_000, height: 2, channels: 3, background: "#fff" },
      })
        .png()
        .toBuffer();
      const { status, body } = await picture("wide.png", wide);
      expect(status).to.equal(413);
      expect(body.message).to.contain("30000 × 2 px");
    });

    it("that would run or reach out", async () => {
      const unsafe = [
        "<script>alert(1)</script>",
        '<rect onload="x()"/>',
        '<image href="http://moon.example/a.png"/>',
        '<image xlink:href="file:///etc/passwd"/>',
        '<rect style="fill:url(http://moon.example/x)"/>',
        "<foreignObject/>",
      ];
      for (const part of unsafe) {
        const svg = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="9" height="9">${part}</svg>`;
        const { status, body } = await picture("logo.svg", text(svg));
        expect(status, part).to.equal(422);
        expect(body.code, part).to.equal("picture-unsafe");
      }
    });

    it("that hide it: compressed, in another encoding, behind a prefix or an escape", async () => {
      const svg = (inside: string) =>
        `<svg xmlns="http://www.w3.org/2000/svg" xmlns:s="http://www.w3.org/2000/svg" width="9" height="9">${inside}</svg>`;
      const hidden: [string, Uint8Array][] = [
        ["compressed", gzipSync(svg("<script>a</script>"))],
        ["prefixed", text(svg("<s:script>a</s:script>"))],
        ["escaped", text(svg('<rect style="fill:u\\72l(http://moon.example/x)"/>'))],
        ["in a style sheet", text(svg("<style>@im\\70ort 'http://moon.example/a.css';</style>"))],
        ["animated", text(svg('<a><set attributeName="xlink:href" to="x"/></a>'))],
        ["by instruction", text(`<?xml-stylesheet href="http://moon.example/a.css"?>${svg("")}`)],
        ["built in", text(svg('<image href="data:image/svg+xml,%3Csvg/%3E"/>'))],
      ];
      for (const [how, bytes] of hidden)
        expect((await picture("logo.svg", bytes)).body.code, how).to.equal("picture-unsafe");
      const wide = Buffer.from(`\ufeff${svg("<script>a</script>")}`, "utf16le");
      expect((await picture("logo.svg", wide)).body.code).to.equal("picture-unreadable");
      const bomb = gzipSync(Buffer.alloc(40 * 1024 * 1024, " "));
      expect((await picture("bomb.svgz", bomb)).body.code).to.equal("picture-unreadable");
      // What only looks like it, in words that are not painted, is no reason to refuse a drawing.
      const fine = svg(
        '<title>script onload=x</title><!-- <script> --><rect width="4" height="4" fill="url(#a)"/>',
      );
      const plain = (await picture("fine.svg", text(fine))).body;
      expect(plain.vector).to.equal(true);
      expect((await picture("fine.svgz", gzipSync(fine))).body.id).to.equal(plain.id);
    });

    it("of no bytes, or of more pixels than can be read", async () => {
      expect((await picture("none.png", text(""))).body.code).to.equal("file-empty");
      const huge = Buffer.from(
        await sharp({ create: { width: 1, height: 1, channels: 3, background: "#fff" } })
          .png()
          .toBuffer(),
      );
      // The size that its header tells (PNG, third edition, § 11.2.1), with the header's checksum made anew.
      huge.writeUInt32BE(15_000, 16);
      huge.writeUInt32BE(15_000, 20);
      huge.writeUInt32BE(crc32(huge.subarray(12, 29)), 29);
      const { status, body } = await picture("huge.png", huge);
      expect(status).to.equal(413);
      expect(body.message).to.contain("15000 × 15000 px").and.contain("150 million pixels");
    });

    it("but one that the disk has damaged is put right when it comes again", async () => {
      const { body } = await picture("again.jpg", jpeg);
      const path = server.services.context.blobs.path(body.id);
      await writeFile(path, jpeg.subarray(0, 1000));
      expect((await picture("again.jpg", jpeg)).status).to.equal(200);
      expect((await readFile(path)).equals(jpeg)).to.equal(true);
    });

    it("that hold words as text, or far too much", async () => {
      const svg = (inside: string) =>
        text(
          `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><style>a</style>${inside}</svg>`,
        );
      const words = await picture("logo.svg", svg("<text y='8'>Quill</text>"));
      expect(words.body.code).to.equal("svg-text");
      expect(words.body.message).to.contain("turn the words into outlines");
      const many = await picture("map.svg", svg("<path d='M0 0h1v1z'/>".repeat(50_000)));
      expect(many.status).to.equal(413);
      expect(many.body.message).to.contain("50,00").and.to.contain("simplify it");
    });

    it("but good ones are stored once", async () => {
      const before = (await server.ask("GET", "/api/pictures")).body.pictures.length;
      expect((await picture("again.jpg", jpeg)).status).to.equal(200);
      expect((await server.ask("GET", "/api/pictures")).body.pictures).to.have.lengthOf(before);
    });
  });

  it("a font of 40 MB", async () => {
    const { status, body } = await send("/api/fonts", "all.ttf", new Uint8Array(40 * 1024 * 1024));
    expect(status).to.equal(422);
    expect(body.message).to.contain("it is 40 MB").and.to.contain("fewer characters");
  });

  it("half a font file, wherever it breaks off, and one that unpacks to far too much", async () => {
    const ttf = readFileSync(join(fontFolder, "figtree/Figtree-Regular.ttf"));
    for (const share of [0.02, 0.3, 0.5, 0.9, 0.99]) {
      const half = ttf.subarray(0, Math.floor(ttf.length * share));
      const { status, body } = await send("/api/fonts", "half.ttf", half);
      expect(status, String(share)).to.equal(422);
      expect(body.message, String(share)).to.contain("Nothing was stored");
    }
    // A WOFF whose one table says that it unpacks to a gigabyte.
    const bomb = Buffer.alloc(44 + 20 + 100);
    bomb.write("wOFF", 0, "latin1");
    bomb.writeUInt32BE(0x00010000, 4);
    bomb.writeUInt16BE(1, 12);
    [0x676c7966, 64, 100, 1 << 30].forEach((value, i) => bomb.writeUInt32BE(value, 44 + i * 4));
    const { body } = await send("/api/fonts", "bomb.woff", bomb);
    expect(body.message).to.contain("unpacks to more than 64 MB");
  });

  describe("tables", () => {
    const table = (name: string, bytes: Uint8Array) => send("/api/tables", name, bytes);

    it("with no rows", async () => {
      expect((await table("empty.csv", text(""))).body.code).to.equal("file-empty");
      for (const csv of ["headline", "headline\n\n\n", "\n\n \n"]) {
        expect((await table("empty.csv", text(csv))).body.code, csv).to.equal("table-empty");
      }
    });

    it("in another encoding are read, and that is said", async () => {
      const latin = Uint8Array.from(Buffer.from("headline\nCaf\u00e9 am Hafen", "latin1"));
      const { body } = await table("latin.csv", latin);
      expect(body.table.rows).to.deep.equal([["Café am Hafen"]]);
      expect(body.notes[0].code).to.equal("encoding");
      const utf16 = Buffer.concat([
        Buffer.from([0xff, 0xfe]),
        Buffer.from("headline\nHafen", "utf16le"),
      ]);
      expect((await table("wide.csv", utf16)).body.table.rows).to.deep.equal([["Hafen"]]);
    });

    it("of 100 000 rows are read as far as they can be used", async () => {
      const rows = Array.from({ length: 100_000 }, (_, i) => `Row ${i}`).join("\n");
      const { body } = await table("long.csv", text(`headline\n${rows}`));
      expect(body.table.rows).to.have.lengthOf(10_000);
      expect(body.notes[0].text).to.contain("100000 rows");
    });

    it("of Windows keep its marks (code page 1252 of the Unicode Consortium's mappings)", async () => {
      const marks = { 0x80: "€", 0x84: "„", 0x85: "…", 0x93: "“", 0x94: "”", 0x96: "–", 0x97: "—" };
      const bytes = Buffer.concat([
        text("headline\n"),
        Buffer.from(Object.keys(marks).map(Number)),
        Buffer.from([0xe9]),
      ]);
      const { body } = await table("windows.csv", bytes);
      expect(body.table.rows).to.deep.equal([[`${Object.values(marks).join("")}é`]]);
    });

    it("with a quotation mark that is never closed, which is shown where it is", async () => {
      const csv = 'headline,support\none,a\n"two,b\nthree,c\n';
      const { body } = await table("open.csv", text(csv));
      expect(body.code).to.equal("table-unreadable");
      expect(body.message).to.contain("row 2").and.contain("never closed");
    });

    it("that are workbooks show what a person sees in each cell", async () => {
      const workbook = new ExcelJS.Workbook();
      workbook.addWorksheet("Notes", { state: "hidden" }).addRow(["not", "this"]);
      const sheet = workbook.addWorksheet("One");
      sheet.addRow(["headline", "support"]);
      const cells: [ExcelJS.CellValue, string | undefined, string][] = [
        [0.25, "0%", "25%"],
        [1234.5, '#,##0.00 "€"', "1,234.50 €"],
        [new Date(Date.UTC(2026, 2, 14)), "d mmmm yyyy", "14 March 2026"],
        [new Date(Date.UTC(2026, 2, 14)), "mm-dd-yy", "2026-03-14"],
        [{ formula: "1/0", result: { error: "#DIV/0!" } }, undefined, ""],
        [{ formula: "1+1", result: 2 }, undefined, "2"],
        [{ richText: [{ text: "Boats " }, { text: "at rest" }] }, undefined, "Boats at rest"],
        [{ text: "A link", hyperlink: "https://moon.example" }, undefined, "A link"],
        [true, undefined, "TRUE"],
        [7, undefined, "7"],
      ];
      for (const [value, numFmt] of cells) {
        const row = sheet.addRow(["Words", value]);
        if (numFmt) row.getCell(2).numFmt = numFmt;
      }
      sheet.addRow(["Out of sight", ""]).hidden = true;
      const bytes = new Uint8Array(await workbook.xlsx.writeBuffer());
      const { body } = await table("a.xlsx", bytes);
      const seen = body.table.rows.map(([, cell]: string[]) => cell);
      expect(seen).to.deep.equal(cells.map(([, , wanted]) => wanted));
      const notes = new Map(
        body.notes.map((note: { code: string; text: string }) => [note.code, note.text]),
      );
      expect(notes.get("cell-error")).to.contain("B6 (#DIV/0!)");
      expect(notes.get("system-date")).to.contain("B5");
      expect(notes.get("hidden-rows")).to.contain("1 hidden");
    });

    it("that are workbooks with words that are missing from them", async () => {
      const workbook = new ExcelJS.Workbook();
      workbook.addWorksheet("One").addRows([["headline"], ["Boats"]]);
      const parts = unzipSync(new Uint8Array(await workbook.xlsx.writeBuffer()));
      const { "xl/sharedStrings.xml": _strings, ...rest } = parts;
      const { status, body } = await table("cut.xlsx", zipSync(rest));
      expect(status).to.equal(400);
      expect(body.code).to.equal("table-unreadable");
    });

    it("of more bytes than any that could be used", async () => {
      const { status, body } = await table("large.csv", new Uint8Array(21 * 1024 * 1024).fill(97));
      expect(status).to.equal(413);
      expect(body.message).to.contain("larger than 20 MB");
    });

    it("that are no tables", async () => {
      const { body } = await table("picture.csv", Uint8Array.from([0, 1, 2, 0, 0, 3]));
      expect(body.code).to.equal("table-unreadable");
      const zip = zipSync({ "a.txt": text("a") });
      expect((await table("other.xlsx", zip)).body.code).to.be.oneOf([
        "table-unreadable",
        "table-empty",
      ]);
    });

    it("with semicolons, quotes and line breaks, and workbooks, are read alike", async () => {
      const wanted = { columns: ["headline", "support"], rows: [["Boats; at rest", "two\nlines"]] };
      const csv = await table("a.csv", text('headline;support\n"Boats; at rest";"two\nlines"\n'));
      expect(csv.body.table).to.deep.equal(wanted);
      const workbook = new ExcelJS.Workbook();
      const sheet = workbook.addWorksheet("One");
      sheet.addRow(["headline", "support"]);
      sheet.addRow(["Boats; at rest", "two\nlines"]);
      const bytes = new Uint8Array(await workbook.xlsx.writeBuffer());
      expect((await table("a.xlsx", bytes)).body.table).to.deep.equal(wanted);
    });
  });

  describe("imports", () => {
    const bundle = (files: Record<string, object>) =>
      zipSync(
        Object.fromEntries(Object.entries(files).map(([k, v]) => [k, text(JSON.stringify(v))])),
      );
    const imported = (files: Record<string, object>) =>
      send("/api/imports", "crate.zip", bundle(files));
    const piece = demoPiece("quillmere", "opening-announcement");

    it("of a newer version", async () => {
      const { status, body } = await imported({ "piece.json": { ...piece, version: 2 } });
      expect(status).to.equal(400);
      expect(body.message).to.contain("version 2").and.to.contain("up to version 1");
    });

    it("with a wrong field, which is named", async () => {
      const { body } = await imported({ "piece.json": { ...piece, kind: "poster" } });
      expect(body.message).to.contain("piece.json cannot be read at kind");
    });

    it("of a brand that nobody has", async () => {
      const crate = {
        format: "zestcrate/crate",
        version: 1,
        id: "orphans",
        name: "Orphans",
        brand: "nobody",
        pieces: [],
      };
      const { status, body } = await imported({ "crate.json": crate });
      expect(status).to.equal(400);
      expect(body.message).to.contain("nobody").and.contain("Nothing was imported");
      const { body: list } = await server.ask("GET", "/api/crates");
      expect(JSON.stringify(list)).not.to.contain("Orphans");
    });

    it("whose ids would lead out of a folder", async () => {
      const { body } = await imported({ "piece.json": { ...piece, id: "../../victim" } });
      expect(body.message).to.contain("cannot be read at id");
    });

    it("whose files are missing", async () => {
      expect((await imported({ "piece.json": piece })).body.code).to.equal("file-missing");
    });

    it("that say less than they unpack to", async () => {
      const zip = Buffer.from(zipSync({ "a.png": [new Uint8Array(20_000_000), { level: 9 }] }));
      // Both headers say 100 bytes (PKWARE APPNOTE 6.3.10, § 4.3.7 and 4.3.12).
      zip.writeUInt32LE(100, 22);
      zip.writeUInt32LE(100, zip.lastIndexOf(Buffer.from("PK\u0001\u0002", "latin1")) + 24);
      const { body } = await send("/api/imports", "liar.zip", zip);
      expect(body.code).to.equal("archive-unreadable");
      expect(body.message).to.contain("Nothing was imported");
    });

    it("whose pictures are there and whose piece is not for us leave nothing behind", async () => {
      const before = (await server.ask("GET", "/api/pictures")).body.pictures.length;
      const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="7" height="9"/></svg>`;
      const crate = {
        format: "zestcrate/crate",
        version: 1,
        id: "x",
        name: "X",
        brand: "no",
        pieces: [],
      };
      const zip = zipSync({ "crate.json": text(JSON.stringify(crate)), "new.svg": text(svg) });
      expect((await send("/api/imports", "a.zip", zip)).status).to.equal(400);
      expect((await server.ask("GET", "/api/pictures")).body.pictures).to.have.lengthOf(before);
    });

    it("that are no zip", async () => {
      expect((await send("/api/imports", "a.zip", text("no zip"))).body.code).to.equal(
        "archive-unreadable",
      );
    });
  });
});
