import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "chai";
import ExcelJS from "exceljs";
import { zipSync } from "fflate";
import sharp from "sharp";
import { demoFolder, demoPiece } from "../../tests/support/demo";
import { multipart, testServer, type TestServer } from "../../tests/support/server";

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

  describe("tables", () => {
    const table = (name: string, bytes: Uint8Array) => send("/api/tables", name, bytes);

    it("with no rows", async () => {
      for (const csv of ["", "headline", "headline\n\n\n"]) {
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
      expect(body.table.rows).to.have.lengthOf(5000);
      expect(body.notes[0].text).to.contain("100000 rows");
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

    it("that are no zip", async () => {
      expect((await send("/api/imports", "a.zip", text("no zip"))).body.code).to.equal(
        "archive-unreadable",
      );
    });
  });
});
